import { useId, type ReactElement, cloneElement } from 'react';
import { capitalise } from '../format.ts';
import type { ControlProps } from './controlProps.ts';
import { WarningIcon } from './icons.ts';

interface FieldProps {
  readonly label: string;
  readonly error?: string | undefined;
  readonly hint?: string | undefined;
  /** A small word above, for controls in a row. */
  readonly isQuiet?: boolean;
  /** The word stands before the control, in a line of others. */
  readonly isBeside?: boolean;
  /** Width of the control, where it shall not take all there is. */
  readonly width?: string;
  readonly children: ReactElement<ControlProps>;
}

/** A labelled control; what is wrong stands under it and is read out with it. */
export function Field({ label, error, hint, isQuiet = false, isBeside = false, width, children }: FieldProps) {
  const id = useId();
  const noteId = `${id}-note`;
  const control = cloneElement(children, {
    id,
    'aria-invalid': !!error,
    'aria-describedby': error || hint ? noteId : undefined,
  });
  return (
    <div className={isBeside ? 'flex items-center gap-2' : ''} style={width ? { width, maxWidth: '100%' } : undefined}>
      <label
        htmlFor={id}
        className={isBeside ? 'whitespace-nowrap' : isQuiet ? 'mb-1 block text-note' : 'mb-1 block font-semibold'}
      >
        {label}
      </label>
      {control}
      {error ? (
        <p id={noteId} className="mt-1 flex items-start gap-1 text-note font-semibold text-sard">
          <WarningIcon aria-hidden size={16} className="mt-0.5 shrink-0" />
          <span>{capitalise(error)}</span>
        </p>
      ) : (
        hint && (
          <p id={noteId} className="mt-1 text-note text-soft-ink">
            {hint}
          </p>
        )
      )}
    </div>
  );
}
