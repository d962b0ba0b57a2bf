import {
  BENCH_CARD,
  CARD_DOTS,
  createSeededRandom,
  drawCardFace,
  drawColourCardFace,
  fillShape,
  type DrawingShape,
  type DrawingView,
  type PaintOfParts,
  type PictureSize,
  type Point,
  type SpecimenPart,
} from '@sardonyx/core';
import { createSceneCamera, projectPoint, type Scene, type SceneCamera } from './renderPhoto.ts';

/** A model in front of the lens. */
export interface Sitter {
  readonly view: DrawingView;
  readonly paint: PaintOfParts;
  readonly parts: readonly Pick<SpecimenPart, 'key' | 'material' | 'state'>[];
  readonly isMirrored: boolean;
  readonly chipCount: number;
  /** The rear axle of an end view: how far behind the front one, and turned against it by how much. */
  readonly rearAxle?: { readonly behindMm: number; readonly twistDegrees: number };
  /** The colour card lies there instead of the bench card. */
  readonly hasColourCard?: true;
}

/** What is known of a rendered photograph, for those who measure on it. */
export interface PhotoTruth {
  readonly distanceMm: number;
  /** Pixels of the card's dots, in the order of CARD_DOTS. */
  readonly dots: readonly Point[];
  readonly hubs: readonly Point[];
  readonly wheelbaseMm: number;
  readonly ends: readonly Point[];
  readonly lengthMm: number;
  /** Feet of the front tyres, then of the rear ones, in an end view. */
  readonly feet: readonly Point[];
  readonly twistDegrees: number;
}

const MARGIN_MM = 10;
const EDGE_MM = 6;

/** The model, and the card under it in the same plane. */
export function createScene(sitter: Sitter, seed: number): Scene {
  const { view, rearAxle } = sitter;
  const card = placeCard(view);
  // No wider than what stands in it: beside that there is paper, which costs nothing to draw.
  const widthMm = Math.max(view.widthMm, BENCH_CARD.widthMm) + 2 * EDGE_MM;
  const heightMm = card.top + BENCH_CARD.heightMm + 2 * EDGE_MM;
  const [left, top] = [view.widthMm / 2 - widthMm / 2, -EDGE_MM];
  const present = view.shapes.filter(
    (shape) => !shape.hidden && sitter.parts.find((part) => part.key === shape.partKey)?.state !== 'missing',
  );
  const flip = sitter.isMirrored ? `translate(${view.widthMm} 0) scale(-1 1)` : '';
  const shadow = `<ellipse cx="${view.widthMm / 2}" cy="${view.heightMm}" rx="${view.widthMm * 0.52}" ry="1.6" fill="#000" fill-opacity=".3"/>`;
  const running = present.filter((shape) => ['axles', 'wheels', 'tyres'].includes(shape.partKey));
  const middle = `${view.widthMm / 2} ${view.heightMm / 2}`;
  return {
    ...{ left, top, widthMm, heightMm },
    layers: [
      ...(rearAxle
        ? [
            {
              svg: `<g transform="rotate(${rearAxle.twistDegrees} ${middle})">${drawShapes(running, sitter)}</g>`,
              nearerMm: -rearAxle.behindMm,
            },
          ]
        : []),
      {
        svg: `${rearAxle ? '' : shadow}<g transform="${flip}">${drawShapes(present, sitter)}${drawChips(present, sitter.chipCount, seed)}</g><g transform="translate(${card.left} ${card.top})">${sitter.hasColourCard ? drawColourCardFace() : drawCardFace()}</g>`,
        nearerMm: 0,
      },
    ],
  };
}

/** A lens somewhere in front of the model, the card wholly in the picture, tilted a little; from below for an end view. */
export function aimCamera({ view, rearAxle }: Sitter, size: PictureSize, seed: number): SceneCamera {
  const random = createSeededRandom(seed + 1000);
  const between = (low: number, high: number) => low + (high - low) * random();
  const card = placeCard(view);
  const height = card.top + BENCH_CARD.heightMm + 2 * MARGIN_MM;
  const width = Math.max(view.widthMm, BENCH_CARD.widthMm) + 3 * MARGIN_MM;
  return createSceneCamera({
    size,
    target: { x: view.widthMm / 2, y: height / 2 - MARGIN_MM },
    aside: { x: between(-30, 30), y: rearAxle ? between(60, 80) : between(-30, 30) },
    distanceMm: between(280, 380),
    widthMm: Math.max(width, (height * size.widthPx) / size.heightPx) * 1.06,
    rollDegrees: between(-3, 3),
    bend: between(-0.09, -0.02),
  });
}

