import { useId, type ReactElement, cloneElement } from 'react';
import { capitalise } from '../format.ts';

interface FieldProps {
  readonly label: string;
  readonly error?: string | undefined;
  readonly hint?: string;
  readonly children: ReactElement<{ id?: string; 'aria-invalid'?: boolean; 'aria-describedby'?: string | undefined }>;
}

/** A labelled control; what is wrong stands under it and is read out with it. */
export function Field({ label, error, hint, children }: FieldProps) {
  const id = useId();
  const noteId = `${id}-note`;
  const control = cloneElement(children, {
    id,
    'aria-invalid': !!error,
    'aria-describedby': error || hint ? noteId : undefined,
  });
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {control}
      {(error || hint) && (
        <p id={noteId} className={`mt-1 text-note ${error ? 'font-semibold text-sard' : 'text-soft-ink'}`}>
          {error ? `▲ ${capitalise(error)}` : hint}
        </p>
      )}
    </div>
  );
}
