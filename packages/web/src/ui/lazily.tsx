import { lazy, Suspense, type ComponentType, type ReactNode } from 'react';

type Read<Props> = () => Promise<ComponentType<Props>>;

const ahead: (() => Promise<unknown>)[] = [];

/** A component whose script comes when it is first shown, or ahead of that while there is time. */
export function whenShown<Props extends object = object>(read: Read<Props>): ComponentType<Props> {
  ahead.push(read);
  return lazy(async () => ({ default: await read() }));
}

/** Fetches what may be shown later: it opens at once then, and without a server. */
export const fetchAhead = (): void => {
  for (const read of ahead.splice(0)) read().catch(() => ahead.push(read));
};

/**
 * A part of a screen whose script is asked for at once, and comes beside what is painted first.
 * @param meanwhile holds its place
 */
export function beside<Props extends object = object>(
  read: Read<Props>,
  meanwhile: ReactNode = null,
): ComponentType<Props> {
  const asked = read();
  asked.catch(() => undefined);
  const Part = lazy(async () => ({ default: await asked.catch(read) })) as unknown as ComponentType<Props>;
  return function Beside(props: Props) {
    return (
      <Suspense fallback={meanwhile}>
        <Part {...props} />
      </Suspense>
    );
  };
}
