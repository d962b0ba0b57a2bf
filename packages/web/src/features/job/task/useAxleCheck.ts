import { checkAxle, chooseOption, countAxles, type AxleCheck, type Task, type TaskMeasure } from '@sardonyx/core';
import { useGetAxlesQuery, useGetStockQuery } from '../../../shared/api/stockApi.ts';
import { useJob } from '../JobContext.tsx';

/** The axles of a step's joint by what was measured; null until they are, and while the drawers are on their way. */
export function useAxleCheck(task: Task, measures: readonly TaskMeasure[]): AxleCheck | null {
  const { specimen } = useJob();
  const { data: stock } = useGetStockQuery();
  const { data: shares = [] } = useGetAxlesQuery();
  if (!stock) return null;
  return checkAxle({
    measures,
    ends: chooseOption('S5', specimen.facts.decisions),
    count: countAxles(specimen.casting?.parts ?? [], task.partKeys),
    ...{ things: stock.things, shares, jobId: task.jobId, taskId: task.id },
  });
}
