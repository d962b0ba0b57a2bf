import { expect } from 'chai';
import type { Task } from '../model/task.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import { listCoatsOf, listCoatsOn, listMissingCoats, type CoatEvidence } from './coatsOfTask.ts';

type Layer = CoatEvidence['layers'][number];
const layer = (areaId: string, kind: CoatingLayer['kind'], changes: Partial<Layer> = {}): Layer => ({
  ...{
    id: `${areaId}.${kind}`,
    areaId,
    kind,
    stage: 'planned',
    name: `${kind} of ${areaId}`,
    rejection: null,
    removedAt: null,
    isMist: false,
    seq: 0,
  },
  ...changes,
});
const applied = (areaId: string, kind: CoatingLayer['kind'], changes: Partial<Layer> = {}) =>
  layer(areaId, kind, { stage: 'applied', ...changes });
const REJECTED = { by: 'Nell', at: '2026-01-02T10:00:00Z', because: 'runs' } as unknown as Layer['rejection'];

/** Body with an outside, an inside and a stripe; a base beside it. */
const evidence = (layers: readonly Layer[]): CoatEvidence => ({
  parts: [
    { id: 'b', key: 'body', name: 'Body' },
    { id: 'c', key: 'base', name: 'Base' },
  ],
  areas: [
    { id: 'in', specimenPartId: 'b', kind: 'inside', name: '' },
    { id: 'out', specimenPartId: 'b', kind: 'outside', name: '' },
    { id: 'stripe', specimenPartId: 'b', kind: 'mask', name: 'stripe' },
    { id: 'under', specimenPartId: 'c', kind: 'underside', name: '' },
  ],
  layers,
});
const step = (act: Task['act'], of: Task['of'] = {}, partKeys: readonly string[] = ['body']) => ({ act, of, partKeys });
const ids = (coats: readonly { areaId: string; kind: string; count: number }[]) =>
  coats.map(({ areaId, kind, count }) => `${count} ${kind} ${areaId}`);

describe('the coats of a step', () => {
  const plan = [
    layer('out', 'primer'),
    layer('in', 'primer'),
    layer('stripe', 'primer'),
    layer('out', 'colour'),
    layer('out', 'clear'),
    layer('stripe', 'colour'),
    layer('under', 'primer'),
  ];

  it('are those planned for its part, areas and kinds, and of nothing else', () => {
    expect(ids(listCoatsOf(step('prime'), evidence(plan)))).deep.equal([
      '1 primer in',
      '1 primer out',
      '1 primer stripe',
    ]);
    expect(ids(listCoatsOf(step('colour', { area: 'outside' }), evidence(plan)))).deep.equal(['1 colour out']);
    expect(ids(listCoatsOf(step('clear', { area: 'outside' }), evidence(plan)))).deep.equal(['1 clear out']);
    // Clear under the decals is planned: what seals them is one more.
    expect(ids(listCoatsOf(step('seal'), evidence(plan)))).deep.equal(['2 clear out']);
    expect(ids(listCoatsOf(step('colour', { area: 'stripe' }), evidence(plan)))).deep.equal(['1 colour stripe']);
    expect(ids(listCoatsOf(step('powder'), evidence(plan)))).deep.equal(['1 colour out']);
    expect(listCoatsOf(step('degrease'), evidence(plan))).deep.equal([]);
    expect(listCoatsOf(step('prime', {}, ['nothing']), evidence(plan))).deep.equal([]);
  });

  it('are one more than planned where a part is primed again, and two where clear goes over clear', () => {
    expect(ids(listCoatsOf(step('reprime'), evidence(plan)))).deep.equal([
      '2 primer in',
      '2 primer out',
      '2 primer stripe',
    ]);
    expect(ids(listCoatsOf(step('gloss'), evidence([layer('out', 'colour')])))).deep.equal(['1 clear out']);
    expect(ids(listCoatsOf(step('seal'), evidence([layer('out', 'colour')])))).deep.equal(['2 clear out']);
  });

  it('are missing while none of its kind stands on its area: not elsewhere, not rejected, not only found or planned', () => {
    const colour = step('colour', { area: 'outside' });
    const missing = (more: readonly Layer[]) =>
      ids(listMissingCoats(colour, evidence([layer('out', 'colour'), ...more])));
    expect(missing([])).deep.equal(['1 colour out']);
    expect(missing([applied('out', 'colour')])).deep.equal([]);
    expect(missing([applied('stripe', 'colour')])).deep.equal(['1 colour out']);
    expect(missing([applied('out', 'primer')])).deep.equal(['1 colour out']);
    expect(missing([applied('out', 'colour', { rejection: REJECTED })])).deep.equal(['1 colour out']);
    expect(missing([layer('out', 'colour', { stage: 'found' })])).deep.equal(['1 colour out']);
  });

  it('are named once each for the log', () => {
    const on = [applied('out', 'primer', { name: 'Grey' }), applied('in', 'primer', { name: 'Grey' })];
    expect(listCoatsOn(step('prime'), evidence([...plan, ...on, applied('out', 'colour')]))).deep.equal(['Grey']);
  });
});
