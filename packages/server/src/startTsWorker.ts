import { Worker, type WorkerOptions } from 'node:worker_threads';

/** A worker thread that runs TypeScript: it does not inherit the loader, so it registers its own first. */
export function startTsWorker(file: URL, options: WorkerOptions): Worker {
  const boot = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(file.href)})))`;
  return new Worker(boot, { ...options, eval: true });
}
