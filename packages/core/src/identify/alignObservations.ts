import type { Observation } from '../model/workpiece.ts';
import type { IdentifyCatalogue } from './catalogue.ts';

/**
 * What was seen of a model, under the names by which this catalogue asks for it: a look that was answered before anybody knew
 * the casting, or at another one, counts for the same look of this one. What has no counterpart here stays as it is. Where both
 * were answered, the one that was given here counts.
 */
export function alignObservations<O extends Pick<Observation, 'featureId' | 'stateId'>>(
  observations: readonly O[],
  { features, sameAs = {} }: Pick<IdentifyCatalogue, 'features' | 'sameAs'>,
): O[] {
  const isNative = ({ featureId }: O) => features.some(({ id }) => id === featureId);
  const answered = new Set(observations.filter(isNative).map(({ featureId }) => featureId));
  return observations.flatMap((one): O[] => {
    const featureId = sameAs[one.featureId] ?? one.featureId;
    const stateId = one.stateId === null ? null : (sameAs[one.stateId] ?? one.stateId);
    if (featureId !== one.featureId && answered.has(featureId)) return [];
    const feature = features.find(({ id }) => id === featureId);
    const isKnown = feature && (stateId === null || feature.states.some(({ id }) => id === stateId));
    if (!isKnown) return [one];
    answered.add(featureId);
    return featureId === one.featureId && stateId === one.stateId ? [one] : [{ ...one, featureId, stateId }];
  });
}
