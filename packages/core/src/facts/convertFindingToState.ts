import type { Finding, PartState } from '../model/workpiece.ts';

/** What a finding makes of a part that needs replacing; null where the part stays what it was. */
export function convertFindingToState({
  kind,
  feature,
}: Pick<Finding, 'kind' | 'feature'>): Extract<PartState, 'missing' | 'damaged'> | null {
  // A pillar or a hook is mended or set in; the part stays.
  if (feature !== '') return null;
  if (kind === 'missing') return 'missing';
  return kind === 'broken' ? 'damaged' : null;
}
