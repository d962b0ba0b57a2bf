import type { FindingKind } from '../model/workpiece.ts';

/** What can be wrong with the hole of a post. */
export const POST_FAULTS = ['over-drilled', 'off-centre', 'slanted'] as const satisfies readonly FindingKind[];
export type PostFault = (typeof POST_FAULTS)[number];

export const POST_RECOVERIES = ['lean back', 'next thread', 'sleeve', 'plug', 'driven plug'] as const;
export type PostRecoveryMethod = (typeof POST_RECOVERIES)[number];

export interface PostRecovery {
  readonly fault: PostFault;
  readonly method: PostRecoveryMethod;
  readonly how: string;
  /** Which post, and what somebody wrote about it. */
  readonly note: string;
}

/** Wall that must be left around a thread, mm (planning estimate). */
const POST_WALL_MM = 0.8;

const HOW: Readonly<Record<PostRecoveryMethod, string>> = {
  'lean back':
    'A smaller bit leant towards the true centre, upright again as it bites; then open up in steps. Stop while the wall is even.',
  'next thread': `The next thread and its own drill, upright, if ${POST_WALL_MM} mm of wall stay all round (planning estimate); less: a sleeve.`,
  sleeve:
    'Opened just enough for thin brass tube, keyed inside and out, set in with gel or metal-filled resin, a waxed screw through it to keep it upright; filed flush when hard, then tapped.',
  plug: 'A rod of brass or aluminium that just goes in, keyed, set with metal-filled resin; filed flush when hard, centre-punched, drilled again upright.',
  'driven plug':
    'A rod of brass that must be driven in, peened at both ends: nothing glued stands the oven that follows. Filed flush, centre-punched, drilled again upright.',
};

/**
 * The recovery of a post that was drilled wrong: the least that helps. A hole out of the middle can be walked back while it is
 * small, a slanted one is bored upright in the next size; what is too far off is sleeved or plugged and drilled anew, without
 * glue where powder is baked on it afterwards.
 */
export function recoverPost(fault: PostFault, severity: number, note: string, isBakedLater: boolean): PostRecovery {
  const usual = chooseMethod(fault, severity);
  const method = isBakedLater && isGlued(usual) ? 'driven plug' : usual;
  return { fault, method, how: HOW[method], note };
}

/** What is set in with resin or gel lets go in heat. */
export const isGlued = (method: PostRecoveryMethod): boolean => method === 'sleeve' || method === 'plug';

function chooseMethod(fault: PostFault, severity: number): PostRecoveryMethod {
  if (severity >= 3) return 'plug';
  if (fault === 'over-drilled') return severity === 1 ? 'next thread' : 'sleeve';
  if (fault === 'off-centre') return severity === 1 ? 'lean back' : 'plug';
  return severity === 1 ? 'next thread' : 'sleeve';
}
