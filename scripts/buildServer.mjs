// Bundles the server unless the bundle is newer than everything it is made from: it starts in half the time.
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { newest } from './newest.mjs';
import { root } from './setUp.mjs';

const SOURCES = ['packages/server/src', 'packages/core/src', 'packages/contract/src', 'package-lock.json'];
/** The server, and what runs in threads beside it, each under its own name. */
const ENTRIES = ['main.ts', 'aside/asideThread.ts', 'modules/opening/openingThread.ts'];

export const SERVER = join(root, 'packages/server/dist/main.js');

export async function buildServer() {
  if (existsSync(SERVER) && statSync(SERVER).mtimeMs > Math.max(...SOURCES.map((source) => newest(join(root, source)))))
    return;
  // Not before the packages are installed.
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: root,
    entryPoints: ENTRIES.map((entry) => `packages/server/src/${entry}`),
    entryNames: '[name]',
    outdir: 'packages/server/dist',
    ...{ bundle: true, platform: 'node', format: 'esm', target: 'node20', sourcemap: true, keepNames: true },
    packages: 'external',
    // Ours are bundled along.
    alias: {
      '@sardonyx/core': join(root, 'packages/core/src/index.ts'),
      '@sardonyx/contract': join(root, 'packages/contract/src/index.ts'),
    },
    logLevel: 'warning',
  });
}
