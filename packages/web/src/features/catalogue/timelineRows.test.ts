import type { CastingView } from '@sardonyx/contract';
import type { Observation } from '@sardonyx/core';
import { expect } from 'chai';
import { createRows } from './timelineRows.ts';

const state = (key: string, fromYear: number | null, toYear: number | null) => ({
  ...{ id: key, version: 1, featureId: 'wheels', key, label: key, colourHex: null, lookAlikes: [] },
  ...{ fromYear, toYear },
});
const view = {
  variants: [{ id: 'v', name: 'First', startEarliest: 1958, startLatest: 1958.5, endEarliest: 1960, endLatest: 1961 }],
  features: [{ id: 'wheels', label: 'Wheels' }],
  states: [
    state('metal', null, 1959),
    state('grey', 1959, 1960),
    state('black', 1959.5, null),
    state('brass', null, null),
  ],
  variantStates: [{ stateId: 'metal' }, { stateId: 'grey' }, { stateId: 'black' }, { stateId: 'brass' }],
} as unknown as CastingView;
const seen = (stateId: string, certainty = 'sure') => ({ stateId, certainty }) as Observation;

describe('rows of the timeline', () => {
  it('begin with the issues, pale where the span is not certain', () => {
    const [first] = createRows(view, []);
    expect(first!.label).equal('First');
    expect(first!.pieces.map(({ kind, from, to }) => [kind, from, to])).deep.equal([
      ['faint', 1958, 1958.5],
      ['solid', 1958.5, 1960],
      ['faint', 1960, 1961],
    ]);
  });

  it('go on with the dated states, those that overlap on a line of their own', () => {
    const rows = createRows(view, []).slice(1);
    expect(rows.map((row) => row.pieces.map((piece) => piece.label))).deep.equal([['metal', 'grey'], ['black']]);
    expect(rows.map((row) => row.label)).deep.equal(['Wheels', '']);
    expect(rows[0]!.pieces[0]).include({ from: 1957, to: 1959 });
    expect(rows[1]!.pieces[0]).include({ from: 1959.5, to: 1962 });
  });

  it('mark what was seen on a model, undated states too, but not what was replaced', () => {
    const kinds = (observations: Observation[]) =>
      createRows(view, observations)
        .slice(1)
        .flatMap((row) => row.pieces)
        .filter((piece) => piece.kind === 'seen')
        .map((piece) => piece.label);
    expect(kinds([seen('grey')])).deep.equal(['grey']);
    expect(kinds([seen('brass')])).deep.equal(['brass']);
    expect(kinds([seen('grey', 'replaced')])).deep.equal([]);
  });
});
