import { findOverpaint, selectAnswers, selectStatements, type Question } from '@sardonyx/core';
import { useMemo } from 'react';
import { useReport } from './identifier/useReport.ts';
import { useJob } from './JobContext.tsx';

/** Everything identification has to say about the specimen in hand. */
export function useIdentification(question: Question) {
  const { specimen, view } = useJob();
  const { catalogue, observations, measurements, captures, sources } = specimen;
  const isOverpainted = findOverpaint(specimen) !== null;
  const asked = useMemo(
    () => ({
      catalogue,
      answers: selectAnswers(catalogue, { observations, measurements, captures, isOverpainted }),
      statements: selectStatements(sources),
    }),
    [catalogue, observations, measurements, captures, sources, isOverpainted],
  );
  return useReport(asked.catalogue, asked.answers, asked.statements, view.house.lossThreshold, question);
}
