import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { runTests } from './runTests.ts';

interface Script {
  readonly url: string;
  readonly functions: readonly {
    readonly functionName: string;
    readonly ranges: readonly { readonly count: number }[];
  }[];
}

/** Which functions a test file really ran, from what the engine counted. */
export interface TestRun {
  readonly test: string;
  readonly ms: number;
  /** "file function" for each that ran; "file" for each that was loaded. */
  readonly ran: ReadonlySet<string>;
}

/** Runs one test file and notes what it touched. Throws when it fails without any mutant. */
export async function observeTest(root: string, test: string, scratch: string): Promise<TestRun> {
  const from = performance.now();
  const { passed, output } = await runTests(root, [test], { NODE_V8_COVERAGE: scratch });
  if (!passed) throw new Error(`${test} fails as it stands:\n${output.slice(-1500)}`);
  const ran = new Set<string>();
  for (const name of readdirSync(scratch)) {
    const { result } = JSON.parse(readFileSync(join(scratch, name), 'utf8')) as { readonly result: readonly Script[] };
    for (const script of result) {
      if (!script.url.startsWith('file:')) continue;
      const file = fileURLToPath(script.url.split('?')[0]!).replace(`${root}/`, '');
      ran.add(file);
      for (const { functionName, ranges } of script.functions)
        if (functionName && ranges.some(({ count }) => count > 0)) ran.add(`${file} ${functionName}`);
    }
  }
  rmSync(scratch, { recursive: true, force: true });
  return { test, ms: performance.now() - from, ran };
}

/** Of the tests that merely pass by, so many are asked: what the quickest miss counts as alive. */
const MOST_OTHERS = 10;

/**
 * The test files that ran the function: those of its own folder or named after it, then the approved texts of its package, then the quickest
 * others. For what lies in no declared function, those that loaded the file.
 */
export function findRelatedTests(runs: readonly TestRun[], file: string, inside: string | null): string[] {
  const key = inside === null ? file : `${file} ${inside}`;
  const related = runs.filter(({ ran }) => ran.has(key)).sort((a, b) => a.ms - b.ms);
  const packageOf = (path: string) => path.split('/')[1];
  const folder = basename(dirname(file)).toLowerCase();
  const isBeside = ({ test }: TestRun) =>
    dirname(test) === dirname(file) || basename(test).toLowerCase().includes(folder);
  const isApproved = ({ test }: TestRun) =>
    basename(test).startsWith('approved') && packageOf(test) === packageOf(file);
  const own = related.filter((run) => isBeside(run) || isApproved(run));
  const others = related.filter((run) => !own.includes(run)).slice(0, MOST_OTHERS);
  return [...own.filter(isBeside), ...own.filter((run) => !isBeside(run)), ...others].map(({ test }) => test);
}
