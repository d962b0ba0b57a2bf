import { COAT_FAILURES, type CoatFailureKind, type CoatingLayer } from '@sardonyx/core';
import { useState } from 'react';
import { useRejectCoatMutation } from '../../../../shared/api/api.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { formatMoment } from '../../../../shared/dates/sayDates.ts';
import { useJob } from '../../JobContext.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';

/** A coat that does not stay: with the reason, its removal and the coat that follows become steps. */
export function RejectCoat({ layer }: { readonly layer: CoatingLayer }) {
  const [who] = useWho();
  const [isOpen, setOpen] = useState(false);
  const [because, setBecause] = useState('');
  const [failure, setFailure] = useState<CoatFailureKind>('something else');
  const [helped, setHelped] = useState('');
  const { view } = useJob();
  const [photoHash, setPhotoHash] = useState('');
  // The latest first: whoever rejects a coat has just taken its picture.
  const photos = [...view.photos].reverse();
  const [reject, { error, isLoading }] = useRejectCoatMutation();
  if (!isOpen)
    return (
      <button type="button" className="quiet-button" onClick={() => setOpen(true)}>
        Reject<span className="sr-only"> {layer.name}</span>
      </button>
    );
  return (
    <div className="w-full space-y-2 pb-2" role="group" aria-label={`Reject ${layer.name}`}>
      <label className="block">
        <span className="block text-note">What is wrong with it (goes into the record)</span>
        <input value={because} maxLength={300} onChange={(event) => setBecause(event.target.value)} />
      </label>
      <label className="block">
        <span className="block text-note">Which kind of failure; it is recalled when this pot is planned again</span>
        <Select aria-label="Which kind of failure" value={failure} options={COAT_FAILURES} onChange={setFailure} />
      </label>
      <label className="block">
        <span className="block text-note">What helped, or is tried next time</span>
        <input value={helped} maxLength={300} onChange={(event) => setHelped(event.target.value)} />
      </label>
      {photos.length > 0 && (
        <label className="block">
          <span className="block text-note">Picture that shows it</span>
          <Select
            aria-label="Picture that shows it"
            value={photoHash}
            options={[
              { value: '', label: 'none' },
              ...photos.map(({ hash, stage, side, takenAt }) => ({
                value: hash,
                label: `${stage}, ${side}, ${formatMoment(takenAt)}`,
              })),
            ]}
            onChange={setPhotoHash}
          />
        </label>
      )}
      <p className="text-note">What lies on it is rejected with it. Both stay in the record.</p>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="plain-button"
          disabled={isLoading || because.trim() === ''}
          onClick={() =>
            void reject({ id: layer.id, who, because, failure, helped, ...(photoHash ? { photoHash } : {}) })
          }
        >
          Reject the coat
        </button>
        <button type="button" className="quiet-button" onClick={() => setOpen(false)}>
          Leave it
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
