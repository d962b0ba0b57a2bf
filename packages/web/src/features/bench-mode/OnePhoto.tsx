import type { Task } from '@sardonyx/core';
import { useId } from 'react';
import { useUploadPhotoMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { CameraIcon } from '../../shared/ui/icons.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

/** A picture of the step in one press: a detail, taken while it is worked on. */
export function OnePhoto({ task }: { readonly task: Task }) {
  const id = useId();
  const [upload, { error, isLoading, isSuccess }] = useUploadPhotoMutation();
  const take = (input: HTMLInputElement) => {
    const [picture] = input.files ?? [];
    if (!picture) return;
    const form = new FormData();
    form.append('jobId', task.jobId);
    form.append('stage', 'during');
    form.append('side', 'detail');
    form.append('caption', task.title);
    form.append('picture', picture);
    void upload(form);
    input.value = '';
  };
  return (
    <>
      <label htmlFor={id} className="plain-button min-h-16 cursor-pointer">
        <CameraIcon aria-hidden size={24} /> {isLoading ? 'Storing ...' : isSuccess ? 'One more' : 'Picture'}
      </label>
      <input
        id={id}
        className="sr-only"
        type="file"
        accept="image/*"
        capture="environment"
        onChange={(event) => take(event.target)}
      />
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </>
  );
}
