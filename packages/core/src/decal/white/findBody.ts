import { isStanding } from '../../facts/selectPartDone.ts';
import { meetCoats } from '../../film/meetCoats.ts';
import type { Area, CoatingLayer } from '../../model/workpiece.ts';

/**
 * The colour that a decal will lie on: the outermost below it on its own area, else on what that lies upon. Where all that is planned there
 * is on, what is on counts, whatever is planned by now; a mist counts for none. Without either it is what was found; null where nobody
 * knows a colour.
 */
export function findBody(
  decal: CoatingLayer,
  area: Pick<Area, 'id' | 'kind' | 'specimenPartId'>,
  areas: readonly Pick<Area, 'id' | 'kind' | 'specimenPartId'>[],
  all: readonly CoatingLayer[],
): CoatingLayer | null {
  const { layers, under } = meetCoats(area, areas, all, 'decal');
  const below = [layers.filter((one) => one.stage !== 'planned' || one.seq < decal.seq), under].map((coats) =>
    coats.filter(({ kind }) => kind === 'colour').sort((a, b) => b.seq - a.seq),
  );
  for (const colours of below) {
    const planned = colours.filter(({ stage }) => stage === 'planned');
    const on = colours.filter((one) => isStanding(one) && !one.isMist);
    const wanted = planned.reduce((sum, { coats }) => sum + (coats ?? 1), 0);
    if (on.length > 0 && on.length >= wanted) return on[0]!;
    if (planned.length > 0) return planned[0]!;
  }
  return below.flatMap((colours) => colours.filter(({ stage }) => stage === 'found'))[0] ?? null;
}
