/** Asks for a piece of work, and says who hears of its end. */
type Ask = <T>(work: () => Promise<T>, done: (value: T) => void, failed: (error: unknown) => void) => void;

/** A place where one piece of work is done at a time; of what is asked meanwhile, only the newest comes next. */
export function newestNext(): Ask {
  let isBusy = false;
  let waiting: (() => void) | null = null;
  return (work, done, failed) => {
    const start = () => {
      isBusy = true;
      void work()
        .then(done, failed)
        .finally(() => {
          isBusy = false;
          const next = waiting;
          waiting = null;
          next?.();
        });
    };
    if (isBusy) waiting = start;
    else start();
  };
}
