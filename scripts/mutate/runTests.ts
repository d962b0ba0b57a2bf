import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const MOCHA = JSON.parse(readFileSync(join(import.meta.dirname, '../mocha.json'), 'utf8')) as readonly string[];

/** Far beyond what the slowest file takes: a mutant that never ends counts as killed. */
const LONGEST_MS = 180_000;

export function runTests(
  root: string,
  tests: readonly string[],
  env: Readonly<Record<string, string>> = {},
): Promise<{ readonly passed: boolean; readonly output: string }> {
  return new Promise((done) => {
    const child = spawn(process.execPath, [...MOCHA, '--bail', '--reporter', 'dot', ...tests], {
      cwd: root,
      env: { ...process.env, ...env },
      detached: true,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    child.stdout.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (output += chunk.toString()));
    // The whole group: mocha runs its tests in a child of its own.
    const tooLong = setTimeout(() => process.kill(-child.pid!, 'SIGKILL'), LONGEST_MS);
    child.on('close', (code) => {
      clearTimeout(tooLong);
      done({ passed: code === 0, output });
    });
  });
}
