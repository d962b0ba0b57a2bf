import { SCHOOLS } from '@sardonyx/core';
import { useJob } from './JobContext.tsx';

/** The answer in force to a school on this job: its own, the house's, or the usual one. */
export function useOption(): (school: string) => string {
  const { view } = useJob();
  return (school) =>
    view.decisions.find((one) => one.school === school)?.option ??
    view.houseChoices.find((one) => one.school === school)?.option ??
    SCHOOLS.find((one) => one.key === school)!.defaultOption;
}
