import type { ErrorBody } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';

/** What a task in the thread beside the server works with: a connection of its own. */
export interface Hands {
  /** Reads from one moment. */
  look<T>(act: (manager: EntityManager) => Promise<T>): Promise<T>;
  /** One transaction, when it is this thread's turn to write: others read on meanwhile and write after it. */
  change<T>(act: (manager: EntityManager) => Promise<T>): Promise<T>;
  /** Whoever gave the order learns how far it is. */
  tell(news: unknown): void;
  /** Throws Stopped where whoever gave the order no longer wants it. */
  goOn(): void;
}

/** A task was told to stop: nothing of it stands. */
export class Stopped extends Error {}

export interface AsideOrder {
  readonly id: number;
  readonly task: string;
  readonly input: unknown;
  readonly folder: string;
  /** Not 0: stop. */
  readonly stop: SharedArrayBuffer;
}

/** An order, or the word that it may write now. */
export type ToThread = AsideOrder | { readonly id: number; readonly mayWrite: true };

export type FromThread =
  | { readonly id: number; readonly news: unknown }
  | { readonly id: number; readonly wantsToWrite: true }
  | { readonly id: number; readonly result: unknown }
  | { readonly id: number; readonly isStopped: true }
  | { readonly id: number; readonly refusal: { readonly status: number; readonly body: ErrorBody } }
  /** `code`: the driver's or the system's, where the disk is the reason. */
  | { readonly id: number; readonly fault: string; readonly code: string | null };
