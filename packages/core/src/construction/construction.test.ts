import { expect } from 'chai';
import fc from 'fast-check';
import { BODY_TYPES, JOINT_KINDS } from '../model/catalogue.ts';
import { PART_ROLES } from '../model/partRole.ts';
import { PART_SHAPES, ROLE_OF_SHAPE, shapeOfRole } from '../model/partShape.ts';
import { fitPartMap } from '../drawing/fitPartMap.ts';
import { isDrawing } from '../drawing/isDrawing.ts';
import { CONSTRUCTIONS } from './constructions.ts';
import { createKey } from './createKey.ts';
import { drawCasting, fitDrawing, type DrawnPart } from './drawCasting.ts';
import { redrawCasting } from './redrawCasting.ts';
import { workOutBehind } from './workOutBehind.ts';

const sideOf = (drawing: ReturnType<typeof drawCasting>) => drawing.views.find((view) => view.view === 'side')!;
const SIZE = { bodyType: 'saloon', lengthMm: 70, wheelbaseMm: 40 } as const;

describe('constructions', () => {
  it('are a dozen, each with parts and joints that fit together, numbers and fastenings', () => {
    expect(CONSTRUCTIONS).length(12);
    expect(new Set(CONSTRUCTIONS.map(({ key }) => key)).size).equal(12);
    for (const { key, parts, joints, numbers, fastenings } of CONSTRUCTIONS) {
      const keys = parts.map((part) => part.key);
      expect(new Set(keys).size, key).equal(keys.length);
      for (const joint of joints) {
        expect(keys, `${key}: ${joint.key}`).include.members([...joint.partKeys]);
        expect(joint.partKeys.length, joint.key).at.least(2);
        expect(JOINT_KINDS).include(joint.kind);
        const others = joints.map((one) => one.key).filter((one) => one !== joint.key);
        expect(others, joint.key).include.members([...(joint.behind ?? [])]);
      }
      expect(numbers.length * fastenings.length, key).greaterThan(0);
      // No part is left lying: each is held by a joint, or goes where a post goes.
      const held = new Set(joints.flatMap(({ partKeys }) => partKeys));
      expect(
        keys.filter((one) => !held.has(one)),
        key,
      ).deep.equal([]);
    }
  });

  it('show every part on the map, apart from the others and named', () => {
    for (const { key, bodyType, parts, joints } of CONSTRUCTIONS) {
      const drawing = drawCasting({ ...SIZE, bodyType }, parts);
      expect(isDrawing(drawing), key).equal(true);
      const map = fitPartMap(sideOf(drawing), joints, 132);
      expect(
        map.parts.map((part) => part.partKey),
        key,
      ).have.members(parts.map((part) => part.key));
    }
  });
});

describe('what lies behind what', () => {
  const of = (key: string) => {
    const { parts, joints } = CONSTRUCTIONS.find((one) => one.key === key)!;
    return Object.fromEntries(workOutBehind(parts, joints));
  };

  it('is what shuts the room that a joint lies in', () => {
    expect(of('two-posts')).deep.equal({
      glazing: ['front-post', 'rear-post'],
      interior: ['front-post', 'rear-post'],
    });
    expect(of('cab-and-load')).deep.equal({ glazing: ['cab-post'] });
    expect(of('screws')).deep.equal({
      glazing: ['front-screw', 'rear-screw'],
      interior: ['front-screw', 'rear-screw'],
    });
    expect(of('tinplate')).deep.equal({ motor: ['tabs'] });
    expect(of('one-casting')).deep.equal({});
  });

  it('is never a post itself, though it goes through the interior', () => {
    expect(of('post')).deep.equal({ glazing: ['post'] });
  });

  it('never goes in a circle, whatever the parts are and whatever holds them (property)', () => {
    const part = fc.record({ key: fc.constantFrom(...'abcdefgh'), role: fc.constantFrom(...PART_ROLES) });
    const joint = fc.record({
      key: fc.constantFrom('j1', 'j2', 'j3', 'j4', 'j5', 'j6'),
      partKeys: fc.uniqueArray(fc.constantFrom(...'abcdefghi'), { minLength: 2, maxLength: 5 }),
    });
    const byKey = { selector: (one: { key: string }) => one.key };
    fc.assert(
      fc.property(
        fc.uniqueArray(part, { ...byKey, maxLength: 8 }),
        fc.uniqueArray(joint, { ...byKey, maxLength: 6 }),
        (parts, joints) => {
          const behind = workOutBehind(parts, joints);
          for (const [key, before] of behind) {
            expect(before).not.include(key);
            for (const one of before) expect(behind.has(one), `${one} before ${key}`).equal(false);
          }
        },
      ),
    );
  });
});

