import type { DecalPlace } from '../../model/decal.ts';
import type { Drawing } from '../../model/drawing.ts';
import type { Point } from '../../model/plane.ts';
import type { Area } from '../../model/workpiece.ts';
import { fitPanel, USUAL_PLACING, type PanelFit, type Size } from '../panel/fitPanel.ts';
import type { FoundPanel } from '../panel/findPanel.ts';
import { listCrossed, type Crossed } from './listCrossed.ts';

/** A decal tried on the drawing, or only on a panel that is known by its size. */
export interface TriedPlace {
  /** null where the drawing shows no place for it. */
  readonly place: DecalPlace | null;
  /** From the middle of its panel; nothing where it lies there, or the panel has no place on the drawing. */
  readonly off: Point;
  /** null where nobody knows its panel. */
  readonly fit: PanelFit | null;
  readonly crossed: readonly Crossed[];
}

export interface DecalToTry {
  readonly size: Size;
  readonly drawing: Drawing | null;
  readonly partKey: string;
  readonly area: Pick<Area, 'name'>;
  readonly panel: FoundPanel | null;
  /** As it was planned; null: the middle of its panel. */
  readonly place: DecalPlace | null;
}

/** Where a decal comes to lie: how much paint shows on each side of it, and what it lies across. */
export function tryPlace({ size, drawing, partKey, area, panel, place }: DecalToTry): TriedPlace {
  const at = place ?? findUsualPlace(panel, drawing, partKey);
  const middle = panel?.middle ?? null;
  const isOnPanel = at !== null && middle !== null && at.view === middle.view;
  const off = isOnPanel ? { x: at.x - middle.x, y: at.y - middle.y } : { x: 0, y: 0 };
  const view = drawing?.views.find((one) => one.view === at?.view);
  return {
    ...{ place: at, off },
    fit: panel && fitPanel(turnSize(size, at), panel, { ...USUAL_PLACING, marginMm: panel.marginMm }, off),
    crossed: at && view ? listCrossed(view, partKey, area.name, { ...size, ...at }) : [],
  };
}

/** The middle of its panel, else of its part as the side shows it. */
function findUsualPlace(panel: FoundPanel | null, drawing: Drawing | null, partKey: string): DecalPlace | null {
  if (panel?.middle) return { ...panel.middle, turnDegrees: 0 };
  const side = drawing?.views.find(({ view }) => view === 'side');
  const shape = side?.shapes.find((one) => one.partKey === partKey && one.surface === 'coat');
  if (!shape) return null;
  const [left, top, right, bottom] = shape.box;
  return { view: 'side', x: (left + right) / 2, y: (top + bottom) / 2, turnDegrees: 0 };
}

/** What a turned decal takes of its panel. */
function turnSize({ widthMm, heightMm }: Size, place: DecalPlace | null): Size {
  const turn = ((place?.turnDegrees ?? 0) * Math.PI) / 180;
  const [across, down] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  return { widthMm: widthMm * across + heightMm * down, heightMm: widthMm * down + heightMm * across };
}

/** So near a line a decal that is dragged jumps to it, mm and degrees. */
const [NEAR_MM, NEAR_DEGREES] = [0.4, 2];

/** A place that is near the middle lines of its panel, or near level, is on them. */
export function snapPlace(place: DecalPlace, panel: FoundPanel | null): DecalPlace {
  const snap = (value: number, to: number | undefined, near: number) =>
    to !== undefined && Math.abs(value - to) <= near ? to : value;
  const middle = panel?.middle?.view === place.view ? panel.middle : undefined;
  return {
    ...place,
    x: snap(place.x, middle?.x, NEAR_MM),
    y: snap(place.y, middle?.y, NEAR_MM),
    turnDegrees: snap(place.turnDegrees, 0, NEAR_DEGREES),
  };
}
