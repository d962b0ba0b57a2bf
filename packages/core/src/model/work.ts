import type { Versioned } from './catalogue.ts';
import type { OpticsRecord, RecipeLine } from './colour.ts';
import type { DryingSheet } from './drying.ts';
import type { SessionException, WorkKind } from './evenings.ts';
import type { SchoolKey, SchoolOption } from './school.ts';
import type { Station } from './stations.ts';

export interface Restorer extends Versioned {
  readonly name: string;
  readonly does: string;
  /** Bench sessions: weekday 0 (Sunday) to 6, start hour and length in minutes. */
  readonly sessions: readonly BenchSession[];
  /** Days on which the week does not hold. */
  readonly exceptions: readonly SessionException[];
  /** Work that is left to the others. */
  readonly leaves: readonly WorkKind[];
}

export interface BenchSession {
  readonly weekday: number;
  readonly startHour: number;
  readonly minutes: number;
}

export const JOB_SCOPES = ['full', 'repair only', 'clean only'] as const;
export type JobScope = (typeof JOB_SCOPES)[number];

export const JOB_TARGETS = ['as issued', 'period-correct', 'custom'] as const;
export type JobTarget = (typeof JOB_TARGETS)[number];

export interface Job extends Versioned {
  readonly number: string;
  readonly title: string;
  readonly scope: JobScope;
  readonly target: JobTarget;
  readonly why: string;
  readonly station: Station;
  readonly dueOn: string | null;
  readonly intakeOn: string;
  readonly signedOffAt: string | null;
  readonly signedOffBy: string | null;
}

export interface Decision extends Versioned {
  readonly jobId: string;
  readonly school: SchoolKey;
  readonly option: SchoolOption;
  readonly reason: string;
}

/** An airing clock ends by itself; every other one sounds until somebody has looked. */
export const TIMER_KINDS = ['bath', 'vapour', 'flash', 'cure', 'heat', 'soak', 'airing'] as const;
export type TimerKind = (typeof TIMER_KINDS)[number];

/** A clock on the server's time. */
export interface Timer extends Versioned {
  readonly jobId: string;
  readonly taskId: string | null;
  readonly label: string;
  readonly kind: TimerKind;
  readonly startedAt: string;
  readonly endsAt: string;
  readonly acknowledgedAt: string | null;
}

export interface PaintProduct extends Versioned {
  readonly line: string;
  readonly name: string;
  readonly kind: 'primer' | 'colour' | 'clear' | 'brightwork' | 'powder';
  readonly binder: 'enamel' | 'acrylic' | 'lacquer' | 'ink' | 'powder';
  readonly gloss: Finish;
  readonly colourHex: string;
  readonly dryFilmUm: number;
  readonly flashMin: number;
  readonly recoatMin: number;
  readonly cureMin: number;
  readonly minC: number;
  readonly maxC: number;
  /** null where nobody knows them: then only the colour speaks. */
  readonly optics: OpticsRecord | null;
  readonly densityGPerMl: number;
  /** Of one drop (planning estimate until somebody weighed twenty). */
  readonly dropMl: number;
  readonly pricePerMl: number;
  /** When its coat bears what, by its sheet; null where nobody copied it: then as its binder usually dries. */
  readonly drying: DryingSheet | null;
  /** Of a paint that was mixed here. */
  readonly recipe: readonly RecipeLine[] | null;
}

/** How a dry film looks. The last four are outside what the mixing model can say. */
export const FINISHES = ['matt', 'satin', 'gloss', 'metallic', 'pearl', 'candy', 'fluorescent'] as const;
export type Finish = (typeof FINISHES)[number];

export interface PaintPot extends Versioned {
  readonly productId: string;
  readonly leftMl: number;
  readonly openedOn: string | null;
  readonly place: string;
}
