import type { ErrorBody, JobView, SpecimenView } from '@sardonyx/contract';
import type { Task } from '@sardonyx/core';
import { writeRows } from './support/logActs.ts';
import { OWN_LORRY, ownJob } from './support/ownLorry.ts';
import { useActs, who } from './support/useActs.ts';

describe('a lorry of one’s own, as it was read and approved', function () {
  this.timeout(120_000);
  const test = useActs();
  const { see, approve, areaOf, lanesOf, stepsOf, act } = test;

  it('a lorry of one’s own, from intake to what holds back its sign-off', async () => {
    const { bench, log } = test;
    await log.act('post', 'jobs', { ...ownJob('none'), dueOn: null });
    await log.act('post', 'jobs', { ...ownJob('horse-box'), dueOn: '2026-11-24' });
    await log.act('post', 'jobs', { ...ownJob('horse-box'), dueOn: '2026-11-25' });
    const lorry = await log.act('post', 'castings', OWN_LORRY, (row) => row.version);
    const job = await log.act('post', 'jobs', ownJob(lorry.id));
    const one = `${job.id}-1`;
    await stepsOf(job.id);
    const areaId = await areaOf(`${one}.body`);
    const layer = { areaId, stage: 'planned', thicknessUm: 15, thicknessOrigin: 'product sheet' };
    await log.act('post', 'layers', {
      ...{ ...layer, seq: 0, kind: 'primer', name: 'Grey', colourHex: '#808080' },
      productId: 'paint-lanthorn-grey-primer',
    });
    await log.act('post', 'layers', {
      ...{ ...layer, seq: 1, kind: 'colour', name: 'Maroon', colourHex: '#501020' },
      productId: 'paint-marlstone-maroon',
    });
    await log.act('post', 'layers', {
      ...{ ...layer, seq: 2, kind: 'decal', name: 'Crest', colourHex: '#ffffff', productId: null },
    });
    await log.act('post', 'findings', { specimenPartId: `${one}.hook`, kind: 'missing', severity: 3, note: '' });
    const { wants } = await see(one);
    const tasks = async () => (await bench.get<JobView>(`jobs/${job.id}`)).tasks;
    const coats = { areaId, tempC: 20, who, note: '' };
    const coat = (name: string, more: object = {}) => {
      const appliedAt = bench.room.now().toISOString();
      return log.act('post', 'coats', { ...coats, productId: `paint-${name}`, appliedAt, ...more });
    };
    const pots: Partial<Record<Task['act'], string>> = {
      ...{ prime: 'lanthorn-grey-primer', mist: 'marlstone-maroon', colour: 'marlstone-maroon' },
      ...{ gloss: 'lanthorn-clear-gloss', seal: 'lanthorn-clear-satin' },
    };
    await coat('marlstone-maroon');
    // Whoever does everything in its order, badly: at once, then what the refusal asks for, then otherwise.
    for (const { id, act: name } of await tasks()) {
      const answer = await act(id, 'done');
      if (answer.state === 'done') continue;
      const { code, taskId } = answer as unknown as ErrorBody;
      if (code === 'no-coat') await coat(pots[name]!);
      else if (code === 'too-late') await act(taskId!, 'looked', { note: 'Still clean.' });
      else bench.pass(24 * 60);
      await act(id, 'done', { measures: [{ what: 'diameter', valueMm: 1 }] });
      await act(id, 'done otherwise', { note: 'As I could.', goAheadBecause: 'It is mine.' });
    }
    await stepsOf(job.id);
    await log.act('get', 'workshop', undefined, (view: never) => (view as { tools: { id: string }[] }).tools);
    await coat('lanthorn-grey-primer', { appliedAt: '2026-11-20T18:00:00.000Z' });
    await coat('lanthorn-grey-primer', { appliedAt: '2030-11-20T18:00:00.000Z' });
    await coat('marlstone-maroon', { tempC: 2 });
    await coat('quay-ivory');
    await coat('lanthorn-clear-gloss', { areaId: 'none' });
    const standing = (await see(one)).layers.filter(({ stage }) => stage === 'applied');
    log.write(writeRows(standing));
    await log.act('post', `coats/${standing[1]!.id}/reject`, { who, because: 'It ran.' });
    await log.act('post', `coats/${standing[1]!.id}/reject`, { who, because: 'It ran.' });
    await log.act('post', 'coats/none/reject', { who, because: 'It ran.' });
    await stepsOf(job.id);
    for (const { id, key } of await tasks()) if (key.startsWith('take-off')) await act(id, 'done');
    await log.act('get', `specimens/${one}`, undefined, (view: never) => {
      const { layers, parts } = view as SpecimenView;
      return { layers, parts };
    });
    const [want] = wants;
    await log.act('patch', `wants/${want!.id}`, { version: 1, state: 'solved', origin: 'made', solution: 'bent wire' });
    for (const { id, act: name } of await tasks()) if (name === 'get') await act(id, 'done');
    await log.act('get', `specimens/${one}`, undefined, (view: never) => (view as SpecimenView).parts);
    await log.act('post', `jobs/${job.id}/sign-off`, { who, because: '' });
    await stepsOf(job.id);
    await lanesOf(job.id);
    approve('lorry');
  });
});
