import type { Film } from '../white/judgeFilms.ts';

/** What goes wrong with a decal while it is placed. */
export const DECAL_TROUBLES = ['folded', 'torn', 'silvered', 'slid away', 'too short', 'stuck crooked'] as const;
export type DecalTrouble = (typeof DECAL_TROUBLES)[number];

/** One thing that happened to one piece; written once. */
export interface DecalAct {
  readonly id: string;
  /** The planned layer that it is a copy of. */
  readonly layerId: string;
  readonly at: string;
  readonly who: string;
  /** It slid from its paper, something went wrong, it was lost; or what was written before was not so. */
  readonly act: 'slid' | 'trouble' | 'lost' | 'taken back';
  /** What is taken back; null of all else. */
  readonly ofId: string | null;
  readonly trouble: DecalTrouble | null;
  /** In water until it slid by itself. */
  readonly soakS: number | null;
  readonly film: Film | null;
  /** How old its sheet was. */
  readonly ageDays: number | null;
  readonly note: string;
}

/** What stands of a log: nothing that was taken back, nor the taking back. */
export function selectStandingActs<A extends Pick<DecalAct, 'id' | 'act' | 'ofId'>>(acts: readonly A[]): A[] {
  const gone = new Set(acts.flatMap(({ ofId }) => ofId ?? []));
  return acts.filter(({ id, act }) => act !== 'taken back' && !gone.has(id));
}
