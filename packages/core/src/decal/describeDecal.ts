import { estimateSoak, type Soak } from './placing/estimateSoak.ts';
import { estimateFold, listFolds, type FoldRisk } from './placing/foldRisk.ts';
import { listPlacingSteps, type TimedStep } from './placing/listPlacingSteps.ts';
import type { PanelFit } from './panel/fitPanel.ts';
import { tryPlace, type TriedPlace } from './placing/tryPlace.ts';
import { findPanel, type FoundPanel } from './panel/findPanel.ts';
import { judgeFilms, type Film, type JudgedArtwork } from './white/judgeFilms.ts';
import { countInHand, countSets, countWanted, type PrintedPieces } from './countWanted.ts';
import type { DecalSheet } from './decalSheet.ts';
import { countComing, gatherSheets, type FollowedOrder } from './orderedDecals.ts';
import type { DecalAct } from './placing/decalAct.ts';
import type { Spectrum } from '../colour/colorimetry.ts';
import type { DecalArtwork, DecalPlan } from '../model/decal.ts';
import type { Drawing } from '../model/drawing.ts';
import type { SchoolOption } from '../model/school.ts';
import type { Area } from '../model/workpiece.ts';

/** What is known of a planned decal. */
export interface DecalFacts {
  readonly layerId: string;
  readonly partKey: string;
  readonly area: Pick<Area, 'name' | 'outline' | 'crossesSeam' | 'reliefUm'>;
  readonly drawing: Drawing | null;
  readonly plan: DecalPlan | null;
  readonly artwork: DecalArtwork | null;
  /** How decals are placed on this model. */
  readonly way: SchoolOption<'S20'>;
  /** Reflectance of what it will lie on; null where nobody knows. */
  readonly body: Spectrum | null;
  readonly isPlaced: boolean;
}

/** What this bench did with decals so far. */
export interface DecalHistory {
  /** What was printed here, the last first. */
  readonly sheets: readonly (PrintedPieces & Pick<DecalSheet, 'film'>)[];
  /** What suppliers were to send. */
  readonly orders: readonly FollowedOrder[];
  readonly acts: readonly DecalAct[];
  /** How large the artwork of a planned decal is. */
  readonly sizeOf: (layerId: string) => { readonly widthMm: number; readonly heightMm: number } | null;
  readonly now: Date;
}

export interface DescribedDecal {
  readonly panel: FoundPanel | null;
  /** Of its artwork on that panel; null without either. */
  readonly fit: PanelFit | null;
  /** Where it lies by the plan, and what it lies across; null without an artwork. */
  readonly tried: TriedPlace | null;
  /** Sets by how it will be placed. */
  readonly sets: number;
  /** Pieces that were printed, or came, and are not lost. */
  readonly inHand: number;
  /** Pieces that are wanted of a supplier, or on their way. */
  readonly coming: number;
  readonly toPrint: number;
  /** What each film can do of its artwork on what it lies on; null without either. */
  readonly judged: JudgedArtwork | null;
  /** How it is placed; null while its artwork is not known. */
  readonly placing: { readonly steps: readonly TimedStep[]; readonly fold: FoldRisk; readonly soak: Soak } | null;
}

/** Until one was printed: what most have. */
const USUAL_FILM: Film = 'clear, office printer';
const DAY_MS = 86_400_000;

/** Everything that is told of a planned decal. */
export function describeDecal(facts: DecalFacts, history: DecalHistory): DescribedDecal {
  const { layerId, artwork, plan, area, body, way, isPlaced } = facts;
  const { acts } = history;
  const sheets = gatherSheets(history.orders, history.sheets);
  const coming = countComing({ layerId, artwork }, history.orders);
  const panel = findPanel(plan?.panel ?? null, facts.drawing, facts.partKey, area);
  const tried =
    artwork &&
    tryPlace({
      size: artwork,
      drawing: facts.drawing,
      partKey: facts.partKey,
      area,
      panel,
      place: plan?.place ?? null,
    });
  const sets = countSets(way);
  return {
    ...{ panel, sets, coming },
    fit: tried?.fit ?? null,
    tried,
    inHand: countInHand({ layerId, artwork }, sheets, acts),
    toPrint: countWanted({ layerId, artwork, copies: plan?.copies ?? 1, sets, isPlaced, coming }, sheets, acts),
    judged: artwork && body && judgeFilms(artwork.inks, artwork.bareShare, body),
    placing: artwork && describePlacing(facts, artwork, { ...history, sheets }, tried!),
  };
}

function describePlacing(
  { layerId, area, way }: DecalFacts,
  artwork: DecalArtwork,
  history: DecalHistory,
  { crossed }: TriedPlace,
) {
  const { film, ageDays } = findFilm(layerId, history.sheets, history.now);
  const soak = estimateSoak(film ?? USUAL_FILM, ageDays ?? 0, history.acts);
  const fold = estimateFold(artwork, way, listFolds(history.acts, history.sizeOf));
  const isOnRelief = area.crossesSeam || area.reliefUm !== null || crossed.some(({ what }) => what !== 'edge');
  return { soak, fold, steps: listPlacingSteps(way, { soak, fold, isOnRelief }) };
}

/** Film and age of the sheet that the last piece of a decal is of; null where there is none. */
export function findFilm(
  layerId: string,
  sheets: readonly (Omit<PrintedPieces, 'artworks'> & Pick<DecalSheet, 'film'>)[],
  now: Date,
): { readonly film: Film | null; readonly ageDays: number | null } {
  const own = sheets.filter(({ pieces, isSpoiled }) => !isSpoiled && pieces.some((one) => one.layerId === layerId));
  const sheet = own.sort((a, b) => (a.at < b.at ? 1 : -1))[0];
  if (!sheet) return { film: null, ageDays: null };
  return {
    film: sheet.film,
    ageDays: sheet.at === '' ? null : Math.max(0, (now.getTime() - Date.parse(sheet.at)) / DAY_MS),
  };
}
