// Builds the page unless the build is newer than everything it is made from.
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './setUp.mjs';

const SOURCES = ['packages/web', 'packages/core/src', 'packages/contract/src', 'package-lock.json'];

function newest(path) {
  const entry = statSync(path);
  if (!entry.isDirectory()) return entry.mtimeMs;
  return Math.max(
    0,
    ...readdirSync(path)
      .filter((name) => name !== 'dist' && name !== 'node_modules')
      .map((name) => newest(join(path, name))),
  );
}

export async function buildWeb() {
  const built = join(root, 'packages/web/dist/index.html');
  if (existsSync(built) && statSync(built).mtimeMs > Math.max(...SOURCES.map((source) => newest(join(root, source)))))
    return;
  console.log('Building the page ...');
  await run('node', [
    'node_modules/vite/bin/vite.js',
    'build',
    'packages/web',
    '--config',
    'packages/web/vite.config.ts',
    '--logLevel',
    'warn',
  ]);
}
