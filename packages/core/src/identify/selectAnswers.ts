import type { Answer, IdentifyCatalogue } from './catalogue.ts';

/**
 * The observations that this catalogue can weigh. A model that was looked at before anybody knew its casting may carry
 * answers about features of other ranges: they are kept on the specimen and left out here.
 */
export function selectAnswers<T extends Answer>(catalogue: IdentifyCatalogue, observations: readonly T[]): T[] {
  return observations.filter((answer) => {
    const feature = catalogue.features.find((candidate) => candidate.id === answer.featureId);
    return feature && (answer.stateId === null || feature.states.some((state) => state.id === answer.stateId));
  });
}
