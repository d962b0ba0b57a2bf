import { expect } from 'chai';
import { PLACING_WORDS, RESCUES } from '../../words/decalPlacingWords.ts';
import { DECAL_TROUBLES, type DecalAct } from './decalAct.ts';
import { estimateSoak } from './estimateSoak.ts';
import { estimateFold, listFolds } from './foldRisk.ts';
import { listPlacingSteps, PLACING_STEPS } from './listPlacingSteps.ts';
import { orderDecals, type DecalToPlace } from './orderDecals.ts';

const FILM = 'white, office printer';
let last = 0;
const act = (changes: Partial<DecalAct>): DecalAct => ({
  ...{
    id: `a${++last}`,
    layerId: 'band',
    who: 'Nell',
    act: 'slid',
    trouble: null,
    soakS: null,
    film: FILM,
    note: '',
    ofId: null,
  },
  ...{ ageDays: 0, at: `2026-11-0${(last % 9) + 1}T10:00:00Z`, ...changes },
});

describe('fold risk', () => {
  const band = { widthMm: 69.6, heightMm: 2.4 };
  const crest = { widthMm: 8, heightMm: 7 };

  it('grows with length to height, is gentler on a wet pad, and never leaves 0 to 1', () => {
    const chance = (size: typeof band, way: Parameters<typeof estimateFold>[1] = 'bare paper slide') =>
      estimateFold(size, way, []).chance;
    expect(chance(band)).above(0.9);
    expect(chance(crest)).below(0.05);
    expect(chance(band, 'wet pad and two sets')).closeTo(0.6 * chance(band), 1e-9);
    for (let ratio = 1, before = 0; ratio < 60; ratio += 1) {
      const now = chance({ widthMm: 3 * ratio, heightMm: 3 });
      expect(now).within(before, 1);
      before = now;
    }
    expect(chance({ widthMm: 2.4, heightMm: 69.6 }), 'whichever way it lies').equal(chance(band));
  });

  it('is moved by decals of such a shape that were placed here, and by no others', () => {
    const held = Array.from({ length: 15 }, () => ({ ratio: 29, hasFolded: false }));
    const before = estimateFold(band, 'bare paper slide', []);
    const after = estimateFold(band, 'bare paper slide', held);
    expect(after.chance).closeTo((5 * before.chance) / 20, 1e-9);
    expect([before.word, after.word, after.placed]).deep.equal(['often', 'sometimes', 15]);
    expect(estimateFold(crest, 'bare paper slide', held).placed).equal(0);
  });

  it('counts a piece once, however often it folded, also where nobody stopped the clock, and not what was taken back', () => {
    const acts = [
      act({ act: 'trouble', trouble: 'folded', at: '2026-11-01T09:00:00Z' }),
      act({ at: '2026-11-02T09:00:00Z' }),
      act({ act: 'trouble', trouble: 'folded', at: '2026-11-02T09:01:00Z' }),
      act({ act: 'trouble', trouble: 'folded', at: '2026-11-02T09:02:00Z' }),
      act({ at: '2026-11-03T09:00:00Z' }),
      act({ layerId: 'gone', at: '2026-11-03T09:00:00Z' }),
      act({ act: 'lost', at: '2026-11-04T09:00:00Z' }),
      act({ act: 'trouble', trouble: 'folded', at: '2026-11-05T09:00:00Z' }),
      act({ act: 'lost', at: '2026-11-06T09:00:00Z' }),
      act({ id: 'wrong', act: 'trouble', trouble: 'folded', at: '2026-11-07T09:00:00Z' }),
      act({ act: 'taken back', ofId: 'wrong', at: '2026-11-07T09:01:00Z' }),
    ];
    const folds = listFolds(acts, (layerId) => (layerId === 'band' ? band : null));
    expect(folds.map(({ hasFolded }) => hasFolded)).deep.equal([true, true, false, true]);
  });
});

