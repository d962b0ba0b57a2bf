/** `npm run mutate`: does a test notice when one small thing is wrong? `-- --count 200 --seed 1 --only packages/core/src/gates --workers 2` */
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { createMutants, type Mutant } from './createMutants.ts';
import { findRelatedTests, observeTest, type TestRun } from './findRelatedTests.ts';
import { runTests } from './runTests.ts';

const CORE_ROOMS = ['compile', 'opening', 'gates', 'facts', 'supply', 'schools', 'words', 'film', 'process', 'record'];
const GOAL = 0.85;

const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '220' },
    seed: { type: 'string', default: '1' },
    only: { type: 'string', default: '' },
    workers: { type: 'string', default: '2' },
  },
});
const repository = join(import.meta.dirname, '../..');
const listFiles = (folder: string) =>
  readdirSync(join(repository, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts'))
    .map((name) => join(folder, name));
const isTest = (file: string) => file.endsWith('.test.ts');
const rooms = [...CORE_ROOMS.map((room) => `packages/core/src/${room}`), 'packages/server/src/modules'];
const sources = rooms.flatMap(listFiles).filter((file) => !isTest(file) && file.startsWith(values.only));
const tests = ['packages/core', 'packages/server'].flatMap(listFiles).filter(isTest);

const random = createSeededRandom(Number(values.seed));
const drawn = sources
  .toSorted()
  .flatMap((file) => createMutants(file, readFileSync(join(repository, file), 'utf8')))
  .map((mutant) => ({ mutant, at: random() }))
  .sort((a, b) => a.at - b.at)
  .slice(0, Number(values.count))
  .map(({ mutant }) => mutant);

/** A copy to break; the packages it links are its own. */
function copyRepository(): string {
  const copy = mkdtempSync(join(tmpdir(), 'sardonyx-mutate-'));
  for (const name of ['packages', 'scripts', 'bench', 'docs', 'package.json', 'tsconfig.base.json', 'tsconfig.json'])
    cpSync(join(repository, name), join(copy, name), { recursive: true });
  mkdirSync(join(copy, 'node_modules/@sardonyx'), { recursive: true });
  for (const name of readdirSync(join(repository, 'node_modules')))
    if (name !== '@sardonyx') symlinkSync(join(repository, 'node_modules', name), join(copy, 'node_modules', name));
  for (const name of readdirSync(join(repository, 'node_modules/@sardonyx')))
    symlinkSync(join(copy, 'packages', name), join(copy, 'node_modules/@sardonyx', name));
  return copy;
}

const copies = Array.from({ length: Number(values.workers) }, copyRepository);

/** Each item once, by whichever copy is free. */
async function shareOut<Item>(items: readonly Item[], work: (copy: string, item: Item) => Promise<void>) {
  const queue = [...items];
  await Promise.all(
    copies.map(async (copy) => {
      for (let item = queue.shift(); item !== undefined; item = queue.shift()) await work(copy, item);
    }),
  );
}

// The demo as the unbroken code fills it; making its photographs anew for every change would take most of the time.
const demo = join(mkdtempSync(join(tmpdir(), 'sardonyx-mutate-demo-')), 'demo');
process.env.SARDONYX_TEST_DEMO = demo;
await runTests(copies[0]!, ['packages/server/test/approvedAnswers.test.ts']);

const runs: TestRun[] = [];
await shareOut(tests, async (copy, test) => {
  runs.push(await observeTest(copy, test, join(copy, 'scratch')));
});
console.log(`${runs.length} test files run as they stand; ${drawn.length} changes to try.`);

let killed = 0;
const alive: Mutant[] = [];
await shareOut(drawn, async (copy, mutant) => {
  const path = join(copy, mutant.file);
  const whole = readFileSync(path, 'utf8');
  writeFileSync(path, whole.slice(0, mutant.start) + mutant.text + whole.slice(mutant.end));
  const related = findRelatedTests(runs, mutant.file, mutant.inside);
  const survives = related.length === 0 || (await runTests(copy, related)).passed;
  writeFileSync(path, whole);
  if (survives) alive.push(mutant);
  else killed++;
  const say = (text: string) => text.replaceAll(/\s+/g, ' ').slice(0, 70);
  if ((killed + alive.length) % 20 === 0) console.log(`${killed + alive.length} tried, ${killed} killed`);
  if (survives) console.log(`alive  ${mutant.file}:${mutant.line}  ${say(mutant.was)}  ->  ${say(mutant.text)}`);
});
for (const copy of [...copies, join(demo, '..')]) rmSync(copy, { recursive: true, force: true });

const share = killed / drawn.length;
console.log(`\n${drawn.length} changes, ${alive.length} alive (seed ${values.seed}).`);
console.log(`tests.mutantsKilled ${share.toFixed(3)}  goal at least ${GOAL}  ${share >= GOAL ? 'met' : 'MISSED'}`);
