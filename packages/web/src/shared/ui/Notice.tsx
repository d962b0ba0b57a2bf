import type { ReactNode } from 'react';
import { WarningIcon } from './icons.ts';
import type { AppError } from '../api/appError.ts';

const HEADINGS: Readonly<Record<AppError['kind'], string>> = {
  offline: 'Not reachable',
  disk: 'Not on the disk',
  'bad input': 'Not saved',
  missing: 'Not here',
  stale: 'Changed meanwhile',
  counted: 'Done already',
  'not let in': 'Not let in',
  refused: 'Not yet',
  fault: 'Fault',
};

/** A failure or refusal at the place where it happened: a shape, a word, and what to do. */
export function ErrorNote({ error, onClose }: { readonly error: AppError; readonly onClose?: () => void }) {
  return (
    <div role="alert" className="flex items-start gap-3 border-l-4 border-sard bg-sheet px-3 py-2">
      <WarningIcon aria-hidden size={22} className="mt-0.5 shrink-0 text-sard" />
      <div className="grow">
        <strong>{HEADINGS[error.kind]}: </strong>
        {error.reasons ? (
          <ul className="list-inside list-disc">
            {error.reasons.map(({ message }) => (
              <li key={message}>{message}</li>
            ))}
          </ul>
        ) : (
          error.message
        )}
        {error.faultId && (
          <span className="block text-note text-soft-ink">
            Fault <span className="figure">{error.faultId}</span>: server.log in the bench’s folder tells of it under
            that number.
          </span>
        )}
      </div>
      {onClose && (
        <button type="button" className="quiet-button" onClick={onClose}>
          Close
        </button>
      )}
    </div>
  );
}

/** A place that has nothing in it yet: says so and what fills it. */
export function EmptyNote({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <div className="border border-dashed border-strong-line px-4 py-5 text-soft-ink">
      <p className="font-semibold text-ink">{title}</p>
      {children && <div className="mt-1">{children}</div>}
    </div>
  );
}

/** While something is fetched: still bars, no spinner in the corner of the eye. */
export function LoadingNote({ what }: { readonly what: string }) {
  return (
    <div role="status" className="space-y-3 p-6">
      <p className="text-soft-ink">Fetching {what} ...</p>
      {[80, 64, 72].map((width) => (
        <div key={width} className="h-8 animate-pulse bg-sunk" style={{ width: `${width}%` }} />
      ))}
    </div>
  );
}
