import { expect } from 'chai';
import { getHazardCard, HAZARD_DEFERRAL } from './hazardCards.ts';

const KEYS = [
  'gel-stripper',
  'old-paint',
  'spraying',
  'mixing-paint',
  'drilling',
  'grinding',
  'soldering-iron',
  'hot-air',
  'cyanoacrylate',
  'degreaser',
];

describe('hazard cards', () => {
  for (const key of KEYS) {
    it(`${key}: says what hurts, what to wear, air, what never to mix, first action and waste`, () => {
      const card = getHazardCard(key);
      for (const field of ['title', 'hurts', 'wear', 'air', 'neverMix', 'firstAction', 'waste'] as const)
        expect(card[field].length, field).greaterThan(4);
    });
  }

  it('takes gloves off at anything that turns', () => {
    for (const key of ['drilling', 'grinding']) expect(getHazardCard(key).wear).include('Gloves OFF');
  });

  it('works wet on old paint, and keeps flame away from vapour', () => {
    expect(getHazardCard('old-paint').air).include('Work wet');
    for (const key of ['gel-stripper', 'spraying', 'mixing-paint', 'degreaser'])
      expect(getHazardCard(key).air).match(/flame|spark/);
  });

  it('defers to the product sheet and local rules', () =>
    expect(HAZARD_DEFERRAL).match(/safety sheet and local rules go first/));

  it('does not make a card up', () =>
    expect(() => getHazardCard('magic')).throw('There is no hazard card called magic'));
});
