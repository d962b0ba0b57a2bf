import { keepMine } from '../shared/edits/editRow.ts';
import { conflictClosed } from '../shared/edits/editsSlice.ts';
import { useAppDispatch, useAppSelector } from '../shared/store.ts';
import { Dialog } from '../shared/ui/Dialog.tsx';

/** Two people changed the same field: both values side by side, and the restorer chooses. */
export function ConflictDialog() {
  const dispatch = useAppDispatch();
  const conflict = useAppSelector((state) => state.edits.conflict);
  if (!conflict) return null;
  const close = () => void dispatch(conflictClosed());
  return (
    <Dialog isOpen onClose={close} title={`Changed in two places: ${conflict.label}`}>
      <p className="mb-3">Somebody saved this while you were at it. Nothing was overwritten; both are here.</p>
      <table className="w-full border-collapse text-left">
        <thead>
          <tr>
            {['', 'Yours', 'Stands now'].map((heading) => (
              <th key={heading} className="border-b border-strong-line p-2">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {conflict.fields.map((field) => (
            <tr key={field}>
              <th className="border-b border-hairline p-2 font-normal text-soft-ink">{FIELD_WORDS[field] ?? field}</th>
              <td className="border-b border-hairline p-2 font-semibold">{show(conflict.mine[field])}</td>
              <td className="border-b border-hairline p-2 font-semibold">{show(conflict.theirs[field])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-4 flex gap-3">
        <button type="button" className="main-button" onClick={() => void dispatch(keepMine(conflict))}>
          Put mine in
        </button>
        <button type="button" className="plain-button" onClick={close}>
          Leave what stands now
        </button>
      </div>
    </Dialog>
  );
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  title: 'name',
  why: 'why this one',
  reason: 'reason',
  stateId: 'what was seen',
  dueOn: 'due day',
  originNote: 'where it came from',
  castingId: 'casting',
  solution: 'how it is solved',
  colourHex: 'colour',
  colour: 'measured colour',
  captureIds: 'captured colours that count',
  size: 'measured size',
  thicknessUm: 'thickness',
  seq: 'place in the stack',
};

const show = (value: unknown) => (value === null || value === '' || value === undefined ? 'empty' : String(value));
