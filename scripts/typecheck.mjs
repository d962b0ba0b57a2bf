// Type-checks every package, the tests and the bench; prints each config that fails.
import { root, run } from './setUp.mjs';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

const configs = ['packages/core', 'packages/contract', 'packages/server', 'packages/web', 'e2e'].filter((folder) =>
  existsSync(join(root, folder, 'tsconfig.json')),
);
for (const config of configs) {
  await run('node', ['node_modules/typescript/bin/tsc', '-p', config]).catch(() => {
    console.error(`Types do not hold in ${config}`);
    process.exit(1);
  });
}
