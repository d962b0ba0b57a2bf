import type { Versioned } from './catalogue.ts';
import type { OpticsRecord, RecipeLine } from './colour.ts';
import type { Station } from './stations.ts';

export interface Restorer extends Versioned {
  readonly name: string;
  readonly does: string;
  /** Bench sessions: weekday 0 (Sunday) to 6, start hour and length in minutes. */
  readonly sessions: readonly BenchSession[];
}

export interface BenchSession {
  readonly weekday: number;
  readonly startHour: number;
  readonly minutes: number;
}

export const JOB_SCOPES = ['full', 'clean only'] as const;
export type JobScope = (typeof JOB_SCOPES)[number];

export interface Job extends Versioned {
  readonly number: string;
  readonly title: string;
  readonly scope: JobScope;
  readonly target: 'as issued' | 'period-correct' | 'custom';
  readonly why: string;
  readonly station: Station;
  readonly dueOn: string | null;
  readonly intakeOn: string;
  readonly signedOffAt: string | null;
  readonly signedOffBy: string | null;
}

export interface Decision extends Versioned {
  readonly jobId: string;
  /** School key of the needs list: S1 to S23. */
  readonly school: string;
  readonly option: string;
  readonly reason: string;
}

export const TASK_STATES = ['to do', 'doing', 'done', 'not needed'] as const;
export type TaskState = (typeof TASK_STATES)[number];

/** Why a task must wait for another one. rule is an order rule (O5), or 'access' where the joint lies behind another. */
export interface TaskLink {
  readonly key: string;
  readonly rule: string;
  readonly because: string;
}

/** What a task is, for the order rules and the room rules. */
export const TASK_TAGS = [
  'identify',
  'photograph',
  'capture colour',
  'know material',
  'pest check',
  'list wants',
  'order',
  'receive',
  'clean brush',
  'dusting',
  'after dusting',
  'special tool',
  'force joint',
  'axle in hand',
  'axle cut',
  'oil',
  'dismantle',
  'pilot hole',
  'rivet head off',
  'open joint',
  'separate',
  'wheels off',
  'meltables out',
  'hidden test',
  'strip',
  'chemical',
  'heat',
  'wash',
  'inspect',
  'straighten hot',
  'clamp',
  'fill',
  'glue',
  'solder',
  'anneal',
  'blast',
  'airing',
  'drill and tap',
  'degrease',
  'repair',
  'prime',
  'judge fill',
  'refill',
  'reprime',
  'trial fit',
  'dry fit',
  'mask',
  'gun ready',
  'mix paint',
  'gun cleaned',
  'spray',
  'paint',
  'mist coat',
  'colour',
  'hidden faces',
  'outside faces',
  'body colour',
  'trim colour',
  'gloss coat',
  'empty bake',
  'powder',
  'clear relief',
  'cure',
  'bake',
  'low bake',
  'clean part',
  'fit part',
  'glazing in',
  'interior in',
  'base on',
  'mechanism in',
  'motion check',
  'wheel check',
  'close joint',
  'form axle ends',
  'touch in',
  'decal across seam',
  'decal dry-fit',
  'decal',
  'seal',
  'handling',
  'slow chrome ink',
  'vapour',
  'bath',
  'spark',
  'flame',
  'wet paint removal',
  'dry abrade',
  'sign off',
] as const;
export type TaskTag = (typeof TASK_TAGS)[number];

export interface Task extends Versioned {
  readonly jobId: string;
  readonly specimenId: string;
  /** Stable name within the specimen's plan: recompiling finds the same task again. */
  readonly key: string;
  readonly seq: number;
  readonly station: Station;
  readonly title: string;
  readonly how: string;
  readonly partKeys: readonly string[];
  readonly tags: readonly TaskTag[];
  readonly hazards: readonly string[];
  readonly irreversible: boolean;
  readonly cannotBeUndone: string;
  readonly handsOnMin: number;
  readonly watchedMin: number;
  readonly passiveMin: number;
  readonly because: string;
  /** Names of the colours it puts on or makes ready. */
  readonly colours: readonly string[];
  readonly after: readonly TaskLink[];
  readonly state: TaskState;
}

/** Append-only; a mistake is corrected by a counter-entry. */
export interface TaskLog {
  readonly id: string;
  readonly taskId: string;
  readonly jobId: string;
  readonly who: string;
  readonly at: string;
  readonly act: 'started' | 'done' | 'taken back' | 'note' | 'went ahead';
  readonly note: string;
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
