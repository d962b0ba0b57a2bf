import { expect } from 'chai';
import fc from 'fast-check';
import type { InvalidInputError } from '../model/errors.ts';
import { adviseCausticBath, CAUSTIC } from './causticBath.ts';

describe('adviseCausticBath', () => {
  // Worked by hand: moles = g / 40, times 44.5 kJ, over litres times 4.18.
  const cases: readonly (readonly [
    litres: number,
    gramsPerLitre: number,
    waterC: number,
    grams: number,
    reachedC: number,
  ])[] = [
    // 50 g: 1.25 mol, 55.625 kJ, 4.18 kJ/K: 13.307 K.
    [1, 50, 20, 50, 33.31],
    // 100 g: 2.5 mol, 111.25 kJ, 4.18 kJ/K: 26.615 K.
    [1, 100, 20, 100, 46.61],
    // 200 g: 5 mol, 222.5 kJ, 4.18 kJ/K: 53.230 K.
    [1, 200, 20, 200, 73.23],
    // 37.5 g in 0.75 l: 0.9375 mol, 41.719 kJ, 3.135 kJ/K: 13.307 K.
    [0.75, 50, 15, 37.5, 28.31],
    // 180 g in 2 l: 4.5 mol, 200.25 kJ, 8.36 kJ/K: 23.953 K.
    [2, 90, 30, 180, 53.95],
  ];
  for (const [litres, gramsPerLitre, waterC, grams, reachedC] of cases)
    it(`${grams} g in ${litres} l at ${waterC} °C reach ${reachedC} °C`, () => {
      const advice = adviseCausticBath({ litres, gramsPerLitre, waterC });
      expect(advice.grams).closeTo(grams, 1e-9);
      expect(advice.reachedC).closeTo(reachedC, 0.01);
    });

  it('warns from 50 °C, refuses from 70 °C and above 100 g per litre', () => {
    expect(adviseCausticBath({ litres: 1, gramsPerLitre: 50, waterC: 20 })).deep.include({
      refusals: [],
      warnings: [],
    });
    const warm = adviseCausticBath({ litres: 2, gramsPerLitre: 90, waterC: 30 });
    expect(warm.refusals).deep.equal([]);
    expect(warm.warnings[0]).match(/54 °C: begin colder/);
    const strong = adviseCausticBath({ litres: 1, gramsPerLitre: 200, waterC: 20 });
    expect(strong.refusals).length(2);
    expect(adviseCausticBath({ litres: 1, gramsPerLitre: 101, waterC: 5 }).refusals[0]).match(/More than 100 g/);
  });

  it('puts crystals into cold water, never the other way, in a vessel twice as large', () => {
    const { steps, leastVesselLitres } = adviseCausticBath({ litres: 0.75, gramsPerLitre: 50, waterC: 15 });
    expect(leastVesselLitres).equal(1.5);
    const water = steps.findIndex((step) => step.includes('cold water first'));
    const crystals = steps.findIndex((step) => step.includes('sodium hydroxide into the water'));
    expect(water).within(0, crystals - 1);
    expect(steps[crystals]).match(/38 g .*never water onto crystals/);
    expect(steps.join(' ')).match(/HDPE or polypropylene.*never aluminium, zinc, tin or glass/);
    expect(steps.join(' ')).match(/Goggles and face shield/);
  });

  it('gets hotter with strength only, whatever the volume (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        (litres, gramsPerLitre) => {
          const rise = (l: number) => adviseCausticBath({ litres: l, gramsPerLitre, waterC: 15 }).reachedC - 15;
          expect(rise(litres)).closeTo(rise(1), 1e-9);
        },
      ),
    );
  });

  it('refuses numbers that are none', () => {
    for (const bath of [
      { litres: 0, gramsPerLitre: 50, waterC: 15 },
      { litres: 1, gramsPerLitre: NaN, waterC: 15 },
      { litres: 1, gramsPerLitre: 50, waterC: 95 },
    ])
      try {
        adviseCausticBath(bath);
        expect.fail('was taken');
      } catch (error) {
        expect((error as InvalidInputError).code).equal('out-of-range');
      }
    expect(CAUSTIC.usualGramsPerLitre).most(CAUSTIC.mostGramsPerLitre);
  });
});
