import { isStanding } from '../facts/selectPartDone.ts';
import type { PlanPart } from '../facts/specimenFacts.ts';
import type { Drawing } from '../model/drawing.ts';
import type { PaintProduct } from '../model/work.ts';
import { nameOfArea, type Area, type AreaSize, type CoatingLayer, type SpecimenPart } from '../model/workpiece.ts';
import { adviseGround, type GroundAdvice } from './adviseGround.ts';
import { sizeOfArea } from './computeDrawnArea.ts';
import type { CoatingWay } from './computeVolume.ts';
import { convertProductToLayer } from './convertProductToLayer.ts';
import { countOn } from './countOn.ts';
import { groundsOf, listPlanned } from './groundsOf.ts';
import { isEarlyField } from './isEarlyField.ts';
import { judgeBuild, USUAL_RELIEF, type Build, type Relief } from './judgeBuild.ts';
import { planCoats } from './planCoats.ts';
import { pourFor, type Pour } from './pourFor.ts';

/** A planned layer of an area: how many coats, how many of them are on, what to pour for the rest, what would hide it cheaper. */
export interface PlannedLayer {
  readonly layer: CoatingLayer;
  readonly coats: number;
  readonly on: number;
  readonly pour: Pour | null;
  /** Of colours out of a known pot; null of everything else. */
  readonly ground: GroundAdvice | null;
}

export interface AreaPlan {
  /** From the metal outwards. */
  readonly layers: readonly PlannedLayer[];
  readonly size: AreaSize | null;
  readonly relief: Relief;
  /** When all of it is on. */
  readonly build: Build;
}

export interface AreaToPlan {
  readonly area: Area;
  readonly part: Pick<SpecimenPart, 'id' | 'key'>;
  readonly areas: readonly Area[];
  readonly layers: readonly CoatingLayer[];
  readonly products: readonly PaintProduct[];
  readonly drawing: Drawing | null;
  readonly way: CoatingWay;
  /** Of the part: the paint that was found, and the order of its colours. */
  readonly facts: Pick<PlanPart, 'foundColour' | 'colourOrder' | 'coats'>;
}

/** What is planned for an area, in numbers: coats, paint to pour, and the film against the relief that must be seen. */
export function planArea(model: AreaToPlan): AreaPlan {
  const { area, part, areas, layers, products, drawing, way, facts } = model;
  const ofPart = areas.filter((one) => one.specimenPartId === part.id);
  const order = facts.colourOrder.flatMap((name) =>
    ofPart.filter((one) => nameOfArea(one) === name).map(({ id }) => id),
  );
  const planned = listPlanned(ofPart, layers);
  const size = sizeOfArea(area, part.key, drawing);
  const onArea = layers.filter(({ areaId }) => areaId === area.id);
  const standing = onArea.filter(isStanding);
  const asked = planned.flatMap(({ area: one, layer }, place) => {
    if (one.id !== area.id) return [];
    const product = products.find(({ id }) => id === layer.productId);
    const grounds = groundsOf(planned, place, facts.foundColour?.hex ?? null, order);
    return [{ layer, kind: layer.kind, product, grounds, coats: planCoats(layer, product, grounds) }];
  });
  const counted = countOn(asked, onArea);
  const rows = asked.map(({ layer, product, grounds, coats }, i): PlannedLayer => {
    const on = counted[i]!;
    const isColour = layer.kind === 'colour' && product !== undefined && product.kind !== 'powder';
    return {
      ...{ layer, coats, on },
      pour: product && size && coats > on ? pourFor(size, product, coats - on, way) : null,
      ground: isColour ? adviseGround(product, grounds[0], products) : null,
    };
  });
  const relief: Relief = area.reliefUm === null ? USUAL_RELIEF : { depthUm: area.reliefUm, origin: 'measured' };
  const next = rows.flatMap(({ layer, coats, on }) => Array.from({ length: coats - on }, () => layer));
  const mist = rows
    .filter(
      ({ layer, on }) =>
        layer.kind === 'colour' && on === 0 && (area.kind !== 'mask' || isEarlyField(facts, nameOfArea(area))),
    )
    .slice(0, 1)
    .flatMap(({ layer }) => products.filter(({ id }) => id === layer.productId))
    .filter(() => !standing.some(({ isMist }) => isMist))
    .map((product) => convertProductToLayer(product, true));
  return { layers: rows, size, relief, build: judgeBuild(standing, [...next, ...mist], relief) };
}
