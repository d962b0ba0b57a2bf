import { createPlanContext, type PlanContext } from '@sardonyx/core';
import { useMemo } from 'react';
import { useJob } from './JobContext.tsx';

/** What follows from the facts of the model in hand, as the plan has it: panels ask here and work nothing out themselves. */
export function usePlanContext(): PlanContext {
  const {
    specimen: { facts, opening },
  } = useJob();
  return useMemo(() => createPlanContext({ ...facts, ...opening }), [facts, opening]);
}
