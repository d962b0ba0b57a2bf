import { findOverpaint, selectAnswers, selectStatements, type Question } from '@sardonyx/core';
import { useMemo } from 'react';
import { useReport } from './identifier/useReport.ts';
import { useJob } from './JobContext.tsx';

/** Everything identification has to say about the specimen in hand. */
export function useIdentification(question: Question) {
  const { specimen, view } = useJob();
  const { catalogue, observations, measurements, sources } = specimen;
  const overpaint = findOverpaint(specimen);
  const asked = useMemo(
    () => ({
      catalogue,
      answers: selectAnswers(catalogue, observations, measurements, overpaint !== null),
      statements: selectStatements(sources),
    }),
    [catalogue, observations, measurements, sources, overpaint],
  );
  return useReport(asked.catalogue, asked.answers, asked.statements, view.house.lossThreshold, question);
}
