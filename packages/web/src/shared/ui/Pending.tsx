import { readAppError } from '../api/appError.ts';
import { ErrorNote, LoadingNote } from './Notice.tsx';

/** What stands where a view will be, while its data is fetched or when it could not be. */
export function Pending({ what, error }: { readonly what: string; readonly error: unknown }) {
  if (error === undefined) return <LoadingNote what={what} />;
  return (
    <div className="p-6">
      <ErrorNote error={readAppError(error)} />
    </div>
  );
}
