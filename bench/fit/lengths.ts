import type { AxleEnd } from '../../packages/core/src/fit/axleEnds.ts';
import { computeAxleNeed, judgeLength } from '../../packages/core/src/fit/axleLength.ts';
import { drawNormal } from '../../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom, type RandomSource } from '../../packages/core/src/numeric/seededRandom.ts';
import type { Figure, Topic } from '../figure.ts';

/** Lengths of axles against ends that are formed one by one, as a punch and pliers leave them. */
export const fitLengths: Topic = {
  names: ['fit.lengthCoverage90', 'fit.wrongDecided', 'fit.measureAgain'],
  measure: () => Promise.resolve([measureCoverage(), ...measureDecided()]),
};

const KINDS = ['domed', 'crimped', 'pressed'] as const;
type Kind = (typeof KINDS)[number];
const EACH = 20_000;
const Z90 = 1.6448536;

interface World {
  readonly place: Parameters<typeof computeAxleNeed>[0];
  /** What this axle takes in truth, the ends as they turned out. */
  readonly truth: number;
}

const between = (least: number, most: number, random: RandomSource) => least + (most - least) * random();
/** As calipers show it. */
const read = (mm: number, sd: number, random: RandomSource) => Math.round(100 * (mm + sd * drawNormal(random))) / 100;

function createWorld(kind: Kind, random: RandomSource): World {
  const diameter = between(0.9, 1.8, random);
  const outside = between(14, 40, random);
  const sd = between(0.015, 0.05, random);
  const clearance = between(0.2, 0.6, random);
  const ends = [createEnd(kind, diameter, random), createEnd(kind, diameter, random)] as const;
  return {
    place: {
      ...{ diameter, clearance, outside: { mm: read(outside, sd, random), sd } },
      ends: [ends[0].end, ends[1].end],
    },
    truth: outside + clearance + ends[0].took + ends[1].took,
  };
}

/** An end that is asked for, and the round stock that it took when it was made. */
function createEnd(
  kind: Kind,
  diameter: number,
  random: RandomSource,
): { readonly end: AxleEnd; readonly took: number } {
  if (kind === 'pressed') return { end: { kind }, took: 0 };
  if (kind === 'crimped') {
    const flatLength = between(1, 2.2, random);
    const end = { kind, flatLength, bore: diameter * 1.15, isAnnealed: true };
    return { end, took: flatLength + 0.15 * drawNormal(random) };
  }
  const headDiameter = diameter * between(1.6, 2.2, random);
  const headHeight = diameter * between(0.35, 0.6, random);
  const height = Math.max(0.1, headHeight + 0.06 * drawNormal(random));
  // Slices of the sphere's cap, not its formula.
  const sphere = (headDiameter ** 2 / 4 + height ** 2) / (2 * height);
  let volume = 0;
  const slices = 40;
  for (let i = 0; i < slices; i++) {
    const up = sphere - height + ((i + 0.5) / slices) * height;
    volume += (Math.PI * (sphere ** 2 - up ** 2) * height) / slices;
  }
  return { end: { kind, headDiameter, headHeight }, took: volume / (Math.PI * (diameter / 2) ** 2) };
}

function measureCoverage(): Figure {
  const random = createSeededRandom(191);
  const shares = KINDS.map((kind) => {
    let within = 0;
    for (let i = 0; i < EACH; i++) {
      const { place, truth } = createWorld(kind, random);
      const { length } = computeAxleNeed(place);
      if (Math.abs(truth - length.mm) <= Z90 * length.sd) within++;
    }
    return within / EACH;
  });
  const worst = shares.reduce((a, b) => (Math.abs(b - 0.9) > Math.abs(a - 0.9) ? b : a));
  return {
    ...{ name: 'fit.lengthCoverage90', value: worst, unit: '' },
    goal: { kind: 'within', least: 0.885, most: 0.915 },
    yardstick: `true length in the 90 % interval, the farthest off of domed, crimped and pressed (${shares.map((share) => share.toFixed(3)).join(', ')}), ${EACH} each; ends made one by one, caps by slices`,
  };
}

/** So near the limit nothing is plain to see, mm. */
const NEAR = 0.6;

function measureDecided(): Figure[] {
  const random = createSeededRandom(192);
  let [wrong, decided, all] = [0, 0, 0];
  for (const kind of KINDS)
    for (let i = 0; i < EACH; i++) {
      const { place, truth } = createWorld(kind, random);
      const spare = between(-NEAR, NEAR, random);
      const sd = between(0.015, 0.05, random);
      const have = { mm: read(truth + spare, sd, random), sd };
      const { decision } = judgeLength(have, computeAxleNeed(place).length);
      all++;
      if (decision === 'measure again') continue;
      decided++;
      if ((decision === 'yes') !== spare >= 0) wrong++;
    }
  return [
    {
      ...{ name: 'fit.wrongDecided', value: wrong / decided, unit: '', goal: { kind: 'at most', value: 0.01 } },
      yardstick: `"long enough" or "too short" wrong, of those decided; within ${NEAR} mm of the limit, ${all} axles, domed, crimped and pressed alike`,
    },
    {
      ...{ name: 'fit.measureAgain', value: 1 - decided / all, unit: '', goal: null },
      yardstick: 'share of the same that is told to measure again',
    },
  ];
}
