import { Worker, type WorkerOptions } from 'node:worker_threads';

/**
 * A worker thread. One that runs TypeScript does not inherit the loader, so it registers its own first; where the server is
 * bundled its threads lie beside it.
 */
export function startTsWorker(file: URL, options: WorkerOptions): Worker {
  if (!import.meta.url.endsWith('.ts')) return new Worker(new URL(file.href.replace(/\.ts$/, '.js')), options);
  const boot = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(file.href)})))`;
  return new Worker(boot, { ...options, eval: true });
}
