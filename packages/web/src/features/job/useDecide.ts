import { getSchool, type SchoolKey } from '@sardonyx/core';
import type { AppError } from '../../shared/api/appError.ts';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { useJob } from './JobContext.tsx';

/** Answers a school for this job, with the reason; the error where it was not saved. */
export function useDecide(key: SchoolKey): (option: string, reason: string) => Promise<AppError | null> {
  const { view } = useJob();
  const dispatch = useAppDispatch();
  const decision = view.decisions.find((candidate) => candidate.school === key);
  return (option, reason) => {
    const common = { kind: 'decisions', label: `${getSchool(key).question}: ${option}`, isShownInPlace: true } as const;
    return decision
      ? dispatch(changeRow({ ...common, row: decision, changes: { option, reason } })).unwrap()
      : dispatch(createRow({ ...common, body: { jobId: view.job.id, school: key, option, reason } })).unwrap();
  };
}
