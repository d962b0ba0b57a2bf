import {
  adviseRound,
  buildComboTable,
  createShelf,
  createTrainerRound,
  proposeRecipes,
  solveRound,
  surfaceOf,
  type ComboTable,
} from '@sardonyx/core';
import type { ColourAnswer, ColourRequest, Pots } from './protocol.ts';

let kept: { readonly key: string; readonly table: ComboTable } | null = null;

self.onmessage = ({ data }: MessageEvent<ColourRequest>) => {
  try {
    post(answer(data));
  } catch (error) {
    post({ id: data.id, kind: 'problem', message: error instanceof Error ? error.message : String(error) });
  }
};

function answer(request: ColourRequest): ColourAnswer {
  const { id, pots } = request;
  if (request.kind === 'advise') {
    const shelf = createShelf(pots.paints);
    const advice = adviseRound({ ...request.question, shelf, surface: surfaceOf(pots.geometry) });
    return { id, kind: 'advice', advice };
  }
  if (request.kind === 'solve round') {
    const shelf = createShelf(pots.paints);
    const surface = surfaceOf(pots.geometry);
    const round = createTrainerRound(shelf, surface, request.seed);
    return { id, kind: 'solved', steps: solveRound(shelf, surface, round, request.limits, request.seed) };
  }
  const table = findTable(id, pots);
  const began = performance.now();
  const proposals = proposeRecipes(table, request.target, request.limits, new Set(request.leftoverIds));
  return { id, kind: 'proposals', proposals, tookMs: performance.now() - began };
}

/** The colours of all pairs and triples; what is left in a pot changes no colour, so the table stays for that. */
function findTable(id: number, { paints, geometry }: Pots): ComboTable {
  const shelf = createShelf(paints);
  const key = JSON.stringify([
    geometry,
    paints.map(({ k, s, family, id: own }) => [own, family, Array.from(k), Array.from(s)]),
  ]);
  if (kept?.key !== key) {
    const table = buildComboTable(shelf, surfaceOf(geometry), (share) => {
      post({ id, kind: 'progress', share });
      return true;
    });
    kept = { key, table: table! };
  }
  return { ...kept.table, shelf };
}

const post = (message: ColourAnswer) => self.postMessage(message);
