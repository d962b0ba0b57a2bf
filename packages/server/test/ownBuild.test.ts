import type { BuildChanged, CastingView, ErrorBody, JobView } from '@sardonyx/contract';
import {
  addJoint,
  addPart,
  changeJoint,
  changePart,
  createSeededRandom,
  joinParts,
  JOINT_KINDS,
  PART_SHAPES,
  removeJoint,
  removePart,
  splitPart,
  type BuildDraft,
  type Casting,
  type Job,
} from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';

const who = 'Nell';

describe('a casting whose parts and joints change while models of it are in work', () => {
  let bench: TestBench;
  let castingId: string;
  let jobId: string;
  beforeEach(async () => {
    bench = await createTestBench({ isDemo: false });
    castingId = ((await post('castings', OWN_LORRY).expect(201)).body as Casting).id;
    jobId = ((await post('jobs', ownJob(castingId)).expect(201)).body as Job).id;
  });
  afterEach(() => bench.clear());

  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
  const view = () => bench.get<CastingView>(`castings/${castingId}`);
  const job = (id = jobId) => bench.get<JobView>(`jobs/${id}`);
  const partsOf = async (id = jobId) => (await job(id)).specimens[0]!.parts;
  const draft = async (): Promise<BuildDraft> => {
    const { parts, joints } = await view();
    return {
      parts: parts.map(({ key, name, role, material, count, shape, sizes }) => ({
        ...{ key, name, role, material, count, shape, sizes },
      })),
      joints: joints.map(({ key, label, kind, partKeys, behind }) => ({ key, label, kind, partKeys, behind })),
    };
  };
  const keep = async (next: BuildDraft) =>
    bench.http.put(`/api/castings/${castingId}/build`).send({ version: (await view()).casting.version, ...next });
  const shapesOf = async () => new Set((await view()).casting.drawing.views[0]!.shapes.map(({ partKey }) => partKey));

  it('gives open jobs the new part, its joint and its step, and every part a place on the map', async () => {
    const next = addPart(await draft(), {
      ...{ name: 'Tailboard', shape: 'door', material: 'zinc alloy' },
      held: { partKey: 'body', kind: 'peened pin' },
    });
    const { body } = await keep(next);
    expect((body as BuildChanged).keptOn).deep.equal([]);
    expect((await partsOf()).map(({ key }) => key)).include('tailboard');
    expect([...(await shapesOf())]).have.members(next.parts.map(({ key }) => key));
    const area = (await job()).specimens[0]!.areas.find((one) => one.specimenPartId.endsWith('.tailboard'))!;
    await post('layers', {
      ...{ areaId: area.id, stage: 'found', seq: 0, kind: 'colour', name: 'Red', colourHex: '#a02020' },
      ...{ thicknessUm: 25, thicknessOrigin: 'planning estimate', productId: null },
    }).expect(201);
    expect((await job()).tasks.map(({ key }) => key)).include.members(['strip:tailboard']);
  });

  it('takes a part off models where nothing is written down of it, and keeps it where something is', async () => {
    const other = ((await post('jobs', ownJob(castingId, 'Second')).expect(201)).body as Job).id;
    const hook = (await partsOf()).find(({ key }) => key === 'hook')!;
    await post('findings', { specimenPartId: hook.id, kind: 'bent', severity: 2, note: '' }).expect(201);
    const { body } = await keep(removePart(await draft(), 'hook'));
    const { number } = (await job()).job;
    expect((body as BuildChanged).keptOn).deep.equal([{ part: 'hook', model: number }]);
    expect((await partsOf()).map(({ key }) => key)).include('hook');
    expect((await partsOf(other)).map(({ key }) => key)).not.include('hook');
    // What stays on a model stays on the map.
    expect([...(await shapesOf())]).include('hook');
    expect((await job()).tasks.some((task) => task.partKeys.includes('hook'))).equal(true);
  });

  it('renames and remakes parts of models, but for what somebody said of the piece itself', async () => {
    const window = (await partsOf()).find(({ key }) => key === 'window')!;
    await bench.http
      .patch(`/api/specimen-parts/${window.id}`)
      .send({ version: 1, material: 'acrylic', materialCertainty: 'sure' })
      .expect(200);
    let next = changePart(await draft(), 'window', { name: 'Windscreen', material: 'polycarbonate' });
    next = changePart(next, 'seat', { name: 'Bench seat', material: 'nylon' });
    await keep(next);
    const named = Object.fromEntries((await partsOf()).map(({ key, name, material }) => [key, `${name}, ${material}`]));
    expect(named).include({ window: 'Windscreen, acrylic', seat: 'Bench seat, nylon' });
    // The seat was only renamed: it may still go.
    const { body } = await keep(removePart(await draft(), 'seat'));
    expect((body as BuildChanged).keptOn).deep.equal([]);
  });

  it('leaves what is logged and what is signed off as it is', async () => {
    const [task] = (await job()).tasks;
    await post(`tasks/${task!.id}/acts`, { act: 'done otherwise', who, note: 'seen' }).expect(200);
    const { log } = await job();
    const signed = ((await post('jobs', ownJob(castingId, 'Finished')).expect(201)).body as Job).id;
    await bench.room.source.query(
      `UPDATE job SET signedOffAt = '2026-11-25T18:00:00.000Z', signedOffBy = 'Nell' WHERE id = ?`,
      [signed],
    );
    const before = await partsOf(signed);
    await keep(removeJoint(removePart(await draft(), 'hook'), 'joint-2'));
    expect((await job()).log).deep.equal(log);
    expect(await partsOf(signed)).deep.equal(before);
    const record = await bench.http.get(`/api/jobs/${signed}/record.json`).expect(200);
    expect(JSON.stringify(record.body)).include('hook');
  });

  it('refuses what does not fit, says where, and overwrites nobody', async () => {
    const start = await draft();
    const circle = await keep(changeJoint(start, 'joint-1', { behind: ['joint-3'] }));
    expect(circle.status).equal(400);
    expect((circle.body as ErrorBody).message).match(/neither could be opened/);
    expect(Object.keys((circle.body as ErrorBody).fields!)[0]).match(/^joints\.\d\.behind$/);
    const unknown = await keep(changeJoint(start, 'joint-1', { partKeys: ['body', 'roof'] }));
    expect((unknown.body as ErrorBody).fields).have.property('joints.0.partKeys');
    const size = await keep(changePart(start, 'body', { sizes: { wall: -1 } }));
    expect(size.status).equal(400);
    await keep(changePart(start, 'body', { sizes: { wall: 1.4, post: 3 } }));
    expect((await view()).parts.find(({ key }) => key === 'body')!.sizes).deep.equal({ wall: 1.4, post: 3 });
    const stale = await bench.http.put(`/api/castings/${castingId}/build`).send({ version: 1, ...start });
    expect(stale.status).equal(409);
  });

  it('keeps every job openable, its log whole and its plan compiled, whatever is changed (four seeds)', async function () {
    this.timeout(120_000);
    const [first] = (await job()).tasks;
    await post(`tasks/${first!.id}/acts`, { act: 'done otherwise', who, note: 'before' }).expect(200);
    const { log } = await job();
    for (const seed of [1, 2, 3, 4]) {
      const random = createSeededRandom(seed);
      for (let i = 0; i < 12; i++) {
        const at = await draft();
        const pick = <T>(rows: readonly T[]): T => rows[Math.floor(random() * rows.length)]!;
        const [a, b] = [pick(at.parts).key, pick(at.parts).key];
        const shape = pick(PART_SHAPES);
        const acts: (() => BuildDraft)[] = [
          () => addPart(at, { name: shape, shape, material: 'steel', held: { partKey: a, kind: pick(JOINT_KINDS) } }),
          () => (at.parts.length > 2 ? removePart(at, a) : at),
          () => splitPart(at, a, ['One', 'Two']),
          () => (at.parts.length > 3 ? joinParts(at, a, b) : at),
          () => (at.joints.length ? removeJoint(at, pick(at.joints).key) : at),
          () => (a === b ? at : addJoint(at, { label: 'more', kind: pick(JOINT_KINDS), partKeys: [a, b] })),
          () => changePart(at, a, { shape, name: `${shape} ${i}` }),
        ];
        const answer = await keep(pick(acts)());
        expect([200, 400], JSON.stringify(answer.body).slice(0, 300)).include(answer.status);
        if (random() < 0.3)
          await post('findings', {
            ...{ specimenPartId: pick(await partsOf()).id, kind: 'bent', severity: 2, note: '' },
          });
        const seen = await job();
        expect(seen.log).deep.equal(log);
        expect(seen.tasks.length).greaterThan(3);
        const onMap = await shapesOf();
        for (const { key } of seen.specimens[0]!.parts) expect(onMap.has(key), `${seed}.${i} ${key}`).equal(true);
      }
    }
  });
});
