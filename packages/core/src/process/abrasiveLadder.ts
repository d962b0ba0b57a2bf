/** What is there now. */
export const ROUGH_STATES = [
  'heavy rust',
  'light rust',
  'parting line',
  'deep scratch',
  'scuffed clear',
  'dull clear',
] as const;
export type RoughState = (typeof ROUGH_STATES)[number];

/** What is wanted. */
export const SMOOTH_GOALS = ['for primer', 'polished metal', 'clear'] as const;
export type SmoothGoal = (typeof SMOOTH_GOALS)[number];

const GRITS = [120, 180, 240, 320, 400, 600, 800, 1000, 1500, 2000, 3000] as const;

const START: Readonly<Record<RoughState, number>> = {
  'heavy rust': 180,
  'light rust': 400,
  'parting line': 320,
  'deep scratch': 600,
  'scuffed clear': 1000,
  'dull clear': 2000,
};

const END: Readonly<Record<SmoothGoal, number>> = { 'for primer': 600, 'polished metal': 1500, clear: 3000 };

/** Scratches of one grit come out with the next when that is at most so many times finer. */
const WIDEST_STEP = 5 / 3;

export interface Ladder {
  readonly grits: readonly number[];
  /** After the last grit; empty where none is needed. */
  readonly finish: string;
  readonly because: string;
}

/**
 * Grits from the state something is in to the goal, each as coarse a step as still takes the scratches of the one before
 * (planning estimate: 5/3). Always wet. A state that is finer than the goal gets the goal's own grit once.
 */
export function createLadder(state: RoughState, goal: SmoothGoal): Ladder {
  const grits = [Math.min(START[state], END[goal])];
  while (grits.at(-1)! < END[goal]) {
    const most = grits.at(-1)! * WIDEST_STEP + 1e-9;
    grits.push(GRITS.filter((grit) => grit <= most && grit <= END[goal]).at(-1)!);
  }
  return {
    grits,
    finish: goal === 'clear' ? 'plastic polish on a soft cloth' : goal === 'polished metal' ? 'fine steel wool' : '',
    because: `${grits[0]} bites on ${state}; ${END[goal]} is fine enough ${goal === 'for primer' ? 'for primer to close' : 'to shine'}. Finer at once would only ride over it.`,
  };
}
