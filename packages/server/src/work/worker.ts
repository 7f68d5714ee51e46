import { parentPort } from 'node:worker_threads';
import { tasks, type Tasks } from './tasks.js';

interface Asked {
  readonly task: keyof Tasks;
  readonly input: never;
}

parentPort?.on('message', ({ task, input }: Asked) => {
  Promise.resolve()
    .then((): Promise<unknown> => tasks[task](input))
    .then(
      (result) => parentPort?.postMessage({ result }),
      (error: unknown) =>
        parentPort?.postMessage({ error: error instanceof Error ? error.stack : String(error) }),
    );
});
