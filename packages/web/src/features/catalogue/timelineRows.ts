import type { CastingView } from '@sardonyx/contract';
import type { Observation } from '@sardonyx/core';

/** A stretch of years in a row: the sure or fuzzy part of an issue, or a state of a feature, seen on the model or not. */
export interface TimelinePiece {
  readonly from: number;
  readonly to: number;
  readonly kind: 'solid' | 'faint' | 'state' | 'seen';
  readonly label: string;
}

export interface TimelineRow {
  readonly label: string;
  readonly pieces: readonly TimelinePiece[];
}

/** Issues first, then the features whose states have years. States that overlap share a row one after the other. */
export function createRows(view: CastingView, observations: readonly Observation[]): TimelineRow[] {
  const { variants, features, states } = view;
  const first = Math.floor(Math.min(...variants.map((variant) => variant.startEarliest))) - 1;
  const last = Math.ceil(Math.max(...variants.map((variant) => variant.endLatest))) + 1;
  const piece = (kind: TimelinePiece['kind'], from: number, to: number, label = ''): TimelinePiece => ({
    from,
    to,
    kind,
    label,
  });
  const spans = variants.map((variant): TimelineRow => ({
    label: variant.name,
    pieces: [
      piece('faint', variant.startEarliest, variant.startLatest),
      piece('solid', variant.startLatest, variant.endEarliest),
      piece('faint', variant.endEarliest, variant.endLatest),
    ],
  }));
  const known = new Set(view.variantStates.map((row) => row.stateId));
  const seen = new Set(observations.flatMap((one) => (one.certainty === 'replaced' ? [] : (one.stateId ?? []))));
  const rows = features.flatMap((feature): TimelineRow[] => {
    const own = states
      .filter((state) => state.featureId === feature.id && (known.has(state.id) || seen.has(state.id)))
      .filter((state) => state.fromYear !== null || state.toYear !== null || seen.has(state.id))
      .map((state) =>
        piece(
          seen.has(state.id) ? 'seen' : 'state',
          Math.min(last, Math.max(first, state.fromYear ?? first)),
          Math.max(first, Math.min(last, state.toYear ?? last)),
          state.label,
        ),
      )
      .filter(({ from, to }) => to > from)
      .sort((a, b) => a.from - b.from);
    return layOut(own).map((pieces, i) => ({ label: i === 0 ? feature.label : '', pieces }));
  });
  return [...spans, ...rows];
}

/** Puts pieces that overlap on lines of their own, as few as there must be. */
function layOut(pieces: readonly TimelinePiece[]): TimelinePiece[][] {
  const lines: TimelinePiece[][] = [];
  for (const piece of pieces) {
    const free = lines.find((line) => line.at(-1)!.to <= piece.from);
    if (free) free.push(piece);
    else lines.push([piece]);
  }
  return lines;
}
