import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { expect } from 'chai';
import {
  ChangeFinding,
  ChangePhoto,
  CreateComingOff,
  CreateFinding,
  CreateFoundJoint,
  CreateJointWish,
  CreatePhotoMeasure,
} from './index.ts';

/** Places that the class refuses: "control.points.0.pixel". */
async function refused<T extends object>(type: new () => T, body: object): Promise<string[]> {
  const flatten = (errors: readonly ValidationError[], path = ''): string[] =>
    errors.flatMap((error) => {
      const own = `${path}${error.property}`;
      return error.children?.length ? flatten(error.children, `${own}.`) : [own];
    });
  return flatten(await validate(plainToInstance(type, body), { whitelist: true, forbidNonWhitelisted: true })).sort();
}

const finding = { specimenPartId: 'p', kind: 'chips', severity: 1, note: '' };

describe('what the survey sends', () => {
  it('is a finding with or without a pin and a measured value', async () => {
    expect(await refused(CreateFinding, finding)).deep.equal([]);
    const whole = {
      ...finding,
      pinnedTo: 'photo:a-1.left',
      pinX: 0.4,
      pinY: 0.5,
      measuredValue: 4.5,
      measuredUnit: 'mm',
    };
    expect(await refused(CreateFinding, whole)).deep.equal([]);
    expect(await refused(CreateFinding, { ...finding, pinnedTo: null, measuredValue: null })).deep.equal([]);
  });

  it('refuses a pin on nothing, a place off the drawing, and a value that is no number, made or changed', async () => {
    const wrong: readonly (readonly [field: string, value: unknown])[] = [
      ['pinnedTo', 'roof'],
      ['pinnedTo', 'photo:'],
      ['pinX', 2000],
      ['pinY', 'left'],
      ['measuredValue', NaN],
      ['measuredValue', 'four'],
      ['measuredValue', 20_000],
      ['measuredUnit', 'inch'],
    ];
    for (const [field, value] of wrong) {
      expect(await refused(CreateFinding, { ...finding, [field]: value }), `${field} ${String(value)}`).deep.equal([
        field,
      ]);
      expect(await refused(ChangeFinding, { version: 1, [field]: value }), `${field} ${String(value)}`).deep.equal([
        field,
      ]);
    }
    expect(await refused(ChangeFinding, { version: 1, pinX: null, measuredUnit: null })).deep.equal([]);
  });

  it('names a measured value that is none in one sentence, whichever rule it breaks', async () => {
    for (const measuredValue of ['four', 20_000]) {
      const [error] = await validate(plainToInstance(CreateFinding, { ...finding, measuredValue }));
      expect(new Set(Object.values(error!.constraints!))).deep.equal(new Set(['What was measured, as a number.']));
    }
  });
});

describe('what opening sends', () => {
  it('is a wish, a joint between two different parts, and how a part came off', async () => {
    const wish = { specimenId: 's', jointKey: 'post', wish: 'closed', reason: '' };
    expect(await refused(CreateJointWish, wish)).deep.equal([]);
    expect(await refused(CreateJointWish, { ...wish, wish: 'ajar', extra: 1 })).deep.equal(['extra', 'wish']);
    const joint = { specimenId: 's', kind: 'bent tab', label: 'hidden tab', partKeys: ['body', 'base'] };
    expect(await refused(CreateFoundJoint, joint)).deep.equal([]);
    for (const partKeys of [['body'], ['body', 'body'], 'body', [1, 2]])
      expect(await refused(CreateFoundJoint, { ...joint, partKeys }), String(partKeys)).deep.equal(['partKeys']);
    const off = { specimenPartId: 'p', fromSide: 'left', note: '', photoId: null };
    expect(await refused(CreateComingOff, off)).deep.equal([]);
    expect(await refused(CreateComingOff, { ...off, fromSide: 'below' })).deep.equal(['fromSide']);
  });
});

describe('what the photo page sends', () => {
  const corner = (x: number, y: number) => ({ pixel: { x, y }, mm: { x, y } });
  const points = [corner(0, 0), corner(85, 0), corner(85, 54), corner(0, 54)];

  it('is four control points or more, each with its pixel and its place', async () => {
    const change = (control: unknown) => refused(ChangePhoto, { version: 1, control });
    expect(await change({ name: 'card', points })).deep.equal([]);
    expect(await change(null)).deep.equal([]);
    expect(await change({ name: 'card', points: points.slice(1) })).deep.equal(['control.points']);
    expect(await change({ name: '', points })).deep.equal(['control.name']);
    const bent = [{ ...points[0]!, pixel: { x: 'left', y: 0 } }, ...points.slice(1)];
    expect(await change({ name: 'card', points: bent })).deep.equal(['control.points.0.pixel.x']);
  });

  it('is a measure by its points; its value is not taken from outside', async () => {
    const measure = {
      ...{ photoId: 'p', kind: 'length', label: 'wheelbase', nearerMm: 0, distanceMm: null },
      points: [
        { x: 1, y: 2 },
        { x: 3, y: 4 },
      ],
    };
    expect(await refused(CreatePhotoMeasure, measure)).deep.equal([]);
    expect(await refused(CreatePhotoMeasure, { ...measure, value: 36 })).deep.equal(['value']);
    expect(await refused(CreatePhotoMeasure, { ...measure, distanceMm: 5, label: '' })).deep.equal([
      'distanceMm',
      'label',
    ]);
  });
});
