// Builds the page unless the build is newer than everything it is made from.
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { newest } from './newest.mjs';
import { root, run } from './setUp.mjs';

const SOURCES = ['packages/web', 'packages/core/src', 'packages/contract/src', 'package-lock.json'];

/** `mode`: 'production' is what restorers get; 'kit' has the page of the kit besides, in a folder of its own. */
export async function buildWeb(mode = 'production') {
  const built = join(root, 'packages/web', mode === 'kit' ? 'dist-kit' : 'dist', 'index.html');
  if (existsSync(built) && statSync(built).mtimeMs > Math.max(...SOURCES.map((source) => newest(join(root, source)))))
    return;
  console.log('Building the page ...');
  await run('node', [
    'node_modules/vite/bin/vite.js',
    'build',
    'packages/web',
    '--mode',
    mode,
    '--config',
    'packages/web/vite.config.ts',
    '--logLevel',
    'warn',
  ]);
}
