import type { Variant } from '@sardonyx/core';
import { deleteRow } from '../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../shared/store.ts';
import { AlertDialog } from '../../../shared/ui/AlertDialog.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';

/** Issues that should not be there: each is asked about. */
export function RemoveIssues({ variants }: { readonly variants: readonly Variant[] }) {
  const dispatch = useAppDispatch();
  if (variants.length === 0) return null;
  return (
    <Fold title="Take an issue out">
      <ul>
        {variants.map((variant) => (
          <li key={variant.id} className="flex items-center justify-between gap-3 border-t border-hairline">
            {variant.name}
            <AlertDialog
              offer={`Remove “${variant.name}”`}
              warning="What it is known by goes with it, and this cannot be undone."
              act={`Remove ${variant.name}`}
              onAct={() => void dispatch(deleteRow({ kind: 'variants', row: variant, label: variant.name }))}
            />
          </li>
        ))}
      </ul>
    </Fold>
  );
}
