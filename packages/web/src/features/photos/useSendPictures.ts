import { useRef, useState } from 'react';
import { useUploadPhotoMutation } from '../../shared/api/api.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { sendAll } from '../../shared/api/sendAll.ts';

/** A picture on its way, and what is said of it. */
export type PictureFields = Readonly<Record<'jobId' | 'stage' | 'side' | 'caption', string>>;

export type SendPictures = ReturnType<typeof useSendPictures>;

/** Sends pictures one after the other; what cannot go yet is kept, for a camera may keep none of its own. */
export function useSendPictures(onSent: () => void = () => {}) {
  const [error, setError] = useState<AppError | null>(null);
  const [kept, setKept] = useState<readonly FormData[]>([]);
  const [upload, { isLoading, isSuccess }] = useUploadPhotoMutation();
  const running = useRef<ReturnType<typeof upload>>(null);
  const sendOne = async (form: FormData): Promise<AppError | 'ended' | null> => {
    running.current = upload(form);
    try {
      await running.current.unwrap();
      return null;
    } catch (problem) {
      if ((problem as { name?: string }).name === 'AbortError') return 'ended';
      const known = readAppError(problem);
      return { ...known, message: `${nameOf(form)}: ${known.message}` };
    }
  };
  const sendForms = async (forms: readonly FormData[]) => {
    setError(null);
    const done = await sendAll(forms, sendOne);
    setError(done.error);
    setKept((before) => [...before, ...done.kept]);
    if (done.sent > 0) onSent();
  };
  return {
    ...{ error, isLoading, isSuccess },
    keptNames: kept.map(nameOf),
    send: (pictures: Iterable<File>, fields: PictureFields) =>
      void sendForms([...pictures].map((picture) => fillForm({ ...fields, picture }))),
    sendAgain: () => {
      setKept([]);
      void sendForms(kept);
    },
    throwAway: () => {
      setKept([]);
      setError(null);
    },
    end: () => running.current?.abort(),
  };
}

function fillForm(fields: Readonly<Record<string, string | File>>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.append(name, value);
  return form;
}

const nameOf = (form: FormData): string => (form.get('picture') as File).name;
