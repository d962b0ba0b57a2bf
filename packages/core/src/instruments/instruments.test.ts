import { expect } from 'chai';
import { computeBathC } from './simulatedBath.ts';
import { COLD_OVEN, runOven, type OvenState } from './simulatedOven.ts';

describe('the simulated oven', () => {
  const at = (minutes: number, state: OvenState = { ...COLD_OVEN, setC: 120 }) => runOven(state, minutes * 60);

  it('lets the metal lag behind the air, then holds it near the dial', () => {
    expect(at(3).metalC).lessThan(at(3).airC - 10);
    for (const minutes of [30, 40, 55]) expect(at(minutes).metalC, `${minutes} min`).within(112, 128);
  });

  it('overshoots: the air goes past the dial', () => {
    const air = Array.from({ length: 60 }, (_, minute) => at(minute).airC);
    expect(Math.max(...air)).within(124, 132);
  });

  it('cools slowly when switched off, and never below the room', () => {
    const off = { ...at(40), setC: null };
    expect(runOven(off, 300).metalC).greaterThan(70);
    expect(runOven(off, 3 * 3600).metalC).within(19.9, 25);
  });

  it('is the same in one stride or many', () => {
    let state: OvenState = { ...COLD_OVEN, setC: 150 };
    for (let s = 0; s < 600; s++) state = runOven(state, 1);
    expect(state).deep.equal(runOven({ ...COLD_OVEN, setC: 150 }, 600));
  });
});

describe('the simulated bath thermometer', () => {
  const bath = { litres: 0.75, gramsPerLitre: 50, waterC: 15 };

  it('begins with the water, climbs, never past what the heat of solution gives, and cools to the room', () => {
    expect(computeBathC(bath, 0)).closeTo(15, 1e-9);
    expect(computeBathC(bath, 5)).within(24, 28.3);
    for (let minute = 0; minute < 200; minute++) expect(computeBathC(bath, minute)).lessThan(28.4);
    expect(computeBathC(bath, 600)).closeTo(20, 0.5);
  });
});
