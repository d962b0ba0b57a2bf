import { nameOfArea, type Area, type AreaOutline, type SpecimenPart } from '@sardonyx/core';
import { changeRow } from '../../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../../shared/store.ts';

interface RedrawFieldProps {
  readonly area: Area;
  readonly part: SpecimenPart;
  readonly outline: AreaOutline | null;
  readonly onLeave: () => void;
}

/** An area that is there gets its line: the first one, or a better one. */
export function RedrawField({ area, part, outline, onLeave }: RedrawFieldProps) {
  const dispatch = useAppDispatch();
  const keep = async (next: AreaOutline | null) => {
    const label = `${part.name}: ${nameOfArea(area)} ${next ? 'drawn' : 'as the casting has it'}`;
    const refused = await dispatch(changeRow({ kind: 'areas', row: area, changes: { outline: next }, label })).unwrap();
    if (!refused) onLeave();
  };
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="main-button" disabled={!outline} onClick={() => void keep(outline)}>
        Keep this line
      </button>
      {area.outline && (
        <button type="button" className="quiet-button" onClick={() => void keep(null)}>
          As the casting’s drawing has it
        </button>
      )}
      <button type="button" className="quiet-button" onClick={onLeave}>
        Leave it
      </button>
    </div>
  );
}
