import { expect } from 'chai';
import type { EnhancedStore } from '@reduxjs/toolkit';
import type * as EditRow from './editRow.ts';
import type { editsSlice, Unsent } from './editsSlice.ts';

/** A server that answers as told, and remembers what it was asked. */
class FakeServer {
  readonly asked: { method: string; path: string; body: Record<string, unknown> }[] = [];
  private readonly answers: (Response | 'away')[] = [];

  willAnswer(status: number, body: unknown): this {
    this.answers.push(
      new Response(status === 204 ? null : JSON.stringify(body), {
        status,
        headers: { 'content-type': 'application/json' },
      }),
    );
    return this;
  }

  willBeAway(): this {
    this.answers.push('away');
    return this;
  }

  readonly fetch = async (request: Request): Promise<Response> => {
    const text = await request.clone().text();
    this.asked.push({
      method: request.method,
      path: new URL(request.url).pathname,
      body: text ? (JSON.parse(text) as Record<string, unknown>) : {},
    });
    const answer = this.answers.shift();
    if (!answer || answer === 'away') throw new TypeError('Failed to fetch');
    return answer;
  };
}

describe('edits of this window', () => {
  let server: FakeServer;
  let kept: Map<string, string>;
  let store: EnhancedStore;
  let edits: typeof EditRow;
  const original = { fetch: globalThis.fetch, Request: globalThis.Request };

  before(async () => {
    kept = new Map();
    const world = globalThis as unknown as Record<string, unknown>;
    world.localStorage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    };
    // The page's addresses are relative; outside a page they need a host.
    world.Request = class extends original.Request {
      constructor(input: string | URL | Request, init?: RequestInit) {
        super(typeof input === 'string' && input.startsWith('/') ? `http://bench.test${input}` : input, init);
      }
    };
    edits = await import('./editRow.ts');
  });
  after(() => {
    Object.assign(globalThis, original);
    delete (globalThis as unknown as Record<string, unknown>).localStorage;
  });
  beforeEach(async () => {
    server = new FakeServer();
    globalThis.fetch = server.fetch as typeof fetch;
    kept.clear();
    const { configureStore } = await import('@reduxjs/toolkit');
    const { api } = await import('../api/api.ts');
    const { connectionSlice } = await import('../api/connectionSlice.ts');
    const slice = await import('./editsSlice.ts');
    store = configureStore({
      reducer: { api: api.reducer, connection: connectionSlice.reducer, edits: slice.editsSlice.reducer },
      middleware: (defaults) => defaults({ serializableCheck: false }).concat(api.middleware),
    });
  });

  const row = { id: 'sg-04', version: 3, why: 'old', title: 'Dumper' };
  const state = () =>
    store.getState() as {
      edits: ReturnType<typeof editsSlice.getInitialState>;
      connection: { isOnline: boolean; trouble: string | null };
    };
  const dispatch = (action: unknown) => store.dispatch(action as never) as unknown as { unwrap(): Promise<unknown> };
  const change = (changes: Record<string, unknown>, more: object = {}) =>
    dispatch(edits.changeRow({ kind: 'jobs', row, changes, label: 'why', ...more })).unwrap();

  it('send the changed fields with the version they were made from', async () => {
    server.willAnswer(200, { ...row, why: 'new', version: 4 });
    expect(await change({ why: 'new' })).equal(null);
    expect(server.asked).deep.equal([{ method: 'PATCH', path: '/api/jobs/sg-04', body: { why: 'new', version: 3 } }]);
    expect(state().edits).deep.include({ saving: 0, savedOnce: true });
  });

  it('are taken back by the inverse change on the version they made', async () => {
    server.willAnswer(200, { ...row, why: 'new', version: 4 }).willAnswer(200, { ...row, version: 5 });
    await change({ why: 'new' });
    expect(await dispatch(edits.undoLast()).unwrap()).equal(null);
    expect(server.asked[1]).deep.include({ method: 'PATCH', body: { why: 'old', version: 4 } });
    expect(state().edits.undo).deep.equal([]);
  });

  it('are taken back one after the other, down to the first one on the row', async () => {
    server
      .willAnswer(200, { ...row, why: 'new', version: 4 })
      .willAnswer(200, { ...row, why: 'newer', version: 5 })
      .willAnswer(200, { ...row, why: 'new', version: 6 })
      .willAnswer(200, { ...row, why: 'old', version: 7 });
    await change({ why: 'new' });
    await dispatch(
      edits.changeRow({
        kind: 'jobs',
        row: { ...row, why: 'new', version: 4 } as never,
        changes: { why: 'newer' },
        label: 'why',
      }),
    ).unwrap();
    await dispatch(edits.undoLast()).unwrap();
    await dispatch(edits.undoLast()).unwrap();
    expect(server.asked.slice(2).map((one) => one.body)).deep.equal([
      { why: 'new', version: 5 },
      { why: 'old', version: 6 },
    ]);
    expect(state().edits.refusal).equal(null);
  });

  it('are not taken back over somebody’s later change', async () => {
    server
      .willAnswer(200, { ...row, version: 4 })
      .willAnswer(409, { code: 'stale', message: 'Changed.', current: { ...row, version: 9 } });
    await change({ why: 'new' });
    await dispatch(edits.undoLast()).unwrap();
    expect(state().edits.refusal!.error.message).include('it was left as it is');
    expect(state().edits.undo).deep.equal([]);
  });

  it('are sent again when the other window changed another field', async () => {
    server
      .willAnswer(409, { code: 'stale', message: 'Changed.', current: { ...row, title: 'Clay dumper', version: 7 } })
      .willAnswer(200, { ...row, version: 8 });
    expect(await change({ why: 'new' })).equal(null);
    expect(server.asked.map((one) => one.body.version)).deep.equal([3, 7]);
    expect(state().edits.conflict).equal(null);
  });

  it('are shown beside the other’s when both changed the same field; mine goes in only when told so', async () => {
    server
      .willAnswer(409, { code: 'stale', message: 'Changed.', current: { ...row, why: 'theirs', version: 7 } })
      .willAnswer(200, { ...row, why: 'new', version: 8 });
    await change({ why: 'new' });
    const { conflict } = state().edits;
    expect(conflict).deep.include({ fields: ['why'], currentVersion: 7 });
    expect(server.asked).length(1);
    await dispatch(edits.keepMine(conflict!)).unwrap();
    expect(server.asked[1]!.body).deep.equal({ why: 'new', version: 7 });
    expect(state().edits.conflict).equal(null);
  });

  it('wait while the server is away and go out in order', async () => {
    server.willBeAway().willBeAway();
    await change({ why: 'first' });
    await dispatch(edits.createRow({ kind: 'findings', body: { kind: 'rust' }, label: 'rust' })).unwrap();
    expect(state().connection.isOnline).equal(false);
    expect(state().edits.unsent.map((one: Unsent) => [one.act, one.kind])).deep.equal([
      ['change', 'jobs'],
      ['create', 'findings'],
    ]);
    server.willAnswer(200, { ...row, version: 4 }).willAnswer(201, { id: 'f', version: 1 });
    await dispatch(edits.sendUnsent());
    expect(server.asked.slice(2).map((one) => one.method)).deep.equal(['PATCH', 'POST']);
    expect(state().edits.unsent).deep.equal([]);
    expect(state().connection.isOnline).equal(true);
  });

  it('stay in line when the server goes away again meanwhile', async () => {
    server.willBeAway();
    await change({ why: 'first' });
    server.willBeAway();
    await dispatch(edits.sendUnsent());
    expect(state().edits.unsent).length(1);
  });

  it('wait in their order, too, when one of them has to wait again', async () => {
    server.willBeAway().willBeAway();
    await change({ why: 'first' });
    await dispatch(edits.createRow({ kind: 'findings', body: { kind: 'rust' }, label: 'rust' })).unwrap();
    server.willBeAway();
    await dispatch(edits.sendUnsent());
    expect(state().edits.unsent.map((one: Unsent) => one.act)).deep.equal(['change', 'create']);
  });

  it('wait while the disk takes nothing, and are sent once it does', async () => {
    const full = { code: 'disk-full', message: 'The disk is full.' };
    server.willAnswer(507, full).willAnswer(507, full);
    expect(await change({ why: 'first' })).equal(null);
    expect(state().connection).deep.equal({ isOnline: true, trouble: 'The disk is full.' });
    await dispatch(edits.sendUnsent());
    expect(state().edits.unsent).length(1);
    expect(server.asked).length(2);
    server.willAnswer(200, { ok: true, trouble: null }).willAnswer(200, { ...row, version: 4 });
    const { api } = await import('../api/api.ts');
    await dispatch(api.endpoints.getHealth.initiate(undefined, { forceRefetch: true }));
    expect(state().connection.trouble).equal(null);
    await dispatch(edits.sendUnsent());
    expect(state().edits.unsent).deep.equal([]);
  });

  it('tell the place that asked when they are refused there, and the top line otherwise', async () => {
    server
      .willAnswer(422, { code: 'reason', message: 'With a reason only.' })
      .willAnswer(422, { code: 'reason', message: 'With a reason only.' });
    expect(await change({ why: '' }, { isShownInPlace: true })).deep.include({
      kind: 'refused',
      message: 'With a reason only.',
    });
    expect(state().edits.refusal).equal(null);
    await change({ why: '' });
    expect(state().edits.refusal!.error.message).equal('With a reason only.');
  });

  it('put a removed row back with its id', async () => {
    server.willAnswer(204, null).willAnswer(201, { id: 'f1', version: 1 });
    const finding = { id: 'f1', version: 2, kind: 'rust', note: 'roof' };
    await dispatch(edits.deleteRow({ kind: 'findings', row: finding, label: 'rust' })).unwrap();
    await dispatch(edits.undoLast()).unwrap();
    expect(server.asked.map((one) => one.method)).deep.equal(['DELETE', 'POST']);
    expect(server.asked[1]!.body).deep.equal({ id: 'f1', kind: 'rust', note: 'roof' });
  });

  it('wait with removals too, through a second absence, and tell a refusal that comes late', async () => {
    const finding = { id: 'f1', version: 2, kind: 'rust', note: 'roof' };
    server.willBeAway().willBeAway();
    await dispatch(edits.deleteRow({ kind: 'findings', row: finding, label: 'rust' })).unwrap();
    await dispatch(edits.sendUnsent());
    expect(state().edits.unsent.map((one: Unsent) => [one.act, one.id])).deep.equal([['delete', 'f1']]);
    server.willAnswer(422, { code: 'signed-off', message: 'SG-04 is signed off.' });
    await dispatch(edits.sendUnsent());
    expect(server.asked.map((one) => one.method)).deep.equal(['DELETE', 'DELETE', 'DELETE']);
    expect(state().edits.unsent).deep.equal([]);
    expect(state().edits.refusal!.error.message).equal('SG-04 is signed off.');
  });

  it('remove for good what takes others with it', async () => {
    server.willAnswer(204, null);
    await dispatch(edits.deleteRow({ kind: 'castings', row: { id: 'c', version: 1 }, label: 'casting' })).unwrap();
    expect(state().edits.undo).deep.equal([]);
  });
});
