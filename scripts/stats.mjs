// Lines of code and of tests per package (blank lines left out), and the share of tests.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setUp.mjs';

const GROUPS = ['packages/core', 'packages/contract', 'packages/server', 'packages/web', 'e2e', 'bench', 'scripts'];
const isTest = (file) => /(\.test\.tsx?$|\/test\/|^e2e\/)/.test(file);
const isCounted = (file) => /\.(ts|tsx|mjs|cjs)$/.test(file) && !/migrations\/\d/.test(file);
const countLines = (file) =>
  readFileSync(join(root, file), 'utf8')
    .split('\n')
    .filter((line) => line.trim()).length;

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], {
  cwd: root,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => isCounted(file) && existsSync(join(root, file)));
let code = 0;
let tests = 0;
console.log(`${'where'.padEnd(20)}${'code'.padStart(8)}${'tests'.padStart(8)}`);
for (const group of GROUPS) {
  const own = files.filter((file) => file.startsWith(`${group}/`));
  const sum = (list) => list.reduce((total, file) => total + countLines(file), 0);
  const [ownCode, ownTests] = [sum(own.filter((file) => !isTest(file))), sum(own.filter(isTest))];
  code += ownCode;
  tests += ownTests;
  console.log(`${group.padEnd(20)}${String(ownCode).padStart(8)}${String(ownTests).padStart(8)}`);
}
console.log(`${'all'.padEnd(20)}${String(code).padStart(8)}${String(tests).padStart(8)}`);
console.log(`Tests are ${((100 * tests) / (code + tests)).toFixed(1)} % of all code (wanted: 25 to 33 %).`);
