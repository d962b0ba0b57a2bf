import { Agent, request as send, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { performance } from 'node:perf_hooks';
import { createSeededRandom, pickOne } from '@sardonyx/core';
import type { Express } from 'express';

interface Route {
  readonly method: string;
  readonly path: string;
}

interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Buffer | null;
}

interface Answered {
  readonly status: number;
  readonly text: string;
}

export interface FuzzResult {
  readonly asked: number;
  /** Answered as a fault of ours, or not at all. */
  readonly faults: readonly (Asked & Answered)[];
  /** The slowest answer to "health" that was asked meanwhile, ms. */
  readonly slowestHealthMs: number;
  /** Of how many requests what was sent was taken: hostile ones that reach nothing test nothing. */
  readonly taken: number;
}

type Layer = { readonly route?: { readonly path: string; readonly stack: readonly { readonly method: string }[] } } & {
  readonly handle?: { readonly stack?: readonly Layer[] };
};

/** Every route of an app, as it was registered; `under` is the path that they are mounted at. */
export function listRoutes(app: Express, under = '/api'): Route[] {
  const walk = (layers: readonly Layer[]): Route[] =>
    layers.flatMap(({ route, handle }) =>
      route
        ? route.stack.map(({ method }) => ({ method: method.toUpperCase(), path: `${under}${route.path}` }))
        : walk(handle?.stack ?? []),
    );
  const found = walk((app as unknown as { router: { stack: readonly Layer[] } }).router.stack);
  return [
    ...new Map(
      found.filter(({ path }) => !path.includes('*')).map((one) => [`${one.method} ${one.path}`, one]),
    ).values(),
  ];
}

const STRANGE: readonly unknown[] = [
  ...[
    '',
    ' ',
    'x',
    'é\u0000',
    '\ud800',
    '💡'.repeat(40),
    'a'.repeat(5000),
    '__proto__',
    'constructor',
    'NaN',
    '2026-02-30',
  ],
  ...[
    '2026-11-20',
    '2026-11-20T10:00:00.000Z',
    '../../etc/passwd',
    "'; DROP TABLE job; --",
    '<script>',
    '#ffffff',
    '=1+1',
  ],
  ...[0, -1, 1, 2, 0.5, 1e9, -1e308, 1e308, 5e-324, 2 ** 53, true, false, null],
  ...[[], {}, [null], [[]], [1, 2, 3], ['a'], { length: 1 }, { toString: 1 }, { $ne: 1 }, [{}], { x: 1, y: 2 }],
];

interface FuzzOptions {
  readonly seed: number;
  readonly count: number;
  readonly skip?: readonly RegExp[];
  readonly under?: string;
  /** Headers that go with each: those of somebody who is let in. */
  readonly always?: Readonly<Record<string, string>>;
}

/** Sends seeded hostile requests to every route, learning from its refusals what it wants, so that they get deep. */
export async function fuzz(
  app: Express,
  server: Server,
  ids: readonly string[],
  { seed, count, skip = [], under, always = {} }: FuzzOptions,
): Promise<FuzzResult> {
  const random = createSeededRandom(seed);
  const routes = listRoutes(app, under).filter(
    ({ method, path }) => !skip.some((one) => one.test(`${method} ${path}`)),
  );
  const learned = new Map(routes.map((route) => [route, new Map<string, unknown[]>()]));
  const agent = new Agent({ keepAlive: true });
  const { port } = server.address() as AddressInfo;
  const ask = (asked: Asked): Promise<Answered> =>
    new Promise((done) => {
      const { method, path, headers, body } = asked;
      const outgoing = send(
        { port, method, path, headers: { ...always, ...headers }, agent, host: '127.0.0.1' },
        (answer) => {
          // A stream does not end by itself.
          if (String(answer.headers['content-type']).startsWith('text/event-stream')) {
            done({ status: answer.statusCode ?? 0, text: '' });
            outgoing.destroy();
            return;
          }
          const pieces: Buffer[] = [];
          answer.on('data', (piece: Buffer) => pieces.length < 40 && pieces.push(piece));
          answer.on('end', () =>
            done({ status: answer.statusCode ?? 0, text: Buffer.concat(pieces).toString('utf8') }),
          );
          answer.on('error', () => done({ status: 0, text: 'broken off' }));
        },
      );
      outgoing.setTimeout(5000, () => outgoing.destroy());
      outgoing.on('error', (error: NodeJS.ErrnoException) => {
        // The server let an idle connection go in the same moment: no answer was lost, none was begun.
        if (outgoing.reusedSocket && error.code === 'ECONNRESET') return void ask(asked).then(done);
        done({ status: 0, text: error.message });
      });
      outgoing.end(body ?? undefined);
    });

  let isOver = false;
  let slowestHealthMs = 0;
  const watch = async () => {
    while (!isOver) {
      const from = performance.now();
      await ask({ method: 'GET', path: '/api/health', headers: {}, body: null });
      slowestHealthMs = Math.max(slowestHealthMs, performance.now() - from);
      await new Promise((done) => setTimeout(done, 20));
    }
  };
  const watching = watch();
  const faults: (Asked & Answered)[] = [];
  let taken = 0;
  for (let i = 0; i < count; i++) {
    const route = pickOne(routes, random);
    const known = learned.get(route)!;
    const fields = createFields(known);
    const asked = createRequest(route, fields);
    const answered = await ask(asked);
    if (answered.status >= 500 || answered.status === 0) faults.push({ ...asked, ...answered });
    if (answered.status >= 200 && answered.status < 300) taken++;
    learn(known, fields, answered);
  }
  isOver = true;
  await watching;
  agent.destroy();
  return { asked: count, faults, slowestHealthMs, taken };

  function createFields(known: ReadonlyMap<string, readonly unknown[]>): Record<string, unknown> {
    const fields: Record<string, unknown> = {};
    for (const [key, values] of known) {
      if (random() < 0.05) continue;
      fields[key] = values.length > 0 && random() < 0.8 ? pickOne(values, random) : pickValue();
    }
    if (random() < 0.05)
      fields[pickOne(['__proto__', 'constructor', 'toString', 'id', 'extra', ''], random)] = pickValue();
    return fields;
  }

  function pickSegment(): string {
    const value = pickValue();
    const text = typeof value === 'string' ? value.replaceAll('\ud800', '') : JSON.stringify(value);
    return encodeURIComponent(text.slice(0, 130)) || '-';
  }

  function pickValue(): unknown {
    return random() < 0.35 ? pickOne(ids, random) : pickOne(STRANGE, random);
  }

  function createRequest({ method, path }: Route, fields: Record<string, unknown>): Asked {
    const filled = path.replace(/:[a-zA-Z]+|\{\*[a-z]+\}/g, () => pickSegment());
    const kind = random();
    const at =
      random() < 0.02
        ? `${filled}${pickOne(['%', '%ff', '/%c0%af', '?a[b]=c&__proto__[x]=1', '?version=x', '//'], random)}`
        : filled;
    if (method === 'GET' || method === 'DELETE') return { method, path: at, headers: {}, body: null };
    const json = safeJson(fields);
    const type = 'application/json';
    if (kind < 0.86) return { method, path: at, headers: { 'content-type': type }, body: json };
    return { method, path: at, ...pickOne(BROKEN, random)(json) };
  }

  /** Required fields are named by the refusal, and what may stand in them often is, too; what it does not name was right. */
  function learn(
    known: Map<string, unknown[]>,
    fields: Readonly<Record<string, unknown>>,
    { status, text }: Answered,
  ): void {
    let complaints: Record<string, string> = {};
    try {
      complaints = (JSON.parse(text) as { fields?: Record<string, string> }).fields ?? {};
    } catch {
      // Not everything is answered in JSON.
    }
    if (status === 400)
      for (const [path, message] of Object.entries(complaints)) {
        const key = path.split('.')[0]!;
        if (/should not exist/.test(message)) known.delete(key);
        else if (!known.has(key)) known.set(key, []);
        const listed = /one of the following values: ([^.]+)/.exec(message)?.[1]?.split(', ') ?? [];
        if (listed.length && known.get(key)?.length === 0) known.set(key, listed);
      }
    if (status >= 200 && status !== 404 && status < 500)
      for (const [key, value] of Object.entries(fields)) {
        const values = known.get(key);
        if (values && values.length < 12 && complaints[key] === undefined && !values.includes(value))
          values.push(value);
      }
  }
}

