import type { CoatingLayer } from '@sardonyx/core';
import { deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';

/** Takes a layer off the list; undo puts it back. */
export function RemoveLayer({ layer }: { readonly layer: CoatingLayer }) {
  const dispatch = useAppDispatch();
  return (
    <button
      type="button"
      className="quiet-button"
      aria-label={`Remove ${layer.name}`}
      onClick={() => void dispatch(deleteRow({ kind: 'layers', row: layer, label: `removed ${layer.name}` }))}
    >
      Remove
    </button>
  );
}