/** Where everything that can be measured lies in the picture. */
export function describeTruth(sitter: Sitter, camera: SceneCamera): PhotoTruth {
  const { view, isMirrored, rearAxle } = sitter;
  const card = placeCard(view);
  const onModel = (x: number, y: number, nearerMm = 0) =>
    projectPoint(camera, isMirrored ? view.widthMm - x : x, y, nearerMm);
  const hubs = findHubs(view);
  const box = findExtent(view);
  const feetX = findFeet(view);
  const turned = (x: number, degrees: number): [number, number] => {
    const [dx, dy] = [x - view.widthMm / 2, view.heightMm / 2];
    const angle = (degrees * Math.PI) / 180;
    return [
      view.widthMm / 2 + dx * Math.cos(angle) - dy * Math.sin(angle),
      view.heightMm / 2 + dx * Math.sin(angle) + dy * Math.cos(angle),
    ];
  };
  return {
    distanceMm: camera.at[2],
    dots: CARD_DOTS.map(({ x, y }) => projectPoint(camera, card.left + x, card.top + y)),
    hubs: hubs.map(({ x, y }) => onModel(x, y)),
    wheelbaseMm: hubs.length > 1 ? hubs.at(-1)!.x - hubs[0]!.x : 0,
    ends: [onModel(box[0], view.heightMm / 2), onModel(box[1], view.heightMm / 2)],
    lengthMm: box[1] - box[0],
    feet: rearAxle
      ? [
          ...feetX.map((x) => onModel(x, view.heightMm)),
          ...feetX.map((x) => projectPoint(camera, ...turned(x, rearAxle.twistDegrees), -rearAxle.behindMm)),
        ]
      : [],
    twistDegrees: rearAxle?.twistDegrees ?? 0,
  };
}

const placeCard = (view: DrawingView) => ({
  left: view.widthMm / 2 - BENCH_CARD.widthMm / 2,
  top: view.heightMm + MARGIN_MM,
});

/** Middles of the wheels of a side view, front to rear. */
function findHubs({ view, shapes }: DrawingView): Point[] {
  if (view !== 'side') return [];
  const boxes = shapes.filter((shape) => shape.partKey === 'wheels' && shape.surface === 'coat').map(({ box }) => box);
  const hubs = boxes.map(([left, top, right, bottom]) => ({ x: (left + right) / 2, y: (top + bottom) / 2 }));
  return hubs
    .filter((hub, i) => hubs.findIndex((other) => Math.abs(other.x - hub.x) < 0.5) === i)
    .sort((a, b) => a.x - b.x);
}

const findExtent = ({ shapes }: DrawingView): [number, number] => {
  const shown = shapes.filter((shape) => !shape.hidden);
  return [Math.min(...shown.map(({ box }) => box[0])), Math.max(...shown.map(({ box }) => box[2]))];
};

/** Middles of the two tyres' lower edges in an end view. */
function findFeet({ view, shapes, heightMm }: DrawingView): number[] {
  if (view !== 'end') return [];
  return shapes
    .filter(({ partKey, box }) => (partKey === 'tyres' || partKey === 'wheels') && box[3] > heightMm - 0.2)
    .map(({ box }) => (box[0] + box[2]) / 2);
}

function drawShapes(shapes: readonly DrawingShape[], { paint, parts }: Sitter): string {
  return shapes
    .map((shape) => {
      const { fill, opacity } = fillShape(shape, paint, parts.find((part) => part.key === shape.partKey)?.material);
      return `<path d="${shape.d}" fill="${fill}" fill-opacity="${opacity}"/>`;
    })
    .join('');
}

/** Bare metal where it was played with: on edges, and here and there. */
function drawChips(shapes: readonly DrawingShape[], count: number, seed: number): string {
  const random = createSeededRandom(seed);
  const coats = shapes.filter((shape) => shape.surface === 'coat');
  const outline = coats.map((shape) => `<path d="${shape.d}"/>`).join('');
  const chips = Array.from({ length: count }, () => {
    const [left, top, right, bottom] = coats[Math.floor(random() * coats.length)]?.box ?? [0, 0, 1, 1];
    const onEdge = random() < 0.5;
    const x = onEdge ? left + random() * (right - left) : random() < 0.5 ? left + 0.8 : right - 0.8;
    const y = onEdge ? (random() < 0.5 ? top + 0.8 : bottom - 0.8) : top + random() * (bottom - top);
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${(0.15 + random() * 0.4).toFixed(2)}" fill="#a5a6a6"/>`;
  });
  return `<clipPath id="painted">${outline}</clipPath><g clip-path="url(#painted)">${chips.join('')}</g>`;
}
