import { expect } from 'chai';
import { COAT_ACTS } from '../model/drying.ts';
import type { CoatingLayer, LayerKind } from '../model/workpiece.ts';
import type { FilmSpans } from './answerArea.ts';
import { isTaped } from './isTaped.ts';
import { judgeMet, meetCoats } from './meetCoats.ts';

const AREAS = (['outside', 'roof', 'band'] as const).map((id) => ({
  ...{ id, specimenPartId: 'body', kind: id === 'outside' ? ('outside' as const) : ('mask' as const) },
}));
const [OUTSIDE, ROOF, BAND] = AREAS;
const layer = (areaId: string, kind: LayerKind, hour: number | null): CoatingLayer =>
  ({
    ...{ id: `${areaId} ${kind} ${hour ?? 'planned'}`, areaId, kind, rejection: null, removedAt: null, seq: hour ?? 0 },
    ...{ stage: hour === null ? 'planned' : 'applied' },
    appliedAt: hour === null ? null : new Date(hour * 3_600_000).toISOString(),
  }) as CoatingLayer;
const idsOf = (layers: readonly { readonly id: string }[]) => layers.map(({ id }) => id);
const PLAN = [layer('outside', 'primer', null), layer('outside', 'colour', null), layer('roof', 'colour', null)];

describe('what the next coat meets', () => {
  it('a field that goes first lies on primer and needs no tape yet', () => {
    const met = meetCoats(ROOF!, AREAS, [...PLAN, layer('outside', 'primer', 1)], 'colour');
    expect(idsOf(met.under)).include('outside primer 1');
    expect(met.taped).deep.equal([]);
  });

  it('then the outside has it under tape for its first colour only, and for nothing but colour', () => {
    const on = [...PLAN, layer('outside', 'primer', 1), layer('roof', 'colour', 3)];
    expect(idsOf(meetCoats(OUTSIDE!, AREAS, on, 'colour').taped)).deep.equal(['roof colour 3']);
    expect(meetCoats(OUTSIDE!, AREAS, on, 'clear').taped).deep.equal([]);
    const second = [...on, layer('outside', 'colour', 30)];
    expect(meetCoats(OUTSIDE!, AREAS, second, 'colour').taped).deep.equal([]);
    // What went on beside its mask does not lie under it.
    expect(idsOf(meetCoats(ROOF!, AREAS, second, 'colour').under)).not.include('outside colour 30');
  });

  it('a field that goes later has all below it under tape, once', () => {
    const on = [...PLAN, layer('outside', 'primer', 1), layer('outside', 'colour', 3)];
    expect(idsOf(meetCoats(BAND!, AREAS, on, 'colour').taped)).deep.equal(['outside primer 1', 'outside colour 3']);
    expect(meetCoats(BAND!, AREAS, [...on, layer('band', 'colour', 30)], 'colour').taped).deep.equal([]);
    // Nobody plans a colour for the outside: the tape lies on primer.
    const plain = [layer('outside', 'primer', 1)];
    expect(idsOf(meetCoats(BAND!, AREAS, plain, 'colour').taped)).deep.equal(['outside primer 1']);
  });

  it('says afterwards where tape lies: beside what went on second', () => {
    const [first, second] = [layer('roof', 'colour', 3), layer('outside', 'colour', 9)];
    const taped = (...on: readonly CoatingLayer[]) => AREAS.map((area) => isTaped(area, AREAS, [...PLAN, ...on]));
    expect(taped(first)).deep.equal([false, false, false]);
    expect(taped(first, second)).deep.equal([true, false, false]);
    expect(taped(layer('outside', 'colour', 1), layer('band', 'colour', 4))).deep.equal([false, false, true]);
  });

  it('is judged by the windows below first, then by what the tape would lift', () => {
    const on = [...PLAN, layer('outside', 'primer', 1), layer('roof', 'colour', 3)];
    const met = meetCoats(OUTSIDE!, AREAS, on, 'colour');
    const hour = 3_600_000;
    const spans = (recoat: number, mask: number) =>
      Object.fromEntries(
        COAT_ACTS.map((act) => [act, [{ from: (act === 'mask' ? mask : recoat) * hour, to: null }]]),
      ) as unknown as FilmSpans;
    const standing = [
      { layerId: 'outside primer 1', spans: spans(5, 9) },
      { layerId: 'roof colour 3', spans: spans(8, 12) },
    ];
    const verdict = (hours: number) => judgeMet(met, standing, hours * hour);
    expect(verdict(4)).deep.include({ act: 'recoat', state: 'not yet', from: 5 * hour, heldBy: 'outside primer 1' });
    expect(verdict(6)).deep.include({ act: 'mask', state: 'not yet', from: 12 * hour, heldBy: 'roof colour 3' });
    expect(verdict(12)).deep.include({ act: 'recoat', state: 'open' });
    // Before it went on it holds nothing back.
    expect(verdict(2)).deep.include({ heldBy: 'outside primer 1' });
  });
});
