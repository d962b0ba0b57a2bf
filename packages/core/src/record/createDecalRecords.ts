import { nameOfArea } from '../model/workpiece.ts';
import type { RecordArtwork, RecordDecal } from './decalRecord.ts';
import type { RecordInput } from './recordInput.ts';

/** Every decal that was planned or tried on the job, with how it came and what happened while it was placed. */
export function createDecalRecords({ specimens, decals }: RecordInput): RecordDecal[] {
  return specimens.flatMap(({ parts, areas, layers }) =>
    layers
      .filter(({ kind, stage }) => kind === 'decal' && stage === 'planned')
      .map((layer) => {
        const area = areas.find(({ id }) => id === layer.areaId)!;
        const plan = decals.plans.find(({ layerId }) => layerId === layer.id);
        const acts = decals.acts.filter(({ layerId }) => layerId === layer.id);
        return {
          part: parts.find(({ id }) => id === area.specimenPartId)?.name ?? '',
          ...{ area: nameOfArea(area), name: layer.name },
          ...{ copies: plan?.copies ?? 1, panel: plan?.panel ?? null, place: plan?.place ?? null },
          artwork: describeArtwork(decals.artworks.find(({ id }) => id === plan?.artworkId)),
          ordered: decals.orders
            .filter(({ layerId }) => layerId === layer.id)
            .map(({ count, rating, artwork }) => ({ count, rating, artwork: artwork.name })),
          printed: decals.sheets.flatMap(({ pieces, at, who, paper, film, isSpoiled, measured, correctedBy }) => {
            const own = pieces.filter(({ layerId }) => layerId === layer.id).length;
            return own ? [{ at, who, paper, film, isSpoiled, measured, correctedBy, pieces: own }] : [];
          }),
          acts: acts.map(({ id: _id, layerId: _layer, ofId, ...act }) => ({
            ...act,
            takesBack: ofId === null ? null : acts.findIndex(({ id }) => id === ofId) + 1,
          })),
        };
      }),
  );
}

const describeArtwork = (artwork: RecordInput['decals']['artworks'][number] | undefined): RecordArtwork | null =>
  artwork
    ? {
        ...{ name: artwork.name, widthMm: artwork.widthMm, heightMm: artwork.heightMm },
        ...{ sizeFrom: artwork.sizeFrom, inks: artwork.inks.map(({ hex }) => hex), note: artwork.note },
      }
    : null;
