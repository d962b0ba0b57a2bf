import { computeArc, computeBallBlank, computeBentBlank, computeHornBlank, computeTab } from './blankLength.ts';
import { sumReadings, type Reading } from './reading.ts';

/** What is cut to be bent, turned or formed; lengths in mm, angles in degrees. */
export const BLANK_SHAPES = {
  bent: ['first straight', 'angle', 'inner radius', 'second straight', 'thickness'],
  'bent twice': ['first straight', 'angle', 'inner radius', 'second straight', 'third straight', 'thickness'],
  tab: ['goes through', 'bent over', 'thickness'],
  'rail or pillar': ['chord', 'rise'],
  ball: ['ball', 'wire'],
  horn: ['length', 'wide end', 'narrow end', 'wire'],
} as const;
export type BlankShape = keyof typeof BLANK_SHAPES;
export type BlankMeasure = (typeof BLANK_SHAPES)[BlankShape][number];
export type BlankMeasures = Readonly<Partial<Record<BlankMeasure, number>>>;

/** Calipers in a hand, mm. */
const CALIPER_SD = 0.03;
/** Where the length of a bend stays what it was is a planning estimate: so much of the thickness, for each bend. */
const BEND_SD = 0.1;
/** By a file afterwards, share of the length of what is formed by its volume (planning estimate). */
const FORM_SD = 0.03;

/** Length to cut; null until all that its shape asks for is measured. A rise or a narrow end may be nothing. */
export function cutBlank(shape: BlankShape, measures: BlankMeasures): Reading | null {
  const asked: readonly BlankMeasure[] = BLANK_SHAPES[shape];
  const isGiven = (what: BlankMeasure) => {
    const value = measures[what];
    return value !== undefined && (value > 0 || (value === 0 && MAY_BE_NOTHING.has(what)));
  };
  if (!asked.every(isGiven)) return null;
  const of = (what: BlankMeasure): number => measures[what]!;
  const caliper = { mm: 0, sd: CALIPER_SD };
  const bends = (count: number) => ({ mm: 0, sd: BEND_SD * of('thickness') * Math.sqrt(count) });
  const bend = () => ({ degrees: of('angle'), innerRadius: of('inner radius') });
  switch (shape) {
    case 'bent': {
      const mm = computeBentBlank([of('first straight'), of('second straight')], [bend()], of('thickness'));
      return sumReadings([{ mm, sd: 0 }, caliper, caliper, bends(1)]);
    }
    case 'bent twice': {
      const straights = [of('first straight'), of('second straight'), of('third straight')];
      const mm = computeBentBlank(straights, [bend(), bend()], of('thickness'));
      return sumReadings([{ mm, sd: 0 }, caliper, caliper, caliper, bends(2)]);
    }
    case 'tab': {
      const mm = computeTab(of('goes through'), of('bent over'), of('thickness'));
      return sumReadings([{ mm, sd: 0 }, caliper, caliper, bends(1)]);
    }
    case 'rail or pillar': {
      const mm = computeArc(of('chord'), of('rise'));
      // What the rise is off by counts by how steep the arc is.
      const steep = (16 * of('rise')) / (3 * of('chord'));
      return sumReadings([{ mm, sd: 0 }, caliper, { mm: 0, sd: steep * CALIPER_SD }]);
    }
    case 'ball':
      return formed(computeBallBlank(of('ball'), of('wire')));
    case 'horn':
      return formed(computeHornBlank(of('length'), of('wide end'), of('narrow end'), of('wire')));
  }
}

const MAY_BE_NOTHING: ReadonlySet<BlankMeasure> = new Set(['rise', 'narrow end', 'inner radius']);
const formed = (mm: number): Reading => ({ mm, sd: FORM_SD * mm });