function safeJson(fields: Readonly<Record<string, unknown>>): string {
  const text = JSON.stringify(fields);
  // As a key of its own, which no object literal gives.
  return '__proto__' in fields ? text : text.replace('"extra"', '"__proto__"');
}

type Broken = (json: string) => { readonly headers: Record<string, string>; readonly body: string | Buffer };
const multipart = (body: string) => ({
  headers: { 'content-type': 'multipart/form-data; boundary=edge' },
  body: body.replaceAll('\n', '\r\n'),
});
/** Bodies that are not what they say. */
const BROKEN: readonly Broken[] = [
  (json) => ({ headers: { 'content-type': 'application/json' }, body: json.slice(0, -1) }),
  (json) => ({ headers: { 'content-type': 'application/json; charset=ibm1047' }, body: json }),
  (json) => ({ headers: { 'content-type': 'application/json; charset=utf-16' }, body: json }),
  (json) => ({ headers: { 'content-type': 'application/json', 'content-encoding': 'gzip' }, body: json }),
  (json) => ({ headers: { 'content-type': 'application/json', 'content-encoding': 'rot13' }, body: json }),
  (json) => ({ headers: { 'content-type': 'text/plain' }, body: json }),
  (json) => ({ headers: { 'content-type': 'text/csv' }, body: json }),
  () => ({ headers: { 'content-type': 'application/json' }, body: '['.repeat(20_000) }),
  () => ({ headers: { 'content-type': 'application/json' }, body: `{"a":`.repeat(5000) + '1' + '}'.repeat(5000) }),
  () => ({ headers: { 'content-type': 'application/json' }, body: `"${'x'.repeat(1_100_000)}"` }),
  () => ({ headers: { 'content-type': 'application/json' }, body: 'null' }),
  () => ({ headers: { 'content-type': 'application/json' }, body: '[1,2]' }),
  () => ({ headers: { 'content-type': 'application/zip' }, body: Buffer.from('PK\u0003\u0004 nothing more') }),
  () => ({
    headers: { 'content-type': 'application/json' },
    body: '{"__proto__":{"isAdmin":true},"constructor":{"prototype":{}}}',
  }),
  () => ({ headers: { 'content-type': 'multipart/form-data' }, body: 'no boundary' }),
  () =>
    multipart('--edge\nContent-Disposition: form-data; name="picture"; filename="a.jpg"\n\nnot a picture\n--edge--\n'),
  () => multipart('--edge\nContent-Disposition: form-data; name="other"; filename="a.jpg"\n\nx\n--edge--\n'),
  () => multipart('--edge\nContent-Disposition: form-data; name="a[b][c]"\n\nx\n'),
  () => multipart('--edge\nContent-Disposition: form-data; name="__proto__"\n\nx\n--edge--\n'),
];
