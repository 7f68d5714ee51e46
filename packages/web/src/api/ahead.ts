import { request } from './problem';

/** Answers that were asked for while the scripts that want them still come, by path. */
const asked = new Map<string, Promise<Response>>();

/** Asks now for what will be wanted soon. */
export function askAhead(path: string): void {
  const answer = request(path);
  // Who takes it hears why it failed; nobody may.
  answer.catch(() => undefined);
  asked.set(path, answer);
}

/** What was asked ahead, for whoever takes it first; null: nothing was, or it is taken. */
export function takeAhead(path: string): Promise<Response> | null {
  const answer = asked.get(path) ?? null;
  asked.delete(path);
  return answer;
}
