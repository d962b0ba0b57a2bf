import type { PrintView } from '@sardonyx/contract';
import { MESH_AXES } from '@sardonyx/core';
import { useState } from 'react';
import type { AppError } from '../../shared/api/appError.ts';
import { isSame } from '../../shared/api/keepNoNumber.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { readOptional } from '../../shared/form/readNumber.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Field } from '../../shared/ui/Field.tsx';

/** What was measured on the model, along each axis of the mesh; saved when one is left. */
export function WantedSizes({ print }: { readonly print: PrintView }) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState(() => print.wanted.map((mm) => (mm === null ? '' : String(mm))));
  const [error, setError] = useState<AppError | null>(null);
  const save = async () => {
    const wanted = typed.map(readOptional);
    if (isSame(wanted, print.wanted)) return setError(null);
    const request = {
      row: print,
      changes: { wanted },
      label: `${print.name}: its size`,
      isShownInPlace: true,
    } as const;
    setError(await dispatch(changeRow({ kind: 'prints', ...request })).unwrap());
  };
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">It is to measure, cured, in mm</legend>
      <div className="flex flex-wrap gap-3">
        {MESH_AXES.map((axis, i) => (
          <Field
            key={axis}
            label={`along ${axis}, ${print.size.size[i]!.toFixed(2)} in the file`}
            isQuiet
            width="11rem"
            error={i === 0 ? error?.fields?.wanted : undefined}
          >
            <input
              inputMode="decimal"
              value={typed[i]}
              onChange={(event) => setTyped(typed.map((one, k) => (k === i ? event.target.value : one)))}
              onBlur={() => void save()}
            />
          </Field>
        ))}
      </div>
      <p className="text-note text-soft-ink">Empty: as much larger as the others. One length is enough.</p>
    </fieldset>
  );
}
