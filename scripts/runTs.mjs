// Runs a TypeScript file from the project's root, after set-up: node scripts/runTs.mjs FILE ARGS...
import { spawnSync } from 'node:child_process';
import { root, setUp } from './setUp.mjs';

const [file, ...args] = process.argv.slice(2);
await setUp();
const run = spawnSync(process.execPath, ['--import', 'tsx', file, ...args], { cwd: root, stdio: 'inherit' });
process.exit(run.status ?? 1);
