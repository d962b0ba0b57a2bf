import { computeNextLooks, identifySpecimen, selectAnswers } from '@sardonyx/core';
import { useMemo } from 'react';
import { useJob } from './JobContext.tsx';

/** Everything identification has to say about the specimen in hand. */
export function useIdentification() {
  const { specimen } = useJob();
  const { catalogue, observations } = specimen;
  return useMemo(() => {
    const answers = selectAnswers(catalogue, observations);
    const identification = identifySpecimen(catalogue, answers);
    return { catalogue, identification, looks: computeNextLooks(catalogue, answers, identification) };
  }, [catalogue, observations]);
}
