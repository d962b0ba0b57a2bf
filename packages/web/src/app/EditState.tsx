import { UndoIcon } from '../shared/ui/icons.ts';
import { undoLast } from '../shared/edits/editRow.ts';
import { useAppDispatch, useAppSelector } from '../shared/store.ts';

/** Whether everything typed is saved, and the way back. */
export function EditState() {
  const dispatch = useAppDispatch();
  const { saving, savedOnce, undo, unsent } = useAppSelector((state) => state.edits);
  const last = undo.at(-1);
  const word = saving
    ? 'Saving ...'
    : unsent.length
      ? `${unsent.length} kept here, not sent yet`
      : savedOnce
        ? 'Saved'
        : '';
  return (
    <span className="flex items-center gap-2">
      <span role="status" className="text-note text-soft-ink">
        {word}
      </span>
      {last && (
        <button
          type="button"
          className="quiet-button"
          title={`Undo: ${last.label}`}
          onClick={() => void dispatch(undoLast())}
        >
          <UndoIcon aria-hidden size={18} />
          Undo<span className="sr-only">: {last.label}</span>
        </button>
      )}
    </span>
  );
}
