import type { ModelJoint, ModelPart, OpeningModel } from '../../src/assembly/openingModel.ts';
import { pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';

const TREATMENTS = ['body colour', 'bright', 'base black', 'none'];

/** A random tree of parts with loops, one or two ways a joint, blockers, 2 to 4 treatments, some masking prices infinite; a share of wishes. */
export function createRandomModel(joints: number, random: RandomSource, wishes = 0): OpeningModel {
  const loops = Math.floor(random() * (joints / 3));
  const count = Math.max(2, joints - loops + 1);
  const treatments = TREATMENTS.slice(0, 2 + Math.floor(random() * 3));
  const parts = Array.from({ length: count }, (_, i) =>
    createPart(`p${i}`, pickOne(treatments, random), treatments, random),
  );
  const list = Array.from({ length: joints }, (_, j): ModelJoint => {
    const a = j < count - 1 ? j + 1 : Math.floor(random() * count);
    const b = j < count - 1 ? Math.floor(random() * (j + 1)) : (a + 1 + Math.floor(random() * (count - 1))) % count;
    const ways = Array.from({ length: random() < 0.4 ? 2 : 1 }, (__, w) => ({
      ...{ key: `w${w}`, price: 1 + Math.floor(random() * 30) },
      behindJoints: random() < 0.35 ? [`j${Math.floor(random() * joints)}`].filter((key) => key !== `j${j}`) : [],
      behindParts: random() < 0.08 ? [`p${Math.floor(random() * count)}`] : [],
    }));
    const fate = wishes > 0 ? random() : 1;
    const wish = fate < wishes / 2 ? ('open' as const) : fate < wishes ? ('closed' as const) : undefined;
    return { key: `j${j}`, partKeys: [`p${a}`, `p${b}`], ways, ...(wish ? { wish } : {}) };
  });
  return { parts, joints: list };
}

/** 6 to 12 parts around a body and a base: posts, axles behind the wheels, glazing and interior inside. */
export function createToyModel(joints: number, random: RandomSource): OpeningModel {
  const part = (key: string, treatment: string) => createPart(key, treatment, TREATMENTS, random);
  const price = (least: number) => least + Math.floor(random() * least);
  const parts: ModelPart[] = [part('body', 'body colour'), part('base', random() < 0.5 ? 'base black' : 'body colour')];
  const list: ModelJoint[] = [];
  const join = (a: string, b: string, least: number, behindJoints: readonly string[] = []) => {
    const key = `j${list.length}`;
    const ways = [{ key: 'usual', price: price(least), behindJoints, behindParts: [] as string[] }];
    if (random() < 0.3) ways.push({ key: 'rough', price: price(3 * least), behindJoints: [], behindParts: [] });
    list.push({ key, partKeys: [a, b], ways });
    return key;
  };
  const posts = Array.from({ length: 1 + Math.floor(random() * 4) }, () => join('body', 'base', 10));
  const inside = ['interior', 'glazing', 'mechanism'];
  for (const [i, key] of inside.entries()) {
    parts.push(part(key, 'none'));
    join(key, 'body', 3, posts);
    if (i > 0 && random() < 0.5) join(key, inside[i - 1]!, 3, posts);
  }
  for (let i = 0; list.length < joints; i++) {
    const key = `trim${i}`;
    parts.push(part(key, pickOne(TREATMENTS, random)));
    const first = join(key, random() < 0.5 ? 'body' : 'base', 5, random() < 0.3 ? posts : []);
    if (random() < 0.4 && list.length < joints) join(key, pickOne(parts, random).key, 4, random() < 0.3 ? [first] : []);
  }
  return { parts, joints: list.filter((joint) => joint.partKeys[0] !== joint.partKeys[1]) };
}

/** Many finishes on one model, and joints that hold three parts: more sets of treatments than can be worked through. */
export function createManyTreatments(count: number, finishes: number, random: RandomSource): OpeningModel {
  const all = Array.from({ length: finishes }, (_, i) => `finish ${i}`);
  const parts = Array.from({ length: count }, (_, i): ModelPart => {
    const treatment = all[i % finishes]!;
    const masks = all.filter((other) => other !== treatment).map((other) => [other, 6 + Math.floor(20 * random())]);
    return { key: `p${i}`, treatment, maskPrice: Object.fromEntries(masks) as Record<string, number> };
  });
  const near = (i: number) => Math.max(0, i - 1 - Math.floor(4 * random()));
  const joints = Array.from({ length: count - 1 }, (_, j): ModelJoint => {
    const own = j + 1;
    const keys = new Set([`p${own}`, `p${near(own)}`, ...(random() < 0.5 ? [`p${near(own)}`] : [])]);
    const behind = j > 3 && random() < 0.3 ? [`j${Math.floor(random() * j)}`] : [];
    const way = { key: 'way', price: 4 + Math.floor(25 * random()), behindJoints: behind, behindParts: [] };
    return { key: `j${j}`, partKeys: [...keys], ways: [way] };
  });
  return { parts, joints };
}

function createPart(key: string, treatment: string, treatments: readonly string[], random: RandomSource): ModelPart {
  const others = treatments.filter((other) => other !== treatment && random() > 0.25);
  return {
    key,
    treatment,
    maskPrice: Object.fromEntries(others.map((other) => [other, 1 + Math.floor(random() * 40)])),
  };
}