describe('the time in water', () => {
  it('is 20 to 60 s by film and age, and learned from how long others of that film took', () => {
    expect(estimateSoak(FILM, 0, [])).deep.include({ seconds: 30, learnedFrom: 0 });
    expect(estimateSoak(FILM, 365, []).seconds).equal(38);
    expect(estimateSoak(FILM, 365 * 20, []).seconds).equal(60);
    const slow = Array.from({ length: 8 }, () => act({ soakS: 45 }));
    const learned = estimateSoak(FILM, 0, slow);
    expect(learned.seconds).closeTo(30 + (8 * 15) / 10, 1e-9);
    expect(learned.sd).below(estimateSoak(FILM, 0, []).sd);
    expect(estimateSoak('clear, office printer', 0, slow).learnedFrom).equal(0);
    // An old sheet that took as long as old ones do teaches nothing.
    expect(estimateSoak(FILM, 0, [act({ soakS: 38, ageDays: 365 })]).seconds).closeTo(30, 1e-9);
  });
});

describe('the order of decals', () => {
  const decal = (layerId: string, changes: Partial<DecalToPlace> = {}): DecalToPlace => ({
    ...{ layerId, areaId: layerId, seq: 0, lengthMm: 10, heightAboveMm: null, isSeamOpen: false, ...changes },
  });

  it('is long and low first, under before over, and never across an open seam before others', () => {
    const ordered = orderDecals([
      decal('crest', { lengthMm: 8 }),
      decal('flap', { lengthMm: 70, isSeamOpen: true }),
      decal('line', { lengthMm: 40, areaId: 'door', seq: 3 }),
      decal('ground', { lengthMm: 20, areaId: 'door', seq: 2 }),
      decal('low', { lengthMm: 20, heightAboveMm: 4 }),
    ]);
    expect(ordered.map(({ layerId }) => layerId)).deep.equal(['low', 'ground', 'line', 'crest', 'flap']);
    expect(ordered.map(({ because }) => because)).deep.equal([
      ...['lowest', 'under another', 'longest', null, 'seam is open'],
    ]);
  });

  it('keeps every decal, once, whatever they say of each other', () => {
    const many = Array.from({ length: 12 }, (_, i) =>
      decal(`d${i}`, { areaId: `a${i % 3}`, seq: i % 4, lengthMm: 5 + ((i * 7) % 11), isSeamOpen: i % 5 === 0 }),
    );
    const ordered = orderDecals(many).map(({ layerId }) => layerId);
    expect([...ordered].sort()).deep.equal(many.map(({ layerId }) => layerId).sort());
    for (const one of many)
      for (const other of many)
        if (one.areaId === other.areaId && one.seq < other.seq)
          expect(ordered.indexOf(one.layerId), `${one.layerId} ${other.layerId}`).below(ordered.indexOf(other.layerId));
  });
});

describe('placing by steps', () => {
  const soak = { seconds: 33.4, sd: 9, learnedFrom: 0 };
  const steps = (way: Parameters<typeof listPlacingSteps>[0], chance: number, isOnRelief = false) =>
    listPlacingSteps(way, {
      ...{ soak, isOnRelief },
      fold: { chance, word: chance < 0.15 ? 'seldom' : 'often', placed: 0 },
    });

  it('differ by how it is placed, in the one order that works', () => {
    const pad = steps('wet pad and two sets', 0.05).map(({ step }) => step);
    expect(pad).include.members(['set out the pad', 'wait on the pad']);
    expect(pad).not.include('run the far end off the edge');
    const fluid = steps('setting fluid', 0.5, true).map(({ step }) => step);
    expect(fluid).include.members(['fluid on the panel', 'softener on relief', 'run the far end off the edge']);
    expect(fluid).not.include('wait on the pad');
    for (const list of [pad, fluid])
      expect(list).deep.equal([...list].sort((a, b) => PLACING_STEPS.indexOf(a) - PLACING_STEPS.indexOf(b)));
    expect(steps('one set', 0.1).find(({ step }) => step === 'soak')!.seconds).equal(33);
  });

  it('have words for every step and every trouble', () => {
    for (const step of PLACING_STEPS) expect(PLACING_WORDS[step]).match(/\.$/);
    for (const trouble of DECAL_TROUBLES) expect(RESCUES[trouble].now.length).above(1);
  });
});
