import { isStanding } from '../facts/selectPartDone.ts';
import type { Area, CoatingLayer, LayerKind } from '../model/workpiece.ts';
import { answerArea, type StandingCoat } from './answerArea.ts';
import type { CoatAct } from '../model/drying.ts';
import { judgeSpans, type SpanVerdict } from './judgeSpans.ts';
import { layersUnder } from './layersUnder.ts';

/** What the next coat of an area meets. */
export interface MetCoats {
  /** Of the area, as found, planned and put on. */
  readonly layers: readonly CoatingLayer[];
  /** What the area lies upon (layersUnder). */
  readonly under: readonly CoatingLayer[];
  /** What tape is laid on before this coat goes on; none where the mask is on already, or none is needed. */
  readonly taped: readonly CoatingLayer[];
}

type PlaceOfArea = Pick<Area, 'id' | 'kind' | 'specimenPartId'>;

/**
 * The coats that the next one of a kind meets. Tape lies where one colour ends at another that is on: on what is below a field, and
 * on fields that have theirs when the outside gets its own. A field that goes on before the outside has no tape yet.
 *
 * @param all layers of the part
 */
export function meetCoats(
  area: PlaceOfArea,
  areas: readonly PlaceOfArea[],
  all: readonly CoatingLayer[],
  kind: LayerKind,
): MetCoats {
  const layers = all.filter(({ areaId }) => areaId === area.id);
  const under = layersUnder(area, areas, all);
  return { layers, under, taped: selectTaped() };

  function selectTaped(): CoatingLayer[] {
    if (area.kind === 'mask') {
      if (layers.some(isStanding)) return [];
      const isColour = (layer: CoatingLayer) => layer.kind === 'colour';
      const isOn = under.some((layer) => isColour(layer) && isStanding(layer));
      const goesFirst = !isOn && under.some((layer) => isColour(layer) && layer.stage === 'planned');
      return goesFirst ? [] : under.filter(isStanding);
    }
    if (area.kind !== 'outside' || kind !== 'colour') return [];
    if (layers.some((layer) => layer.kind === 'colour' && isStanding(layer))) return [];
    const fields = areas.filter((one) => one.kind === 'mask' && one.specimenPartId === area.specimenPartId);
    return all.filter((layer) => isStanding(layer) && fields.some(({ id }) => id === layer.areaId));
  }
}

/** Whether the coats that are met let the next one go on, what holds it back, and when that changes. */
export interface NextVerdict extends SpanVerdict {
  /** 'recoat': what lies below; 'mask': what tape would lie on. */
  readonly act: CoatAct & ('recoat' | 'mask');
  /** The coat that holds it back; null where nothing does. */
  readonly heldBy: string | null;
}

/**
 * The verdict of the coats below, and where they agree, of those that bear tape.
 *
 * @param at ms since 1970; coats that went on later are left out
 */
export function judgeMet(
  { layers, under, taped }: MetCoats,
  standing: readonly StandingCoat[],
  at: number,
): NextVerdict {
  const judge = (coats: readonly CoatingLayer[], act: NextVerdict['act']): NextVerdict => {
    const on = coats.filter((coat) => isStanding(coat) && coat.appliedAt !== null && Date.parse(coat.appliedAt) <= at);
    const film = standing.filter(({ layerId }) => on.some(({ id }) => id === layerId));
    const { spans, heldBy } = answerArea(film, at).find((one) => one.act === act)!;
    return { act, heldBy, ...judgeSpans(spans, at) };
  };
  const recoat = judge([...layers, ...under], 'recoat');
  if (recoat.state !== 'open') return recoat;
  const mask = judge(taped, 'mask');
  return mask.state === 'open' ? recoat : mask;
}
