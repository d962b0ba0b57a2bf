import type { JointWay, Versioned } from './catalogue.ts';
import type { Process } from './process.ts';
import type { Station } from './stations.ts';
import type { Use } from './supply.ts';
import type { TaskAct, TaskSubject } from './taskActs.ts';
import type { TaskTag } from './taskTags.ts';
import type { BathKind, ToolKind } from './workshop.ts';

/** "Set aside": the plan no longer asks for it, and its log is kept. "Not needed": a restorer said so, with a reason. */
export const TASK_STATES = ['to do', 'doing', 'done', 'not needed', 'set aside'] as const;
export type TaskState = (typeof TASK_STATES)[number];

/** Nothing more is to be done for it: what comes after it need not wait. */
export const isSettled = ({ state }: Pick<Task, 'state'>): boolean =>
  state === 'done' || state === 'not needed' || state === 'set aside';

/** Why a task must wait for another one. */
export interface TaskLink {
  /** Key of the task that goes first. */
  readonly key: string;
  /** An order rule (O5), 'access' where the joint lies behind another, 'bench' for a part's way along the stations. */
  readonly rule: string;
  readonly because: string;
  /** Minutes to wait after the first is done; 0 for none (planning estimate unless a product says it). */
  readonly waitMin: number;
  /** Minutes after which it is too late without a fresh look; null where it never is. */
  readonly latestMin: number | null;
}

/** What a task takes up besides time. */
export interface TaskNeeds {
  readonly tools: readonly ToolKind[];
  readonly booth: boolean;
  readonly bath: BathKind | null;
  /** A person stays in the room until it is over. */
  readonly stays: boolean;
  /** What it brings into the air of the room, which must not meet the other. */
  readonly air: 'vapour' | 'spark' | null;
}

/** What a task does, as fields: words are made from them, and never read back. */
export interface TaskWork {
  readonly act: TaskAct;
  readonly of: TaskSubject;
  readonly partKeys: readonly string[];
  readonly station: Station;
  /** By what it is done where there is a choice: a method of stripping or mending, the option of a school. */
  readonly method: string | null;
  /** What the parts meet in it. */
  readonly process: Process | null;
  /** How a joint is opened. */
  readonly way: Pick<JointWay, 'key' | 'label' | 'destroys'> | null;
  /** Names of the colours it puts on or makes ready. */
  readonly colours: readonly string[];
  /** The plan rule that asked for it. */
  readonly rule: string;
  readonly title: string;
  readonly how: string;
  readonly because: string;
  readonly handsOnMin: number;
  readonly watchedMin: number;
  readonly passiveMin: number;
}

export interface Task extends Versioned, TaskWork {
  readonly jobId: string;
  readonly specimenId: string;
  /** createTaskKey of what it is. */
  readonly key: string;
  readonly seq: number;
  readonly tags: readonly TaskTag[];
  readonly hazards: readonly string[];
  readonly irreversible: boolean;
  readonly cannotBeUndone: string;
  readonly needs: TaskNeeds;
  /** Materials and tools it takes. */
  readonly uses: readonly Use[];
  readonly after: readonly TaskLink[];
  readonly state: TaskState;
  /** When it was done, ISO; null while it is not. */
  readonly doneAt: string | null;
  /** When somebody last looked that it is dry, holds or is still clean: waits for it end then, and too late counts anew. */
  readonly lookedAt: string | null;
}

export const LOG_ACTS = [
  'started',
  'done',
  'done otherwise',
  'not needed',
  'taken back',
  'looked',
  'went ahead',
  'note',
] as const;
export type LogAct = (typeof LOG_ACTS)[number];

/**
 * What is measured at a step. Of an axle: over both its tips, across, over the outer faces of the wheels as they run, and how high its
 * heads stand. Of a post: across, from its end to the face of the roof that is seen, the floor under it, a hole that is in it already,
 * and how far beside the middle that is. Of wheels: across over their tyres, their width, bore and hub, the bore of a tyre; of the room
 * they have: from the middle of the axle to the edge of the arch, from the body to where the axle end sits, from axle to axle.
 */
export const MEASURED_OF = [
  ...(['length', 'diameter', 'over the wheels', 'head'] as const),
  ...(['post', 'to the roof', 'floor', 'hole', 'off the middle'] as const),
  ...(['front left', 'front right', 'back left', 'back right', 'axle', 'wheel bore', 'wheel width'] as const),
  ...(['arch', 'beside', 'hub', 'tyre bore', 'wheelbase', 'track'] as const),
] as const;
export type MeasuredOf = (typeof MEASURED_OF)[number];

export interface TaskMeasure {
  readonly what: MeasuredOf;
  readonly valueMm: number;
}

/** What was done, in its own words and fields: nothing that is decided later changes it. */
export interface LoggedWork extends TaskWork {
  /** Names of the parts as they were called then. */
  readonly partNames: readonly string[];
  /** What was put on or used, by name. */
  readonly products: readonly string[];
  readonly measures: readonly TaskMeasure[];
}

/** Append-only; a mistake is corrected by a counter-entry. */
export interface TaskLog {
  readonly id: string;
  /** In this order the entries were written, on the whole bench; no clock has a say in it. */
  readonly seq: number;
  readonly taskId: string;
  readonly jobId: string;
  readonly who: string;
  readonly at: string;
  readonly act: LogAct;
  readonly note: string;
  readonly work: LoggedWork;
}
