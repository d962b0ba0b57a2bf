import { createAsyncThunk } from '@reduxjs/toolkit';
import { getNoun, type NounPath } from '@sardonyx/contract';
import { toastShown } from '../ui/toastsSlice.ts';
import { api, type Row } from '../api/api.ts';
import { isCounted, isHeldUp, readAppError, type AppError } from '../api/appError.ts';
import { takesEdits } from '../api/connectionSlice.ts';
import * as edits from './editsSlice.ts';
import type { Conflict, editsSlice, Undo, Unsent } from './editsSlice.ts';
import { mergeStale } from './mergeStale.ts';

type State = { edits: ReturnType<typeof editsSlice.getInitialState> };
type Dispatch = (action: unknown) => unknown;
type Fields = Readonly<Record<string, unknown>>;

/** null when saved (or kept for later); the error when it was refused. */
export type EditResult = AppError | null;

export interface ChangeRequest {
  readonly kind: NounPath;
  readonly row: Row;
  readonly changes: Fields;
  /** For the undo button: "wheels: grey". */
  readonly label: string;
  /** The caller shows a refusal at its own place. */
  readonly isShownInPlace?: boolean;
}

/**
 * Saves changed fields of a row. Stale saves are merged or shown; without a server, or while its disk takes nothing, the edit
 * waits.
 */
export const changeRow = createAsyncThunk<EditResult, ChangeRequest>(
  'edits/changeRow',
  ({ kind, row, changes, label, isShownInPlace }, { dispatch }) =>
    track(dispatch, () =>
      sendChange(
        dispatch,
        { kind, id: row.id, label, before: row as unknown as Fields, changes },
        row.version,
        isShownInPlace,
      ),
    ),
);

async function sendChange(
  dispatch: Dispatch,
  edit: Omit<Unsent, 'act'>,
  version: number,
  isShownInPlace = false,
): Promise<EditResult> {
  const { kind, id, label, before, changes } = edit;
  const { data, error } = await run<Row>(dispatch, api.endpoints.changeRow.initiate({ kind, id, version, changes }));
  if (data) {
    const inverse = Object.fromEntries(Object.keys(changes).map((field) => [field, before[field] ?? null]));
    dispatch(edits.undoKept({ act: 'change', kind, id, version: data.version, changes: inverse, label }));
    return null;
  }
  if (isHeldUp(error!)) {
    dispatch(edits.unsentKept({ act: 'change', ...edit }));
    return null;
  }
  if (isCounted(error!)) return showCounted(dispatch, kind);
  if (error!.kind === 'stale' && error!.current) {
    const current = error!.current;
    dispatch(api.util.invalidateTags(['Job', 'Bench']));
    const outcome = mergeStale(before, changes, current);
    if (outcome.kind === 'send again')
      return sendChange(dispatch, { ...edit, before: current }, Number(current.version), isShownInPlace);
    dispatch(
      edits.conflictFound({
        kind,
        id,
        label,
        mine: changes,
        theirs: current,
        currentVersion: Number(current.version),
        fields: outcome.fields,
      }),
    );
    return null;
  }
  return isShownInPlace ? error! : refuse(dispatch, label, error!);
}

/** It was saved before its answer was lost. What it became is read again; taking it back goes by what is shown then. */
function showCounted(dispatch: Dispatch, kind: NounPath): null {
  dispatch(api.util.invalidateTags([...getNoun(kind).views]));
  return null;
}

/** Adds a row; undo removes it again. */
export const createRow = createAsyncThunk<
  EditResult,
  { kind: NounPath; body: Fields; label: string; isShownInPlace?: boolean }
>('edits/createRow', ({ kind, body, label, isShownInPlace = false }, { dispatch }) =>
  track(dispatch, async () => {
    const { data, error } = await run<Row>(dispatch, api.endpoints.createRow.initiate({ kind, body }));
    if (data) {
      dispatch(edits.undoKept({ act: 'delete', kind, id: data.id, version: data.version, label }));
      return null;
    }
    if (isCounted(error!)) return showCounted(dispatch, kind);
    if (!isHeldUp(error!)) return isShownInPlace ? error! : refuse(dispatch, label, error!);
    dispatch(edits.unsentKept({ act: 'create', kind, id: '', label, before: {}, changes: body }));
    return null;
  }),
);

/** Takes a row away; undo puts it back with its old id, unless it took others with it. */
export const deleteRow = createAsyncThunk<EditResult, { kind: NounPath; row: Row; label: string }>(
  'edits/deleteRow',
  ({ kind, row, label }, { dispatch }) =>
    track(dispatch, () => sendRemoval(dispatch, { kind, id: row.id, label, before: row as unknown as Fields })),
);

