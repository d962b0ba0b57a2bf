import type { AxleEnd } from '../../src/fit/axleEnds.ts';
import { computeAxleNeed, judgeLength } from '../../src/fit/axleLength.ts';
import { drawNormal } from '../../src/numeric/drawNormal.ts';
import { createSeededRandom, type RandomSource } from '../../src/numeric/seededRandom.ts';

const AXLE_KINDS = ['domed', 'crimped', 'pressed'] as const;
type Kind = (typeof AXLE_KINDS)[number];
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

/** Share of true lengths in the 90 % interval, by kind of end: ends formed one by one, as a punch and pliers leave them. */
export function coverLengths(each: number, seed: number): number[] {
  const random = createSeededRandom(seed);
  return AXLE_KINDS.map((kind) => {
    let within = 0;
    for (let i = 0; i < each; i++) {
      const { place, truth } = createWorld(kind, random);
      const { length } = computeAxleNeed(place);
      if (Math.abs(truth - length.mm) <= Z90 * length.sd) within++;
    }
    return within / each;
  });
}

/** So near the limit nothing is plain to see, mm. */
export const NEAR_LIMIT = 0.6;

/** "Long enough" or "too short" of axles near the limit: how many were decided, and how many of those wrongly. */
export function countDecided(
  each: number,
  seed: number,
): { readonly wrong: number; readonly decided: number; readonly all: number } {
  const random = createSeededRandom(seed);
  let [wrong, decided, all] = [0, 0, 0];
  for (const kind of AXLE_KINDS)
    for (let i = 0; i < each; i++) {
      const { place, truth } = createWorld(kind, random);
      const spare = between(-NEAR_LIMIT, NEAR_LIMIT, random);
      const sd = between(0.015, 0.05, random);
      const have = { mm: read(truth + spare, sd, random), sd };
      const { decision } = judgeLength(have, computeAxleNeed(place).length);
      all++;
      if (decision === 'measure again') continue;
      decided++;
      if ((decision === 'yes') !== spare >= 0) wrong++;
    }
  return { wrong, decided, all };
}
