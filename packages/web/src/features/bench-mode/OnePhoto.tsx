import type { Task } from '@sardonyx/core';
import { useId } from 'react';
import { CameraIcon } from '../../shared/ui/icons.ts';
import type { SendPictures } from '../photos/index.ts';

/** A picture of the step in one press: a detail, taken while it is worked on. */
export function OnePhoto({ task, pictures }: { readonly task: Task; readonly pictures: SendPictures }) {
  const id = useId();
  const take = (input: HTMLInputElement) => {
    pictures.send(input.files ?? [], { jobId: task.jobId, stage: 'during', side: 'detail', caption: task.title });
    input.value = '';
  };
  return (
    <>
      <label htmlFor={id} className="plain-button min-h-16 cursor-pointer">
        <CameraIcon aria-hidden size={24} />{' '}
        {pictures.isLoading ? 'Storing ...' : pictures.isSuccess ? 'One more' : 'Picture'}
      </label>
      <input
        id={id}
        className="sr-only"
        type="file"
        accept="image/*"
        capture="environment"
        onChange={(event) => take(event.target)}
      />
    </>
  );
}
