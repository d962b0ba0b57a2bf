import type { DefaultValues, FieldValues } from 'react-hook-form';
import type { NounPath } from '@sardonyx/contract';
import { createRow } from '../edits/editRow.ts';
import { useAppDispatch } from '../store.ts';
import { useContractForm } from './useContractForm.ts';

interface RowFormOptions<T extends FieldValues> {
  readonly kind: NounPath;
  readonly type: new () => T;
  readonly start: DefaultValues<T>;
  /** What nobody is asked for. */
  readonly complete?: (values: T) => T;
  /** For the undo button. */
  readonly labelOf: (values: T) => string;
}

/** A form that adds a row: empties itself when it was added, shows at its fields what was refused. */
export function useRowForm<T extends FieldValues>({ kind, type, start, complete, labelOf }: RowFormOptions<T>) {
  const dispatch = useAppDispatch();
  const form = useContractForm(type, start);
  const save = form.handleSubmit(async (values) => {
    const row = createRow({
      kind,
      body: { ...(complete?.(values) ?? values) },
      label: labelOf(values),
      isShownInPlace: true,
    });
    const problem = await dispatch(row).unwrap();
    if (problem) form.showError(problem);
    else form.reset();
  });
  return { register: form.register, control: form.control, errors: form.formState.errors, save };
}
