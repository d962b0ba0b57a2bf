import type { PhotoSide, Station, Task } from '@sardonyx/core';

/** A phone that is let in. */
export interface PhoneDevice {
  readonly id: string;
  readonly who: string;
  /** The same few signs stand on the phone: this one it is. */
  readonly mark: string;
  readonly since: string;
  readonly lastSeenAt: string;
}

/** The door for phones, as the bench's own page sees it. */
export interface PhoneDoorView {
  /** Where a phone finds it; empty while it is shut, or where this machine is in no network. */
  readonly addresses: readonly string[];
  /** null: it is shut. */
  readonly pin: string | null;
  readonly closesAt: string | null;
  readonly triesLeft: number;
  readonly wrongTries: number;
  /** Why it was shut; empty where nobody asked for it yet. */
  readonly shutBecause: string;
  readonly devices: readonly PhoneDevice[];
  /** Counts what phones did: whoever shows it asks for the job again. */
  readonly acts: number;
}

/** What a phone is shown: the job that stands open on the bench, its present step, its clocks. */
export interface PhoneView {
  readonly now: string;
  readonly mark: string;
  readonly closesAt: string;
  /** null: nothing stands open on the bench. */
  readonly job: {
    readonly id: string;
    readonly number: string;
    readonly title: string;
    readonly station: Station;
    readonly stage: 'before' | 'during' | 'after';
    readonly missingSides: readonly PhotoSide[];
    readonly pictures: number;
    readonly isClosed: boolean;
  } | null;
  readonly step: Pick<
    Task,
    'id' | 'title' | 'how' | 'because' | 'hazards' | 'state' | 'irreversible' | 'cannotBeUndone'
  > | null;
  readonly blockedBy: { readonly title: string; readonly from: string | null } | null;
  readonly clocks: readonly { readonly id: string; readonly label: string; readonly endsAt: string }[];
}
