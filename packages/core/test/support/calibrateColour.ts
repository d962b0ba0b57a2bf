import { DEFAULT_SETTINGS, type ColourReading, type IdentifyCatalogue } from '../../src/identify/catalogue.ts';
import { identifySpecimen } from '../../src/identify/identifySpecimen.ts';
import { DEFAULT_HISTORIES } from '../../src/identify/histories.ts';
import type { LabColour } from '../../src/model/reading.ts';
import { drawNormal } from '../../src/numeric/drawNormal.ts';
import { createSeededRandom, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { computeDe00 } from '../../src/colour/difference.ts';
import { exactColourDensity, type TrueSpread, type TrueState } from './exactColourDensity.ts';
import { makeCatalogue, makeFeature, makeVariant } from './identifyWorld.ts';
import { Reliability } from './reliability.ts';

export interface ColourPlan {
  readonly states: number;
  /** dE00 from each state to the next. */
  readonly gap: number;
  /** Standard deviation of a capture, each coordinate. */
  readonly capture: number;
  /** Share of the states that are known off one model only; the others as new, by an instrument. */
  readonly ofOneModel: number;
  /** Scale of the fading that the program assumes; it is 3 in truth, so that one in twenty fades by more than 6. */
  readonly assumedFading: number;
  readonly specimens: number;
  readonly seed: number;
}

export interface ColourCalibration {
  readonly right: number;
  /** Of a classifier that knows every law and number of this world. */
  readonly bestRight: number;
  readonly ece: number;
}

const TRUE: TrueSpread = { batch: 0.7, fading: 3, way: [0.8, 0, 0.6] };
/** An instrument on a drawdown of the paint, each coordinate. */
const DRAWDOWN_SD = 0.3;
const OPEN = { exposed: 1, sheltered: 0.1 } as const;
type Place = keyof typeof OPEN;
/** The catalogue's histories would hide the colours behind repaints: here nothing is repainted. */
const UNTOUCHED = DEFAULT_HISTORIES.filter(({ key }) => key === 'untouched');

/** Models of nearly alike states, each told by one or two captured colours; half the states are known off one model only. */
export function calibrateColour(plan: ColourPlan): ColourCalibration {
  const random = createSeededRandom(plan.seed);
  const leaders = new Reliability();
  let [right, bestRight] = [0, 0];
  const settings = {
    ...DEFAULT_SETTINGS,
    ...{ nonePrior: 1e-9, colour: { ...DEFAULT_SETTINGS.colour, fadingSd: plan.assumedFading } },
  };
  for (let i = 0; i < plan.specimens; i++) {
    const world = drawWorld(plan, random);
    const truth = Math.floor(random() * plan.states);
    const { readings, seen } = drawReadings(world.labs[truth]!, plan.capture, random);
    const answer = {
      ...{ featureId: 'colour', stateId: null, certainty: 'cannot see' as const },
      captured: { specimenId: 'this', geometry: 'gloss left out' as const, readings },
    };
    const { ranked } = identifySpecimen(world.catalogue, [answer], settings);
    const isRight = ranked[0]!.variantId === `v${truth}`;
    leaders.add(ranked[0]!.probability, isRight);
    if (isRight) right++;
    const exact = world.known.map((state) => exactColourDensity(seen, state, TRUE));
    if (exact.indexOf(Math.max(...exact)) === truth) bestRight++;
  }
  const ece = leaders.overFloor(createSeededRandom(plan.seed + 0.5));
  return { right: right / plan.specimens, bestRight: bestRight / plan.specimens, ece };
}

function drawWorld(plan: ColourPlan, random: RandomSource) {
  const labs = drawStates(plan, random);
  const known = labs.map((lab): TrueState & { readonly place: Place } => {
    const place: Place = random() < 0.5 ? 'exposed' : 'sheltered';
    const error = random() < plan.ofOneModel ? plan.capture : DRAWDOWN_SD;
    const sd = [error, error, error];
    if (error === DRAWDOWN_SD) return { lab: addNoise(lab, error, random), sd, place, ofModel: null };
    const one = fade(addNoise(lab, TRUE.batch, random), drawFading(random) * OPEN[place]);
    return { lab: addNoise(one, error, random), sd, place, ofModel: { open: OPEN[place] } };
  });
  const feature = makeFeature({ key: 'colour', states: labs.map((_, s) => `s${s}`), group: 'outer coat' });
  const catalogue: IdentifyCatalogue = {
    ...makeCatalogue(
      [
        {
          ...feature,
          states: feature.states.map((state, s) => ({
            ...state,
            colour: {
              ...{ lab: known[s]!.lab as unknown as LabColour, sd: known[s]!.sd as unknown as LabColour },
              ...{ geometry: 'gloss left out', place: known[s]!.place },
              specimenId: known[s]!.ofModel ? `other${s}` : null,
            },
          })),
        },
      ],
      labs.map((_, s) => makeVariant(`v${s}`, null, { colour: `s${s}` })),
    ),
    histories: UNTOUCHED,
  };
  return { labs, known, catalogue };
}

/** Colours in a chain, each so far from the one before it, any way. */
function drawStates({ states, gap }: ColourPlan, random: RandomSource): number[][] {
  const labs: number[][] = [[25 + 50 * random(), 60 * (random() - 0.5), 60 * (random() - 0.5)]];
  while (labs.length < states) {
    const from = labs.at(-1)!;
    const way = [drawNormal(random), drawNormal(random), drawNormal(random)];
    let [low, high] = [0, 60];
    for (let n = 0; n < 40; n++) {
      const middle = (low + high) / 2;
      const to = from.map((value, axis) => value + (middle * way[axis]!) / Math.hypot(...way));
      if (computeDe00(from as never, to as never) < gap) low = middle;
      else high = middle;
    }
    const next = from.map((value, axis) => value + (low * way[axis]!) / Math.hypot(...way));
    if (labs.every((lab) => computeDe00(lab as never, next as never) > 0.99 * gap)) labs.push(next);
  }
  return labs;
}

/** One place or both, of one batch and one fading. */
function drawReadings(lab: readonly number[], capture: number, random: RandomSource) {
  const made = addNoise(lab, TRUE.batch, random);
  const faded = drawFading(random);
  const chance = random();
  const places: Place[] = chance < 0.3 ? ['sheltered'] : chance < 0.6 ? ['exposed'] : ['sheltered', 'exposed'];
  const sd = [capture, capture, capture];
  const readings = places.map((place): ColourReading => ({
    ...{ place, sd: sd as unknown as LabColour },
    lab: addNoise(fade(made, faded * OPEN[place]), capture, random) as unknown as LabColour,
  }));
  return { readings, seen: readings.map(({ lab: read, place }) => ({ lab: read, sd, open: OPEN[place] })) };
}

const drawFading = (random: RandomSource) => Math.abs(drawNormal(random)) * TRUE.fading;
const fade = (lab: readonly number[], by: number) => lab.map((value, axis) => value + by * TRUE.way[axis]!);
const addNoise = (lab: readonly number[], sd: number, random: RandomSource) =>
  lab.map((value) => value + sd * drawNormal(random));
