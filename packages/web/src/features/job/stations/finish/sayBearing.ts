import type { AreaAnswer, CoatAct, SpecimenPart } from '@sardonyx/core';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';

/** What may be done with a coat, in the words of the bench. */
export const ACT_WORDS: Readonly<Record<CoatAct, string>> = {
  touch: 'dry to the touch',
  handle: 'taken in hand',
  mask: 'masked',
  unmask: 'tape comes off',
  recoat: 'another coat',
  decal: 'decals',
  bake: 'low bake',
  wear: 'cured through',
};

/** From when on an area bears something: "now", "19:20", "not in this room". */
export function sayBearing(answers: readonly AreaAnswer[], act: CoatAct, now: Date): string {
  const { isAllowed, changesAt } = answers.find((one) => one.act === act)!;
  return isAllowed ? 'now' : changesAt === null ? 'not in this room' : formatSoon(changesAt, now);
}

/** The part, and its area where that is not the outside. */
export const sayPlace = ({ name }: Pick<SpecimenPart, 'name'>, areaName: string): string =>
  areaName === 'outside' ? name : `${name}, ${areaName}`;
