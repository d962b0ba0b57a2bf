import type { TaskDraft } from './planTypes.ts';

/**
 * Paint is mixed when its turn comes and rinsed out when all that wears it has it: where no rule says more, a step to mix
 * stands before the first that uses the paint, a step to rinse after the last. Returns the places in their new order.
 */
export function placePaint(drafts: readonly TaskDraft[]): number[] {
  const places = drafts.map((_, i) => i);
  const uses =
    ({ act, of, partKeys }: TaskDraft) =>
    (place: number) => {
      const { act: other, colours, partKeys: painted } = drafts[place]!;
      if (other === 'mix' || !colours?.includes(of!.colour!)) return false;
      return act === 'mix' || painted.some((key) => partKeys.includes(key));
    };
  for (const [place, draft] of drafts.entries()) {
    if (draft.act !== 'mix' && draft.act !== 'rinse-gun') continue;
    const using = uses(draft);
    if (!places.some(using)) continue;
    places.splice(places.indexOf(place), 1);
    const at = draft.act === 'mix' ? places.findIndex(using) : places.findLastIndex(using) + 1;
    places.splice(at, 0, place);
  }
  return places;
}
