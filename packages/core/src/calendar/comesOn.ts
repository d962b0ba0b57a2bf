import type { SessionException } from '../model/evenings.ts';
import type { BenchSession } from '../model/work.ts';

/** Whether somebody comes on a local day, 2026-12-24: what is said of the day goes before its weekday. */
export function comesOn(
  {
    sessions,
    exceptions,
  }: { readonly sessions: readonly BenchSession[]; readonly exceptions: readonly SessionException[] },
  on: string,
): boolean {
  const said = exceptions.filter((one) => one.on === on);
  if (said.length > 0) return said.some(({ minutes }) => minutes > 0);
  const weekday = new Date(`${on}T12:00:00Z`).getUTCDay();
  return sessions.some((one) => one.weekday === weekday && one.minutes > 0);
}
