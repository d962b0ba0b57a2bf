import type { ThingView } from '@sardonyx/contract';
import { useState } from 'react';
import { readAppError } from '../../shared/api/appError.ts';
import { useDropPictureMutation, useSetPictureMutation } from '../../shared/api/stockApi.ts';
import { FilePick } from '../../shared/ui/FilePick.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { SendAgain } from '../../shared/ui/SendAgain.tsx';

/** A picture of the thing itself, where sizes do not say enough: a tread, a badge, a colour. */
export function ThingPicture({ thing }: { readonly thing: ThingView }) {
  const [send, { error, isLoading }] = useSetPictureMutation();
  const [drop, { error: kept }] = useDropPictureMutation();
  // What could not be sent is still there to be sent: a camera keeps none of its own.
  const [waiting, setWaiting] = useState<File | null>(null);
  const set = async (file: File) => {
    setWaiting(file);
    const picture = new FormData();
    picture.append('picture', file);
    const { data } = await send({ thingId: thing.id, picture });
    if (data) setWaiting(null);
  };
  const problem = error ?? kept;
  return (
    <div className="space-y-2">
      {thing.pictureHash && (
        <img
          src={`/api/photos/${thing.pictureHash}/full`}
          alt={thing.name}
          className="max-h-56 border border-hairline bg-paper object-contain"
        />
      )}
      <div className="flex flex-wrap items-end gap-4">
        <FilePick
          label={thing.pictureHash ? 'Another picture of it' : 'A picture of it'}
          accept="image/*"
          isDisabled={isLoading}
          onFile={(file) => void set(file)}
        />
        {thing.pictureHash && (
          <button type="button" className="quiet-button" onClick={() => void drop(thing.id)}>
            Take the picture away
          </button>
        )}
      </div>
      {problem !== undefined && <ErrorNote error={readAppError(problem)} />}
      {waiting && !isLoading && (
        <SendAgain names={[waiting.name]} onAgain={() => void set(waiting)} onThrowAway={() => setWaiting(null)} />
      )}
    </div>
  );
}
