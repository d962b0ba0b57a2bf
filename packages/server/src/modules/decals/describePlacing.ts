import type { PlannedDecalView } from '@sardonyx/contract';
import {
  estimateFold,
  estimateSoak,
  listFolds,
  listPlacingSteps,
  type DecalAct,
  type DecalSheet,
  type Film,
  type SchoolOption,
} from '@sardonyx/core';

const DAY_MS = 86_400_000;
/** Until one was printed: what most have. */
const USUAL_FILM: Film = 'clear, office printer';

interface Asked {
  readonly layerId: string;
  readonly size: { readonly widthMm: number; readonly heightMm: number };
  readonly way: SchoolOption<'S20'>;
  readonly isOnRelief: boolean;
  readonly sizeOf: (layerId: string) => { readonly widthMm: number; readonly heightMm: number } | null;
}

/** How a decal is placed: its steps, how long it soaks, how easily it folds. */
export function describePlacing(
  { layerId, size, way, isOnRelief, sizeOf }: Asked,
  sheets: readonly DecalSheet[],
  acts: readonly DecalAct[],
  now: Date,
): Omit<NonNullable<PlannedDecalView['placing']>, 'turn' | 'because'> {
  const { film, ageDays } = findFilmOf(layerId, sheets, now);
  const soak = estimateSoak(film ?? USUAL_FILM, ageDays ?? 0, acts);
  const fold = estimateFold(size, way, listFolds(acts, sizeOf));
  return { soak, fold, steps: listPlacingSteps(way, { soak, fold, isOnRelief }) };
}

/** Film and age of the sheet that it was printed on last; null where it was not. */
export function findFilmOf(
  layerId: string,
  sheets: readonly DecalSheet[],
  now: Date,
): { readonly film: Film | null; readonly ageDays: number | null } {
  const sheet = sheets.find(({ pieces }) => pieces.some((piece) => piece.layerId === layerId));
  if (!sheet) return { film: null, ageDays: null };
  return { film: sheet.film, ageDays: Math.max(0, (now.getTime() - Date.parse(sheet.at)) / DAY_MS) };
}
