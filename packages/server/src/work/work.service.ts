import { HttpStatus, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import PQueue from 'p-queue';
import { Worker } from 'node:worker_threads';
import { ProblemException } from '../problems/problem.js';
import type { Tasks } from './tasks.js';

/** Tests run from the sources, the threads always from what was built of them. */
const script = new URL('./worker.js', import.meta.url.replace('/server/src/', '/server/dist/'));
const THREADS = 2;
const MOST_WAITING = 200;
const MEGABYTES = 768;

type Said = { readonly result: unknown } | { readonly error: string };

/**
 * Does what can take long in threads, so that others are served meanwhile; ends it when it takes too
 * long.
 */
@Injectable()
export class WorkService implements OnApplicationShutdown {
  private readonly queue = new PQueue({ concurrency: THREADS });
  private idle: Worker[] = [];

  /** @throws ProblemException 422 when it takes longer than so many ms, or more memory than there is for it; 503 when too much waits already */
  run<Task extends keyof Tasks>(
    task: Task,
    input: Parameters<Tasks[Task]>[0],
    within: number,
  ): ReturnType<Tasks[Task]> {
    if (this.queue.size >= MOST_WAITING) return Promise.reject(busy()) as ReturnType<Tasks[Task]>;
    return this.queue.add(async () => {
      const worker = this.idle.pop() ?? this.start();
      const said = await answered(worker, { task, input }, within);
      if (said === null) {
        void worker.terminate();
        throw tooLong(within);
      }
      this.idle.push(worker);
      if ('error' in said) throw new Error(said.error);
      return said.result;
    }) as ReturnType<Tasks[Task]>;
  }

  async onApplicationShutdown(): Promise<void> {
    await Promise.all(this.idle.map((worker) => worker.terminate()));
  }

  private start(): Worker {
    const worker = new Worker(script, { resourceLimits: { maxOldGenerationSizeMb: MEGABYTES } });
    // A thread with nothing to do keeps no process from its end.
    worker.unref();
    worker.once('exit', () => (this.idle = this.idle.filter((other) => other !== worker)));
    return worker;
  }
}

/** What a thread answers; null when it doesn't in time, or ends over it. */
function answered(worker: Worker, message: unknown, within: number): Promise<Said | null> {
  return new Promise((resolve) => {
    const settle = (said: Said | null) => {
      clearTimeout(timer);
      worker.removeAllListeners('message').removeAllListeners('error');
      // A thread that ends late must not end the process.
      worker.on('error', () => undefined);
      resolve(said);
    };
    const timer = setTimeout(() => settle(null), within);
    worker.removeAllListeners('error');
    worker.once('message', (said: Said) => settle(said));
    worker.once('error', () => settle(null));
    worker.postMessage(message);
  });
}

const tooLong = (within: number) =>
  new ProblemException(
    HttpStatus.UNPROCESSABLE_ENTITY,
    'takes-too-long',
    'It takes too long to read',
    `It could not be read within ${Math.round(within / 1000)} s, and was not stored. Make it simpler or smaller.`,
  );

const busy = () =>
  new ProblemException(
    HttpStatus.SERVICE_UNAVAILABLE,
    'busy',
    'Too much to do just now',
    'Too many files wait to be read. Nothing was stored; try again in a moment.',
  );