describe('a plain drawing', () => {
  it('has a look for every role, and a role for every look', () => {
    for (const role of PART_ROLES) expect(PART_SHAPES).include(shapeOfRole(role));
    for (const shape of PART_SHAPES) expect(PART_ROLES).include(ROLE_OF_SHAPE[shape]);
  });

  it('shows each of several parts of one look at a place of its own', () => {
    for (const shape of PART_SHAPES)
      for (const bodyType of BODY_TYPES) {
        const parts = ['a', 'b', 'c', 'd'].map((key): DrawnPart => ({ key, shape }));
        const { shapes } = sideOf(drawCasting({ ...SIZE, bodyType }, parts));
        const places = parts.map(({ key }) =>
          JSON.stringify(shapes.filter(({ partKey }) => partKey === key).map(({ d }) => d)),
        );
        expect(places, `${shape} of a ${bodyType}`).not.include('[]');
        expect(new Set(places).size, `${shape} of a ${bodyType}`).equal(4);
      }
  });

  it('is the same whatever the order of the list, but for what lies in front', () => {
    const parts: DrawnPart[] = [
      { key: 'wheels', shape: 'wheel' },
      { key: 'base', shape: 'plate' },
      { key: 'shell', shape: 'shell' },
    ];
    expect(drawCasting(SIZE, parts)).deep.equal(drawCasting(SIZE, [...parts].reverse()));
  });

  it('keeps what was drawn when parts come and go', () => {
    const parts: DrawnPart[] = [
      { key: 'shell', shape: 'shell' },
      { key: 'base', shape: 'plate' },
    ];
    const drawing = drawCasting(SIZE, parts);
    const own = { ...drawing, views: drawing.views.map((view) => ({ ...view, shapes: view.shapes.slice(0, 2) })) };
    const more = fitDrawing(own, SIZE, [...parts, { key: 'hook', shape: 'hook' }]);
    expect(sideOf(more).shapes.slice(0, 2)).deep.equal(sideOf(own).shapes);
    expect(sideOf(more).shapes.some(({ partKey }) => partKey === 'hook')).equal(true);
    const less = fitDrawing(more, SIZE, [parts[0]!]);
    expect(new Set(less.views.flatMap((view) => view.shapes.map(({ partKey }) => partKey)))).deep.equal(
      new Set(['shell']),
    );
  });

  it('is laid out anew while nobody has drawn it, and kept once somebody has', () => {
    const before: DrawnPart[] = [
      { key: 'shell', shape: 'shell' },
      { key: 'thing', shape: 'hook' },
    ];
    const after: DrawnPart[] = [before[0]!, { key: 'thing', shape: 'rack' }];
    const plain = drawCasting(SIZE, before);
    expect(redrawCasting(plain, SIZE, before, after).drawing).deep.equal(drawCasting(SIZE, after));
    const drawn = { views: plain.views.map((view) => ({ ...view, widthMm: view.widthMm + 1 })) };
    expect(redrawCasting(drawn, SIZE, before, after).drawing).deep.equal(drawn);
  });

  it('refuses a wheelbase that is as long as the toy', () =>
    expect(() => drawCasting({ ...SIZE, wheelbaseMm: 70 }, [])).throw('shorter than the length'));
});

describe('createKey', () => {
  it('makes keys from names in any script and tells them apart', () => {
    expect(createKey('Left door', [], 'part')).equal('left-door');
    expect(createKey('Left door', ['left-door', 'left-door-2'], 'part')).equal('left-door-3');
    expect(createKey('Pare-chocs arrière', [], 'part')).equal('pare-chocs-arriere');
    expect(createKey('窓', ['part'], 'part')).equal('part-2');
    expect(createKey('2nd axle', [], 'part')).equal('nd-axle');
  });

  it('are letters, digits and hyphens, never too long, never twice (property)', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), fc.array(fc.string()), (name, taken) => {
        const key = createKey(name, taken, 'part');
        expect(key).match(/^[a-z][a-z0-9-]*$/);
        expect(key.length).at.most(30);
        expect(taken).not.include(key);
      }),
    );
  });
});
