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

/**
 * The test files that ran the function, those of its own folder first, then approved texts, which see most, then quick ones;
 * for the top of a file, those that loaded it.
 */
export function findRelatedTests(runs: readonly TestRun[], file: string, inside: string | null): string[] {
  const rank = (test: string) => (dirname(test) === dirname(file) ? 0 : basename(test).startsWith('approved') ? 1 : 2);
  const key = inside === null ? file : `${file} ${inside}`;
  return runs
    .filter(({ ran }) => ran.has(key))
    .sort((a, b) => rank(a.test) - rank(b.test) || a.ms - b.ms)
    .map(({ test }) => test);
}
