import { wrap, type Remote } from 'comlink';
import type { FitWorker } from './fit.worker';

let worker: Remote<FitWorker> | null = null;

/** The worker that checks the fit and works out bands; started when it is first needed. */
export function fitWorker(): Remote<FitWorker> {
  worker ??= wrap<FitWorker>(new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}
