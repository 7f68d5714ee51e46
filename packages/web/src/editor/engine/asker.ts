import type { CollectionDocument } from '@noria/core';
import { mirrorSteps, type MirrorStep } from './mirror';
import type { AnswerOf, ArgumentsOf, QuestionName } from './questions';

/** A worker that has been started. */
export interface Started {
  readonly answer: (step: MirrorStep, name: QuestionName, given: readonly unknown[]) => Promise<unknown>;
  /** Comes where it could not be started, as without a server, or broke: it answers nothing more. */
  readonly broken: Promise<void>;
  readonly end: () => void;
}

export interface Asker {
  /**
   * Asks one question. One is worked out at a time, and the newest about a collection comes next.
   * @param document null: it is about none that is open
   * @param signal cancels it: it is not begun, or, where it goes on for long, its worker is ended
   * @throws what the worker throws; the signal's reason when it is cancelled
   */
  readonly ask: <Name extends QuestionName>(
    name: Name,
    document: CollectionDocument | null,
    given: ArgumentsOf<Name>,
    signal?: AbortSignal,
  ) => Promise<AnswerOf<Name>>;
}

/** How long a cancelled question may still be worked on before its worker is ended, ms: a new one takes about as long to start. */
const PATIENCE = 400;

interface Waiting {
  readonly name: QuestionName;
  readonly document: CollectionDocument | null;
  readonly given: readonly unknown[];
  readonly signal: AbortSignal | undefined;
  readonly done: (answer: unknown) => void;
  readonly failed: (error: unknown) => void;
}

/** @param start starts a worker, when the first question comes, or the one before was ended */
export function asker(start: () => Started): Asker {
  let worker: { readonly started: Started; stepTo: ReturnType<typeof mirrorSteps> } | null = null;
  let busy = false;
  const waiting: Waiting[] = [];

  const next = (): void => {
    if (busy) return;
    // What is asked of a list comes in its order; of the collection one works on, the newest counts.
    const newest = waiting.findLastIndex(({ document }) => document !== null);
    const [question] = waiting.splice(Math.max(newest, 0), 1);
    if (!question) return;
    busy = true;
    void work(question).finally(() => {
      busy = false;
      next();
    });
  };

  const work = async ({ name, document, given, signal, done, failed }: Waiting): Promise<void> => {
    const its = (worker ??= { started: start(), stepTo: mirrorSteps() });
    const givenUp = new Promise<'given up'>((resolve) => {
      signal?.addEventListener('abort', () => setTimeout(() => resolve('given up'), PATIENCE), {
        once: true,
      });
    });
    const broken = its.started.broken.then(() => 'broken' as const);
    const answer = its.started.answer(document && its.stepTo(document), name, given);
    answer.then(done, (error: unknown) => {
      // Whatever it has now: the next question brings the whole collection.
      its.stepTo = mirrorSteps();
      failed(error);
    });
    const outcome = await Promise.race([
      answer.then(
        () => 'answered',
        () => 'answered',
      ),
      givenUp,
      broken,
    ]);
    if (outcome === 'answered') return;
    if (outcome === 'broken') failed(new Error('The background worker could not be started.'));
    its.started.end();
    worker = null;
  };

  return {
    ask: (name, document, given, signal) =>
      new Promise((resolve, reject) => {
        const question: Waiting = {
          name,
          document,
          given,
          signal,
          done: resolve as (answer: unknown) => void,
          failed: reject,
        };
        const cancel = () => {
          const at = waiting.indexOf(question);
          if (at !== -1) waiting.splice(at, 1);
          reject(signal?.reason as Error);
        };
        if (signal?.aborted) {
          cancel();
          return;
        }
        signal?.addEventListener('abort', cancel, { once: true });
        waiting.push(question);
        next();
      }),
  };
}
