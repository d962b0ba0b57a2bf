// Everything that must hold: set-up, lint, import rules, types, core, server, then the real page in Chromium.
// The last line is the sum over the suites: "N passed, N failed".
import { spawn } from 'node:child_process';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildServer } from './buildServer.mjs';
import { buildWeb } from './buildWeb.mjs';
import { compileDatabaseDriver, findChromium, findPoppler, installPackages, root, run } from './setUp.mjs';

/** How every suite is run; the trial of mutants runs them so too. */
const MOCHA = JSON.parse(await readFile(new URL('mocha.json', import.meta.url), 'utf8'));

let passed = 0;
let failed = 0;
const began = performance.now();

/** A check without tests of its own counts as one. */
async function check(name, command, args) {
  const from = performance.now();
  try {
    await run(command, args, { quiet: true });
    passed++;
    console.log(`ok      ${name} (${seconds(from)})`);
  } catch (error) {
    failed++;
    console.log(`FAILED  ${name}\n${error.output ?? error.message}`);
  }
}

/** A mocha suite; its tests are counted. */
function suite(name, patterns, env = {}) {
  const from = performance.now();
  return new Promise((done) => {
    const args = [...MOCHA, '--reporter', 'json', '--reporter-option', `output=${reportOf(name)}`, ...patterns];
    const child = spawn(process.execPath, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    child.stdout.on('data', (chunk) => (output += chunk));
    child.stderr.on('data', (chunk) => (output += chunk));
    child.on('close', async () => {
      const report = await readReport(name);
      if (!report) {
        failed++;
        console.log(`FAILED  ${name}: the suite did not run\n${output.slice(-4000)}`);
      } else {
        passed += report.stats.passes;
        failed += report.stats.failures;
        console.log(
          `${report.stats.failures ? 'FAILED ' : 'ok     '} ${name}: ${report.stats.passes} passed, ${report.stats.failures} failed (${seconds(from)})`,
        );
        for (const test of report.failures)
          console.log(
            `  - ${test.fullTitle}\n    ${(test.err.stack ?? test.err.message ?? '').replaceAll('\n', '\n    ')}`,
          );
      }
      done();
    });
  });
}

const seconds = (from) => `${((performance.now() - from) / 1000).toFixed(0)} s`;
const reports = await mkdtemp(join(tmpdir(), 'sardonyx-test-'));
const reportOf = (name) => join(reports, `${name.replaceAll(' ', '-')}.json`);
const readReport = (name) => readFile(reportOf(name), 'utf8').then(JSON.parse, () => null);

await installPackages();
// The demo that all suites copy: drawing its photographs takes a while.
process.env.SARDONYX_TEST_DEMO = join(reports, 'demo');
const COLOURS = 'packages/core/src/colour/**/*.test.ts';
await Promise.all([
  // The driver compiles beside everything that does not need it.
  (async () => {
    await compileDatabaseDriver();
    await run(process.execPath, ['--import', 'tsx', 'packages/server/test/support/fillDemo.ts'], { quiet: true });
    await buildWeb();
    await buildWeb('kit');
    await buildServer();
  })(),
  (async () => {
    await check('lint', 'node', ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0']);
    await check('format', 'node', ['node_modules/prettier/bin/prettier.cjs', '--check', '.', '--log-level', 'warn']);
    await check('imports', 'node', [
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      '--config',
      '.dependency-cruiser.cjs',
      'packages',
      'bench',
      'e2e',
    ]);
    await check('nothing unused', 'node', ['node_modules/knip/bin/knip.js', '--no-progress']);
    await check('types', 'node', ['scripts/typecheck.mjs']);
    await suite('colours in core', [COLOURS]);
  })(),
  (async () => {
    await suite('core', ['packages/core/src/**/*.test.ts', 'packages/core/test/**/*.test.ts', '--ignore', COLOURS]);
    await suite('contract and page logic', ['packages/contract/src/**/*.test.ts', 'packages/web/src/**/*.test.ts']);
  })(),
]);
const chromium = await findChromium();
await findPoppler();
// Two files at a time, whichever is next: neither core waits for the longer half of the list.
const TWO = ['--parallel', '--jobs', '2'];
await suite('server', [...TWO, 'packages/server/src/**/*.test.ts', 'packages/server/test/**/*.test.ts']);
await suite('the page in Chromium', [...TWO, 'e2e/*.test.ts'], { SARDONYX_CHROMIUM: chromium });
await rm(reports, { recursive: true, force: true });

console.log(`Took ${seconds(began)}.`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
