import type { FindingKind, PartState } from '../model/workpiece.ts';

/** What a finding makes of a part that needs replacing; null where the part stays what it was. */
export function convertFindingToState(kind: FindingKind): Extract<PartState, 'missing' | 'damaged'> | null {
  if (kind === 'missing') return 'missing';
  return kind === 'broken' ? 'damaged' : null;
}
