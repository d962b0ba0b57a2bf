import { expect } from 'chai';
import type { CoatingLayer } from '../model/workpiece.ts';
import { listFailures, recallFailures } from './recallFailures.ts';

const layer = (id: string, seq: number, changes: Partial<CoatingLayer> = {}): CoatingLayer => ({
  ...{ id, version: 1, areaId: 'a', stage: 'applied', seq, kind: 'colour', name: id, colourHex: '#112233' },
  ...{
    thicknessUm: 20,
    thicknessOrigin: 'product sheet',
    productId: id,
    coats: null,
    isMist: false,
    whose: 'restorer',
  },
  ...{ tempC: 19, appliedAt: `2026-03-1${seq}T10:00:00Z`, appliedBy: 'A', note: '', rejection: null },
  ...{ removedAt: null, keyedAt: null, how: null, decalMm: null },
  ...changes,
});
const rejection = (failure: 'bled' | 'ran' | undefined, at = '2026-03-20T10:00:00Z') => ({
  ...{ at, by: 'A', because: 'see there', helped: 'softer tape' },
  ...(failure ? { failure } : {}),
});
const of = (bad: CoatingLayer, ...others: CoatingLayer[]) => ({
  ...{ layer: bad, onArea: [...others, bad], material: 'zinc alloy', jobNumber: 'SG-06' },
});

describe('failures are kept by what lay under them', () => {
  it('names the coat that lay there then, not one that was off already', () => {
    const bad = layer('black', 3, { rejection: rejection('bled') });
    const gone = layer('white', 2, { removedAt: '2026-03-12T12:00:00Z' });
    const [failure] = listFailures([of(bad, layer('grey', 0), layer('ochre', 1), gone)]);
    expect(failure).deep.include({ kind: 'bled', overName: 'ochre', overProductId: 'ochre', helped: 'softer tape' });
    expect(failure).deep.include({ how: null, photoHash: null, tempC: 19 });
    const how = { batch: '7', thinnerParts: 2, pressureBar: null, nozzleMm: null, humidity: 80 };
    const shown = layer('black', 3, { how, rejection: { ...rejection('bled'), photoHash: 'ab' } });
    expect(listFailures([of(shown)])[0]).deep.include({ how, photoHash: 'ab' });
  });

  it('of a first coat by the bare part, and only where somebody said what went wrong', () => {
    const bad = layer('grey', 0, { rejection: rejection('ran') });
    expect(listFailures([of(bad)])[0]).deep.include({ overName: 'zinc alloy', overProductId: null });
    expect(listFailures([of({ ...bad, rejection: rejection(undefined) })])).deep.equal([]);
  });

  it('remembers the same pair first, then the same pot over something else, never another pot', () => {
    const over = (id: string, at: string) => of(layer('black', 3, { rejection: rejection('bled', at) }), layer(id, 1));
    const past = listFailures([over('ochre', '2026-01-01'), over('white', '2026-02-01')]);
    expect(recallFailures(past, 'black', 'ochre').map(({ overName }) => overName)).deep.equal(['ochre', 'white']);
    expect(recallFailures(past, 'black', null).map(({ overName }) => overName)).deep.equal(['white', 'ochre']);
    expect(recallFailures(past, 'grey', 'ochre')).deep.equal([]);
  });
});
