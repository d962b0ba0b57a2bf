// Runs a TypeScript file from the project's root, after set-up and with the page built: node scripts/runTs.mjs FILE ARGS...
import { spawnSync } from 'node:child_process';
import { buildWeb } from './buildWeb.mjs';
import { root, setUp } from './setUp.mjs';

const [file, ...args] = process.argv.slice(2);
await setUp();
await buildWeb();
const run = spawnSync(process.execPath, ['--import', 'tsx', file, ...args], { cwd: root, stdio: 'inherit' });
process.exit(run.status ?? 1);
