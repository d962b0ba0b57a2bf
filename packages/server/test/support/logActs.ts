import { expect } from 'chai';
import { forget } from '../../src/workroom.ts';
import type { TestBench } from './createTestBench.ts';

/** Ids and hashes that chance made. */
export const CHANCE = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}|[0-9a-f]{64}/g;

/** Outlines of a drawing are counted only. */
const write = (value: unknown): string =>
  JSON.stringify(value, (key, inner: unknown) => (key === 'shapes' && isList(inner) ? inner.length : inner));

const writeAnswer = (answer: unknown) =>
  typeof answer === 'object' && answer !== null ? writeRows(answer) : write(answer);

const isList = (value: unknown): value is unknown[] => Array.isArray(value) && typeof value[0] !== 'number';

/** Row by row, so that a difference names its row. */
export function writeRows(answer: object): string {
  if (Array.isArray(answer)) return answer.map((row) => `\n    ${typeof row === 'string' ? row : write(row)}`).join('');
  const own = write(answer);
  if (own.length < 400) return own;
  return Object.entries(answer)
    .map(([name, value]) => `\n  ${name}: ${isList(value) ? writeRows(value) : write(value)}`)
    .join('');
}

type Method = 'get' | 'post' | 'patch' | 'put' | 'delete';

/** What is kept from before the act is what is read of it anew. */
async function expectNothingStale({ http, room }: TestBench, act: string) {
  const read = async () => {
    const answers = [];
    for (const view of ['bench', 'stock', 'decals']) answers.push((await http.get(`/api/${view}`).expect(200)).text);
    return answers;
  };
  const kept = await read();
  forget(room, 'all');
  expect(await read(), `what is shown after ${act}`).deep.equal(kept);
}

/** Writes down what is asked and what comes back, line by line; ids that chance made are numbered as they come up. */
export function logActs(bench: TestBench) {
  const lines: string[] = [];
  const numbers = new Map<string, string>();
  const numberOf = (id: string) => numbers.get(id) ?? numbers.set(id, `#${numbers.size + 1}`).get(id)!;
  const say = (text: string) => void lines.push(text.replaceAll(CHANCE, numberOf));
  return {
    write: say,
    /** One request; its answer goes into the text whole, or what is picked of it. */
    async act<T = { id: string; version: number }>(
      method: Method,
      path: string,
      body?: object,
      pick: (answer: T) => unknown = (answer) => answer,
      { isQuiet = false } = {},
    ): Promise<T> {
      const request = bench.http[method](`/api/${path}`);
      const { status, body: answer } = await (body === undefined ? request : request.send(body));
      if (method !== 'get') await expectNothingStale(bench, `${method} ${path}`);
      // No two acts fall into the same minute.
      if (method !== 'get') bench.pass(1);
      say(`${method.toUpperCase()} ${path}${body === undefined || isQuiet ? '' : ` ${JSON.stringify(body)}`}`);
      say(`  ${status}${status === 204 ? '' : ` ${writeAnswer(status < 300 ? pick(answer as T) : answer)}`}`);
      return answer as T;
    },
    text: () => lines.join('\n'),
  };
}
