import { expect } from 'chai';
import type { MeasuredOf } from '../model/task.ts';
import { checkWheels, refuseWheels } from './checkWheels.ts';

const check = (of: Partial<Record<MeasuredOf, number>>, wheelbaseMm: number | null = 43) =>
  checkWheels(
    Object.entries(of).map(([what, valueMm]) => ({ what: what as MeasuredOf, valueMm })),
    wheelbaseMm,
  );
const FOUR = { 'front left': 12, 'front right': 12, 'back left': 13, 'back right': 13 };

describe('the wheels before their axle ends are formed', () => {
  it('are answered measure by measure: nothing is said of what nobody measured', () => {
    expect(check({})).deep.equal({ stance: null, fits: {}, stretch: null, unlike: [] });
    expect(check(FOUR).stance, 'nobody said how far apart they run').equal(null);
    expect(check({ ...FOUR, track: 24 }, null).stance, 'nor from axle to axle').equal(null);
    expect(Object.keys(check({ arch: 7, 'front left': 12, 'front right': 12 }).fits)).deep.equal(['arch']);
  });

  it('stand as high as half their wheels, nose down where the back is larger', () => {
    const { stance } = check({ ...FOUR, track: 24 });
    expect([stance!.front, stance!.back, stance!.lean]).deep.equal([6, 6.5, 0]);
    // Half a millimetre over 43.
    expect(stance!.tilt).closeTo((-Math.atan(0.5 / 43) * 180) / Math.PI, 1e-9);
    expect(check({ ...FOUR, track: 24, wheelbase: 86 }).stance!.tilt).closeTo(stance!.tilt / 2, 1e-3);
  });

  it('turn or not by the largest of them; two that are no pair are told', () => {
    const arch = (mm: number) => check({ ...FOUR, arch: mm }).fits.arch!.fit;
    expect([arch(7.2), arch(6.6), arch(6.2)]).deep.equal(['good', 'tight', 'no']);
    expect(check({ ...FOUR, 'front right': 12.4 }).unlike).deep.equal(['front']);
    expect(check({ 'wheel bore': 1.34, axle: 1.2 }).fits.bore!.fit).equal('good');
    expect(check({ 'wheel width': 3, beside: 3.3 }).fits.beside!.fit).equal('good');
  });

  it('wait where one does not turn or a tyre would tear; what is only tight does not hold it up', () => {
    expect(refuseWheels(check({ ...FOUR, arch: 6.6 }))).deep.equal([]);
    expect(refuseWheels(check({ ...FOUR, arch: 6 }))[0]!.message).include('does not turn in its arch');
    expect(refuseWheels(check({ 'wheel bore': 1, axle: 1.2 }))[0]!.message).include('does not go over its axle');
    expect(check({ hub: 8.4, 'tyre bore': 8 }).stretch).deep.include({ verdict: 'good' });
    expect(check({ hub: 8.1, 'tyre bore': 8 }).stretch).deep.include({ verdict: 'slips' });
    expect(refuseWheels(check({ hub: 9, 'tyre bore': 8 }))[0]!.message).include('13 %');
  });
});
