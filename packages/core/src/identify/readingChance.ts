import type { IdentifyFeature } from './catalogue.ts';

/** Share of all reading errors that look-alike states take, where a state has any (planning estimate). */
const LOOK_ALIKE_SHARE = 0.9;

/**
 * C: the chance of reading `readId` when the true state is `trueId`. The stated certainty lies on the diagonal; look-alike
 * states share nine tenths of the rest and all others the last tenth, so that no honest mistake rules anything out.
 * A feature with one state cannot be misread.
 */
export function readingChance(readId: string, trueId: string, feature: IdentifyFeature, right: number): number {
  if (feature.states.length === 1) return 1;
  if (readId === trueId) return right;
  const alikes = feature.states.find((state) => state.id === trueId)?.lookAlikes.length ?? 0;
  const others = feature.states.length - 1 - alikes;
  if (alikes === 0 || others === 0) return (1 - right) / (feature.states.length - 1);
  const isAlike = feature.states.find((state) => state.id === trueId)!.lookAlikes.includes(readId);
  return isAlike ? ((1 - right) * LOOK_ALIKE_SHARE) / alikes : ((1 - right) * (1 - LOOK_ALIKE_SHARE)) / others;
}
