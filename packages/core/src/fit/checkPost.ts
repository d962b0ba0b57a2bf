import type { TaskMeasure } from '../model/task.ts';
import { THREAD_NAMES, THREADS, type Thread } from '../model/thread.ts';
import { countReservedFor, readMeasure, type DrawerThing } from './drawerThing.ts';
import { listWideOptions, type WideOption } from './overDrilled.ts';
import { listPilotOptions, type PilotOption } from './pilot.ts';
import { planPost, type PostPlan, type PostSizes } from './post.ts';

export interface ScrewOffer {
  readonly thing: Pick<DrawerThing, 'id' | 'name' | 'drawer' | 'traits'>;
  readonly lengthMm: number;
  readonly free: number;
  /** Put by for this job. */
  readonly reserved: number;
}

/** How a post is drilled, tapped and closed, and what of the drawers closes it. */
export interface PostCheck {
  readonly plan: PostPlan;
  /** Threads that this post bears without a fault, the thickest last. */
  readonly bears: readonly Thread[];
  /** Of its thread and neither too short to hold nor too long: the longest that the post takes first. */
  readonly screws: readonly ScrewOffer[];
  /** What is open where a hole is in it already, the least work first; null where none was measured. */
  readonly wide: readonly WideOption[] | null;
  /** What is open where that hole is beside the middle, the least work first; null where nobody measured how far. */
  readonly pilot: readonly PilotOption[] | null;
}

interface PostQuestion {
  readonly measures: readonly TaskMeasure[];
  /** null: the usual one, or the thickest that the post bears if it does not bear that. */
  readonly thread: Thread | null;
  readonly things: readonly DrawerThing[];
  readonly jobId: string;
}

const USUAL: Thread = 'M2';
/** Calipers in a hand; and how far beside the middle a hole lies, from both sides of it, mm. */
const CALIPER_SD = 0.03;
const OFFSET_SD = 0.05;

/** null until the post is measured across and to the roof; a floor that was not measured is none. */
export function checkPost({ measures, thread, things, jobId }: PostQuestion): PostCheck | null {
  const read = (what: TaskMeasure['what']) => readMeasure(measures, what);
  const [diameter, toRoof, floor, hole] = [read('post'), read('to the roof'), read('floor') ?? 0, read('hole')];
  if (diameter === undefined || toRoof === undefined) return null;
  const post: PostSizes = { diameter, toRoof, floor };
  const bears = [...THREAD_NAMES]
    .sort((a, b) => THREADS[a].diameter - THREADS[b].diameter)
    .filter((name) => planPost(name, post).faults.length === 0);
  const chosen = thread ?? (bears.includes(USUAL) ? USUAL : (bears.at(-1) ?? USUAL));
  const wide = hole === undefined ? null : listWideOptions(hole, chosen, post);
  // The hole that is there may ask for another thread: then that one's screw closes it.
  const plan = wide?.[0]?.plan ?? planPost(chosen, post);
  const offset = read('off the middle');
  const pilot =
    hole === undefined || offset === undefined
      ? null
      : listPilotOptions(
          { post: { mm: diameter, sd: CALIPER_SD }, offset: { mm: offset, sd: OFFSET_SD }, hole },
          plan.thread,
        );
  return { plan, bears, wide, pilot, screws: plan.faults.length ? [] : offerScrews(plan, things, jobId) };
}

function offerScrews({ thread, screw }: PostPlan, things: readonly DrawerThing[], jobId: string): ScrewOffer[] {
  return things
    .flatMap(({ id, kind, name, drawer, sizes, traits, isLocked, free, held }): ScrewOffer[] => {
      const reserved = countReservedFor({ held }, jobId);
      const { length } = sizes;
      if (kind !== 'screw' || traits.thread !== thread || length === undefined) return [];
      if (length < screw.least || length > screw.most || free + reserved === 0 || (isLocked && reserved === 0))
        return [];
      return [{ thing: { id, name, drawer, traits }, lengthMm: length, free, reserved }];
    })
    .sort((a, b) => b.lengthMm - a.lengthMm || b.free - a.free);
}
