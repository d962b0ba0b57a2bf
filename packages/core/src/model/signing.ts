import type { Versioned } from './catalogue.ts';
import type { Station } from './stations.ts';

export type LackKey = 'before' | 'after' | 'casting' | 'issue' | 'origin' | 'pot' | 'helped' | 'hours';

/** What a record does not tell, though whoever reads it later will ask. */
export interface Lack {
  readonly key: LackKey;
  /** A whole sentence. */
  readonly what: string;
  /** Why it matters, a whole sentence. */
  readonly why: string;
  /** Where it can be put right; null where it is too late. */
  readonly station: Station | null;
}

/** One signing of a job, with the record as it was then; the first stays when the job is opened again. */
export interface Signing extends Versioned {
  readonly jobId: string;
  readonly signedAt: string;
  readonly signedBy: string;
  /** What the record lacked when it was signed. */
  readonly lacks: readonly Lack[];
  /** Why it was signed all the same; empty where nothing was missing. */
  readonly because: string;
  /** null while the signing holds. */
  readonly reopenedAt: string | null;
  readonly reopenedBy: string | null;
  readonly reopenedBecause: string | null;
}
