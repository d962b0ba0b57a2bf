import { measurePlan, type PlanMeasure } from './measurePlan.ts';
import type { WorkPlan, Workshop } from './workshop.ts';

/** A plan with what it is worth. */
export interface FoundPlan extends WorkPlan, PlanMeasure {}

export const measureFound = (workshop: Workshop, { starts, who }: WorkPlan): FoundPlan => ({
  ...measurePlan(workshop, { starts, who }),
  starts: Float64Array.from(starts),
  who: Int8Array.from(who),
});
