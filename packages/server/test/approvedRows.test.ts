import type { SpecimenView } from '@sardonyx/contract';
import { useActs } from './support/useActs.ts';

describe('rows of a job, as they were read and approved', function () {
  this.timeout(120_000);
  const test = useActs();
  const { see, approve, areaOf, stepsOf } = test;

  it('rows of a job: looks, findings, wants, answers, parts, layers', async () => {
    const { log } = test;
    const look = { specimenId: 'sg-03-1', featureId: 'hand-span.base-finish', certainty: 'sure' };
    await log.act('post', 'observations', { ...look, stateId: 'hand-span.axle-ends.domed' });
    const seen = await log.act('post', 'observations', { ...look, stateId: 'hand-span.base-finish.black' });
    await log.act('patch', `observations/${seen.id}`, { version: 1, stateId: null });
    await log.act('patch', `observations/${seen.id}`, { version: 1, certainty: 'likely' });
    await log.act('patch', `observations/${seen.id}`, { version: 2, stateId: 'hand-span.axle-ends.domed' });
    await log.act('delete', `observations/${seen.id}?version=1`);
    await log.act('delete', `observations/${seen.id}?version=2`);
    await log.act('delete', `observations/${seen.id}`);

    const finding = { specimenPartId: 'sg-03-1.flap', severity: 2, note: 'Gone.' };
    const gone = await log.act('post', 'findings', { ...finding, kind: 'missing' });
    await log.act('get', 'specimens/sg-03-1', undefined, (view: never) => (view as SpecimenView).wants);
    await log.act('delete', `findings/${gone.id}?version=1`);
    await log.act('get', 'specimens/sg-03-1', undefined, (view: never) => (view as SpecimenView).wants);
    const bent = await log.act('post', 'findings', { ...finding, kind: 'bent', pinnedTo: 'side', pinX: 20, pinY: 9 });
    await log.act('patch', `findings/${bent.id}`, { version: 1, kind: 'missing' });
    const stands = await see('sg-03-1');
    const [own] = stands.wants.filter((want) => want.specimenPartId === 'sg-03-1.flap');
    await log.act('patch', `wants/${own!.id}`, { version: own!.version, state: 'ordered', dueOn: '2026-12-05' });
    await log.act('delete', `findings/${bent.id}`);
    await log.act('patch', `wants/${own!.id}`, { version: 2, state: 'solved' });
    await log.act('patch', `wants/${own!.id}`, { version: 2, state: 'waived', reason: ' ' });
    await log.act('patch', `wants/${own!.id}`, {
      version: 2,
      state: 'solved',
      origin: 'donor',
      solution: 'from a box',
    });
    await log.act('delete', `wants/${own!.id}`);

    const answer = { jobId: 'sg-03', reason: 'It soaks overnight.' };
    await log.act('post', 'decisions', { ...answer, school: 'S11', option: 'sand' });
    const said = await log.act('post', 'decisions', { ...answer, school: 'S11', option: 'mild slow' });
    await stepsOf('sg-03');
    await log.act('patch', `decisions/${said.id}`, { version: 1, option: 'sand' });
    await log.act('delete', `decisions/${said.id}?version=1`);
    await log.act('post', 'decisions', { ...answer, jobId: 'sg-00', school: 'S11', option: 'gel' });
    await log.act('post', 'decisions', { ...answer, jobId: 'sg-99', school: 'S11', option: 'gel' });

    await log.act('patch', 'specimen-parts/sg-03-1.axles', { version: 1, state: 'missing' });
    await log.act('patch', 'specimen-parts/sg-03-1.axles', { version: 2, state: 'missing', originNote: 'Lost.' });
    await log.act('patch', 'specimen-parts/sg-03-1.tyres', { version: 1, specimenId: 'sg-05-1' });
    await log.act('patch', 'specimen-parts/sg-03-1.wheels', { version: 1, specimenId: 'sg-00-1' });
    await log.act('patch', 'specimen-parts/sg-00-1.body', { version: 1, origin: 'donor' });
    await log.act('get', 'specimens/sg-03-1', undefined, (view: never) => (view as SpecimenView).wants);

    const areaId = await areaOf('sg-03-1.body');
    const layer = { areaId, kind: 'colour', name: 'Cream', colourHex: '#eeddaa', thicknessUm: 20 };
    const origin = { thicknessOrigin: 'planning estimate', productId: null };
    const under = await log.act('post', 'layers', { ...layer, ...origin, stage: 'found', seq: 1 });
    await log.act('patch', `layers/${under.id}`, { version: 1, thicknessUm: 30 });
    await log.act('delete', `layers/${under.id}`);
    const applied = (await see('sg-00-1')).layers.find(({ stage }) => stage === 'applied')!;
    await log.act('patch', `layers/${applied.id}`, { version: 1, thicknessUm: 30 });
    await log.act('delete', `layers/${applied.id}`);
    await stepsOf('sg-03');
    approve('rows');
  });

  it('rows of a job: joints, sizes, photographs, models', async () => {
    const { log } = test;
    const wish = { specimenId: 'sg-03-1', wish: 'closed', reason: 'It holds.' };
    await log.act('post', 'joint-wishes', { ...wish, jointKey: 'lid' });
    const kept = await log.act('post', 'joint-wishes', { ...wish, jointKey: 'rear-post' });
    await log.act('patch', `joint-wishes/${kept.id}`, { version: 1, wish: 'open' });
    await log.act('delete', `joint-wishes/${kept.id}?version=2`);
    const hidden = { specimenId: 'sg-03-1', kind: 'glue', label: 'under the roof' };
    await log.act('post', 'found-joints', { ...hidden, partKeys: ['body', 'roof'] });
    const found = await log.act('post', 'found-joints', { ...hidden, partKeys: ['body', 'interior'] });
    await log.act('post', 'joint-wishes', { ...wish, jointKey: found.id });
    await stepsOf('sg-03');
    await log.act('delete', `found-joints/${found.id}`);
    const off = { specimenPartId: 'sg-03-1.flap', fromSide: 'left', note: 'Downwards.', photoId: null };
    const note = await log.act('post', 'comings-off', off);
    await log.act('patch', `comings-off/${note.id}`, { version: 1, fromSide: 'base' });
    const size = { specimenId: 'sg-03-1', what: 'length', valueMm: 81.2, spreadMm: 0.2 };
    const long = await log.act('post', 'measurements', size);
    await log.act('patch', `measurements/${long.id}`, { version: 1, valueMm: 80 });
    const measure = { photoId: 'sg-03.before-left', label: 'sill', nearerMm: 0, distanceMm: null };
    const points = [
      { x: 300, y: 400 },
      { x: 700, y: 410 },
    ];
    const sill = await log.act('post', 'photo-measures', { ...measure, kind: 'length', points });
    await log.act('post', 'photo-measures', { ...measure, kind: 'length', points: points.slice(1) });
    await log.act('patch', `photo-measures/${sill.id}`, { version: 1, nearerMm: 10, distanceMm: 400 });
    await log.act('patch', 'photos/sg-03.before-left', { version: 1, caption: 'Left', control: null });
    const control = {
      name: 'card',
      points: [10, 20, 30, 40].map((at) => ({ pixel: { x: at, y: at }, mm: { x: at, y: at } })),
    };
    await log.act('patch', 'photos/sg-03.before-left', { version: 2, control });
    await log.act('post', 'photo-measures', { ...measure, photoId: 'sg-03.none', kind: 'length', points });
    await log.act('delete', `photo-measures/${sill.id}`);
    await log.act('patch', 'specimens/sg-03-1', { version: 1, castingId: 'horse-box' });
    await log.act('get', 'specimens/sg-03-1', undefined, (view: never) =>
      (view as SpecimenView).parts.map(({ id, material, origin }) => [id, material, origin]),
    );
    await log.act('patch', 'jobs/sg-03', { version: 1, scope: 'clean only', dueOn: '2027-01-02' });
    await stepsOf('sg-03');
    approve('pieces');
  });
});
