import { Sign } from '../../../shared/ui/Sign.tsx';

interface SheetRowHeadProps {
  readonly label: string;
  /** What may stand in the row. */
  readonly hint: string;
  readonly problem?: string | undefined;
  readonly onFillRight?: (() => void) | undefined;
  readonly onRemove?: (() => void) | undefined;
}

/** The first column: what the row tells, what may stand in it, and what can be done with all of it. */
export function SheetRowHead({ label, hint, problem, onFillRight, onRemove }: SheetRowHeadProps) {
  return (
    <th
      scope="row"
      className="sticky left-0 w-56 min-w-56 border-b border-hairline bg-bench p-1 pr-3 text-left align-top"
    >
      <span className="flex items-start justify-between gap-2">
        <span className="py-2.5">{label}</span>
        <span className="flex flex-wrap justify-end gap-x-1">
          {onFillRight && (
            <button type="button" className="quiet-button font-normal whitespace-nowrap" onClick={onFillRight}>
              Fill right<span className="sr-only">: {label}</span>
            </button>
          )}
          {onRemove && (
            <button type="button" className="quiet-button font-normal whitespace-nowrap" onClick={onRemove}>
              Take out<span className="sr-only">: {label}</span>
            </button>
          )}
        </span>
      </span>
      {hint && <span className="block text-note font-normal text-soft-ink">{hint}</span>}
      {problem && (
        <span className="block text-note font-normal">
          <Sign of="warning" />
          {problem}
        </span>
      )}
    </th>
  );
}
