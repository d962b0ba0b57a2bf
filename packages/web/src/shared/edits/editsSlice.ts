import { keepNoNumber } from '../api/keepNoNumber.ts';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { NounPath } from '@sardonyx/contract';
import type { AppError } from '../api/appError.ts';

type Fields = Readonly<Record<string, unknown>>;

/** How to take an edit back: the inverse change, guarded by the version that the edit made. */
export type Undo =
  | {
      readonly act: 'change';
      readonly kind: NounPath;
      readonly id: string;
      readonly version: number;
      readonly changes: Fields;
      readonly label: string;
    }
  | {
      readonly act: 'delete';
      readonly kind: NounPath;
      readonly id: string;
      readonly version: number;
      readonly label: string;
    }
  | { readonly act: 'create'; readonly kind: NounPath; readonly body: Fields; readonly label: string };

/** Two people changed the same fields of a row. */
export interface Conflict {
  readonly kind: NounPath;
  readonly id: string;
  readonly label: string;
  readonly mine: Fields;
  readonly theirs: Fields;
  readonly currentVersion: number;
  readonly fields: readonly string[];
}

/** An edit that could not be sent while the server was away. */
export interface Unsent {
  readonly act: 'change' | 'create' | 'delete';
  readonly kind: NounPath;
  readonly id: string;
  readonly label: string;
  readonly before: Fields;
  readonly changes: Fields;
}

interface EditsState {
  readonly saving: number;
  readonly savedOnce: boolean;
  readonly undo: readonly Undo[];
  readonly conflict: Conflict | null;
  readonly unsent: readonly Unsent[];
  readonly refusal: { readonly label: string; readonly error: AppError } | null;
}

const UNSENT_KEY = 'sardonyx.unsent';
const MAX_UNDO = 50;

function readUnsent(): Unsent[] {
  try {
    return JSON.parse(localStorage.getItem(UNSENT_KEY) ?? '[]') as Unsent[];
  } catch {
    return [];
  }
}

const initialState = (): EditsState => ({
  saving: 0,
  savedOnce: false,
  undo: [],
  conflict: null,
  unsent: readUnsent(),
  refusal: null,
});

/** Taking an edit back raises the row's version: what this window did to it just before is guarded by the new one. */
function moveOn(undo: readonly Undo[], version: number): Undo[] {
  const taken = undo.at(-1)!;
  return undo.slice(0, -1).map((earlier) => {
    if (taken.act !== 'change' || earlier.act === 'create') return earlier;
    const isJustBefore =
      earlier.kind === taken.kind && earlier.id === taken.id && earlier.version === taken.version - 1;
    return isJustBefore ? { ...earlier, version } : earlier;
  });
}

/** This window's edits: what is being saved, what can be taken back, what waits for the server, what collided. */
export const editsSlice = createSlice({
  name: 'edits',
  initialState,
  reducers: {
    saveBegan: (state) => ({ ...state, saving: state.saving + 1, refusal: null }),
    saveEnded: (state, { payload }: PayloadAction<{ ok: boolean }>) => ({
      ...state,
      saving: state.saving - 1,
      savedOnce: state.savedOnce || payload.ok,
    }),
    undoKept: (state, { payload }: PayloadAction<Undo>) => ({
      ...state,
      undo: [...state.undo, payload].slice(-MAX_UNDO),
    }),
    /** `version`: what the row has now; earlier edits of it can then be taken back too. */
    undoTaken: (state, { payload: version }: PayloadAction<number | null>) => ({
      ...state,
      undo: version === null ? state.undo.slice(0, -1) : moveOn(state.undo, version),
    }),
    conflictFound: (state, { payload }: PayloadAction<Conflict>) => ({ ...state, conflict: payload }),
    conflictClosed: (state) => ({ ...state, conflict: null }),
    refusalShown: (state, { payload }: PayloadAction<{ label: string; error: AppError }>) => ({
      ...state,
      refusal: payload,
    }),
    refusalClosed: (state) => ({ ...state, refusal: null }),
    unsentKept: (state, { payload }: PayloadAction<Unsent>) => ({ ...state, unsent: [...state.unsent, payload] }),
    /** The one that waited last was the first in line. */
    unsentReturned: (state) => ({ ...state, unsent: [...state.unsent.slice(-1), ...state.unsent.slice(0, -1)] }),
    unsentDropped: (state) => ({ ...state, unsent: state.unsent.slice(1) }),
  },
});

export const {
  saveBegan,
  saveEnded,
  undoKept,
  undoTaken,
  conflictFound,
  conflictClosed,
  refusalShown,
  refusalClosed,
  unsentKept,
  unsentDropped,
  unsentReturned,
} = editsSlice.actions;

/** Unsent edits survive a reload. */
export function keepUnsent(unsent: readonly Unsent[]): void {
  localStorage.setItem(UNSENT_KEY, JSON.stringify(unsent, keepNoNumber));
}
