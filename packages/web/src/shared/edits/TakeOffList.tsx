import type { NounPath } from '@sardonyx/contract';
import type { Row } from '../api/api.ts';
import { useAppDispatch } from '../store.ts';
import { deleteRow } from './editRow.ts';

/** Takes a row that nothing stands on out of its list; the note that follows can take it back. */
export function TakeOffList({
  kind,
  row,
  label,
}: {
  readonly kind: NounPath;
  readonly row: Row;
  readonly label: string;
}) {
  const dispatch = useAppDispatch();
  return (
    <button type="button" className="quiet-button" onClick={() => void dispatch(deleteRow({ kind, row, label }))}>
      Take it out of the list
    </button>
  );
}
