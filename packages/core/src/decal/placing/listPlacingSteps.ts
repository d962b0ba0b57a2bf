import { DECAL_DRIES_MIN } from '../../film/planDrying.ts';
import type { SchoolOption } from '../../model/school.ts';
import type { FoldRisk } from './foldRisk.ts';
import type { Soak } from './estimateSoak.ts';

export const PLACING_STEPS = [
  'cut close',
  'dry-fit',
  'set out the pad',
  'wet the panel',
  'fluid on the panel',
  'soak',
  'wait on the pad',
  'slide the paper away',
  'run the far end off the edge',
  'look at the margins',
  'roll out',
  'softener on relief',
  'leave it',
] as const;
export type PlacingStep = (typeof PLACING_STEPS)[number];

export interface TimedStep {
  readonly step: PlacingStep;
  /** What runs by itself meanwhile, seconds; null where the hand decides. */
  readonly seconds: number | null;
}

/** Until it slides from the middle, after the water, seconds (planning estimate). */
const PAD_S = 45;

/** The steps of placing one decal, by how it is placed: the paper is drawn away from under it, never the decal from the paper. */
export function listPlacingSteps(
  way: SchoolOption<'S20'>,
  { soak, fold, isOnRelief }: { readonly soak: Soak; readonly fold: FoldRisk; readonly isOnRelief: boolean },
): TimedStep[] {
  const usesPad = way === 'wet pad and two sets' || way === 'one set';
  const usesFluid = way === 'setting fluid';
  const step = (one: PlacingStep, seconds: number | null = null): TimedStep => ({ step: one, seconds });
  return [
    step('cut close'),
    step('dry-fit'),
    ...(usesPad ? [step('set out the pad')] : []),
    step(usesFluid ? 'fluid on the panel' : 'wet the panel'),
    step('soak', Math.round(soak.seconds)),
    ...(usesPad ? [step('wait on the pad', PAD_S)] : []),
    step('slide the paper away'),
    ...(fold.word === 'seldom' ? [] : [step('run the far end off the edge')]),
    step('look at the margins'),
    step('roll out'),
    ...(usesFluid && isOnRelief ? [step('softener on relief')] : []),
    step('leave it', 60 * DECAL_DRIES_MIN),
  ];
}
