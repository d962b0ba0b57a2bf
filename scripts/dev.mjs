// The demo bench with the page rebuilt as its files change: http://localhost:4181
import { spawn } from 'node:child_process';
import { root, setUp } from './setUp.mjs';

await setUp();
const children = [
  spawn(process.execPath, ['--import', 'tsx', '--watch', 'packages/server/src/main.ts', '--demo'], {
    cwd: root,
    stdio: 'inherit',
  }),
  spawn(
    process.execPath,
    ['node_modules/vite/bin/vite.js', 'packages/web', '--config', 'packages/web/vite.config.ts'],
    { cwd: root, stdio: 'inherit' },
  ),
];
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((child) => child.kill(signal)));
for (const child of children) {
  child.on('exit', (code) => {
    for (const other of children) other.kill();
    process.exit(code ?? 0);
  });
}
