import { resolve } from 'node:path';
import { preview } from 'vite';
import { buildWeb } from '../../scripts/buildWeb.mjs';

const WEB = resolve(import.meta.dirname, '../../packages/web');

/** Serves the page of the kit, which needs no bench behind it. */
export async function startKit(): Promise<{ readonly address: string; close(): Promise<void> }> {
  await buildWeb('kit');
  const server = await preview({
    root: WEB,
    configFile: false,
    logLevel: 'warn',
    build: { outDir: 'dist-kit' },
    preview: { port: 0, host: '127.0.0.1', strictPort: false },
  });
  return { address: server.resolvedUrls!.local[0]!.replace(/\/$/, ''), close: () => server.close() };
}
