import type { AxleShare } from './axleShare.ts';
import { checkAxle, toPiece, toPlace, type AxleQuestion } from './checkAxle.ts';
import type { DrawerThing } from './drawerThing.ts';
import { planAxles, type KeptPiece } from './planAxles.ts';

/** A joint of some open job whose axles are to be opened, and what was measured of them. */
export interface AxleTask extends Omit<AxleQuestion, 'things' | 'shares'> {
  readonly jobNumber: string;
}

interface OwnPiece extends KeptPiece {
  readonly thing: DrawerThing;
}

/**
 * Which axles of the drawers go to which joint, over all jobs at once: not who comes first has the rare ones. Joints that are not
 * measured yet ask for nothing.
 */
export function planAllAxles(tasks: readonly AxleTask[], things: readonly DrawerThing[]): AxleShare[] {
  const asked = tasks.flatMap((task) => {
    const check = checkAxle({ ...task, things, shares: [] });
    const place = toPlace(task);
    if (!check || !place) return [];
    const wanted = check.answer.decision === 'yes' ? 0 : Math.max(0, check.count - check.reserved);
    return [{ task, place, wanted, decision: check.answer.decision }];
  });
  const most = asked.reduce((sum, { wanted }) => sum + wanted, 0);
  const pieces = things.flatMap((thing): OwnPiece[] => {
    const piece = toPiece(thing);
    if (!piece) return [];
    return Array.from({ length: Math.min(most, Math.max(0, Math.floor(thing.free))) }, (_, i) => ({
      ...piece,
      ...{ id: `${thing.id} ${i}`, isLocked: thing.isLocked, thing },
    }));
  });
  const wishes = asked.flatMap(({ task, place, wanted }) =>
    Array.from({ length: wanted }, (_, i) => ({ ...place, id: `${task.taskId} ${i}`, taskId: task.taskId })),
  );
  const planned = planAxles(wishes, pieces);
  return asked.map(({ task: { taskId, jobId, jobNumber }, wanted, decision }): AxleShare => {
    const own = planned.filter((_, i) => wishes[i]!.taskId === taskId);
    const got = own.flatMap(({ piece }) => (piece ? [piece.thing] : []));
    return {
      ...{ taskId, jobId, jobNumber, decision, wanted },
      given: [...new Set(got)].map(({ id, name, drawer }) => ({
        thing: { id, name, drawer },
        amount: got.filter((thing) => thing.id === id).length,
      })),
      holes: wanted - got.length,
      locked: [...new Set(own.flatMap(({ locked }) => locked.map(({ thing }) => thing.id)))],
    };
  });
}