async function sendRemoval(dispatch: Dispatch, edit: Omit<Unsent, 'act' | 'changes'>): Promise<EditResult> {
  const { kind, id, label, before } = edit;
  const { error } = await run<null>(
    dispatch,
    api.endpoints.deleteRow.initiate({ kind, id, version: Number(before.version) }),
  );
  if (error && isHeldUp(error)) {
    dispatch(edits.unsentKept({ act: 'delete', ...edit, changes: {} }));
    return null;
  }
  if (error && isCounted(error)) return showCounted(dispatch, kind);
  if (error) return refuse(dispatch, label, error);
  const { kept } = getNoun(kind);
  if (kept) {
    const body = Object.fromEntries(['id', ...kept].map((field) => [field, before[field]]));
    dispatch(edits.undoKept({ act: 'create', kind, label, body }));
  }
  return null;
}

/** Takes this window's last edit back; refused with the reason when the row has moved on. */
export const undoLast = createAsyncThunk<EditResult, void>('edits/undo', (_, { dispatch, getState }) =>
  track(dispatch, async () => {
    const last = (getState() as State).edits.undo.at(-1);
    if (!last) return null;
    const { data, error } = await run<Row | null>(dispatch, createUndoRequest(last));
    if (error && isHeldUp(error)) return refuse(dispatch, `Undo: ${last.label}`, error);
    dispatch(edits.undoTaken(data?.version ?? null));
    if (!error) {
      dispatch(toastShown(`Taken back: ${last.label}`));
      return null;
    }
    const message =
      error.kind === 'stale'
        ? 'This was changed again since, here or in another window: it was left as it is.'
        : error.message;
    return refuse(dispatch, `Undo: ${last.label}`, { ...error, message });
  }),
);

function createUndoRequest(undo: Undo) {
  if (undo.act === 'change')
    return api.endpoints.changeRow.initiate({
      kind: undo.kind,
      id: undo.id,
      version: undo.version,
      changes: undo.changes,
    });
  if (undo.act === 'delete')
    return api.endpoints.deleteRow.initiate({ kind: undo.kind, id: undo.id, version: undo.version });
  return api.endpoints.createRow.initiate({ kind: undo.kind, body: undo.body });
}

/** After a collision: mine over what stands now. (Keeping theirs needs no request.) */
export const keepMine = createAsyncThunk<EditResult, Conflict>('edits/keepMine', (conflict, { dispatch }) =>
  track(dispatch, async () => {
    dispatch(edits.conflictClosed());
    return sendChange(
      dispatch,
      { kind: conflict.kind, id: conflict.id, label: conflict.label, before: conflict.theirs, changes: conflict.mine },
      conflict.currentVersion,
    );
  }),
);

/** Sends what waited, in order, now that it is taken again. Stops where one waits once more, which stays the first. */
export const sendUnsent = createAsyncThunk<void, void>('edits/sendUnsent', async (_, { dispatch, getState }) => {
  for (let next = (getState() as State).edits.unsent[0]; next; next = (getState() as State).edits.unsent[0]) {
    dispatch(edits.unsentDropped());
    if (next.act === 'change') await track(dispatch, () => sendChange(dispatch, next, Number(next.before.version)));
    else if (next.act === 'create')
      await dispatch(createRow({ kind: next.kind, body: next.changes, label: next.label }));
    else await track(dispatch, () => sendRemoval(dispatch, next));
    const { connection } = getState() as unknown as { connection: Parameters<typeof takesEdits>[0] };
    if (takesEdits(connection)) continue;
    dispatch(edits.unsentReturned());
    return;
  }
});

async function track(dispatch: Dispatch, act: () => Promise<EditResult>): Promise<EditResult> {
  dispatch(edits.saveBegan());
  let result: EditResult = null;
  try {
    result = await act();
    return result;
  } finally {
    dispatch(edits.saveEnded({ ok: result === null }));
  }
}

function refuse(dispatch: Dispatch, label: string, error: AppError): AppError {
  dispatch(edits.refusalShown({ label, error }));
  return error;
}

async function run<T>(dispatch: Dispatch, request: unknown): Promise<{ data?: T; error?: AppError }> {
  const { data, error } = (await dispatch(request)) as { data?: T; error?: unknown };
  return error === undefined ? { data: data as T } : { error: readAppError(error) };
}
