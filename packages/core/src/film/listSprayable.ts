import { listNextCoats, type CoatedModel, type NextCoat } from './listNextCoats.ts';
import type { SprayableCoat } from './planGunRuns.ts';

/** A coat that may go on now out of the gun, and where. */
export interface SprayablePlace extends SprayableCoat, Pick<NextCoat, 'part' | 'areaId' | 'areaName'> {}

/** What may go on a model now out of the gun, what shuts first before the rest; brushes, cans and powder need none. */
export const listSprayable = (model: CoatedModel, now: number): SprayablePlace[] =>
  listNextCoats(model, now).flatMap(({ state, planned, taskId, part, areaId, areaName, until }) => {
    const { needs } = model.tasks.find(({ id }) => id === taskId)!;
    if (state !== 'now' || !planned || !needs.tools.includes('airbrush')) return [];
    return [{ paint: planned.name, colourHex: planned.colourHex, until, part, areaId, areaName }];
  });
