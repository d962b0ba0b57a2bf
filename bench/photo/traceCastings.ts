import {
  createSeededRandom,
  findCard,
  layPhoto,
  lightnessOfPhoto,
  outlineTrace,
  preparePlane,
  snapTrace,
  solveHomography,
  straightenPoint,
  mapPoint,
  type DrawingShape,
  type PhotoControl,
  type Point,
  type RandomSource,
  type TraceNode,
} from '@sardonyx/core';
import svgpath from 'svgpath';
import { drawNormal } from '../../packages/core/test/support/simulatedPhotos.ts';
import { createCatalogue } from '../../packages/server/src/demo/createCatalogue.ts';
import { aimCamera, createScene, describeTruth, type Sitter } from '../../packages/server/src/demo/photoScene.ts';
import { projectPoint, renderPhoto } from '../../packages/server/src/demo/renderPhoto.ts';
import { decodePicture } from './decodePicture.ts';

const SIZE = { widthPx: 2400, heightPx: 1800 };
const PX_PER_MM = 20;
const CORNER_PX = 5;
/** How far beside the edge somebody presses who traces roughly, mm. */
const ROUGH_MM = 0.4;
/** How well the ends and the ground are pointed at, px. */
const POINTING_PX = 1;
/** From one press to the next along a bend, mm. */
const APART_MM = 7;
/** A line that turns by more at one place is pressed as a corner there, degrees. */
const CORNER_DEG = 25;
const SAMPLE_MM = 0.25;
/** Shapes smaller than this nobody traces, mm. */
const LEAST_MM = 4;

export interface TraceTrials {
  /** From each place of the true outline to the traced one, mm. */
  readonly errors: readonly number[];
  readonly roughErrors: readonly number[];
  readonly shapes: number;
}

/**
 * Side views of the demo's castings, photographed and traced: the outlines of what is seen whole, pressed roughly, laid on the
 * edges, held against the drawing that was photographed.
 */
export async function traceCastings(seeds: readonly number[]): Promise<TraceTrials> {
  const trials = { errors: [] as number[], roughErrors: [] as number[], shapes: 0 };
  const { castings, parts } = createCatalogue();
  for (const seed of seeds) {
    const casting = castings[seed % castings.length]!;
    const random = createSeededRandom(seed);
    const view = casting.drawing.views.find((one) => one.view === 'side')!;
    const sitter: Sitter = {
      view,
      parts: parts.filter((part) => part.castingId === casting.id).map((part) => ({ ...part, state: 'sound' })),
      paint: { body: { outside: ['#6a2330', '#d8c9a0', '#2f5d46', '#3a4a66'][seed % 4]! } },
      ...{ isMirrored: random() < 0.5, chipCount: 20 },
    };
    const camera = aimCamera(sitter, SIZE, seed);
    const picture = await decodePicture(await renderPhoto(createScene(sitter, seed), camera, seed, PX_PER_MM));
    const shakePx = ({ x, y }: Point, sd: number) => ({
      x: x + sd * drawNormal(random),
      y: y + sd * drawNormal(random),
    });
    const truth = describeTruth(sitter, camera);
    const control: PhotoControl = {
      name: 'bench card',
      points: findCard(
        picture,
        truth.dots.slice(0, 4).map((dot) => shakePx(dot, CORNER_PX)),
      ),
    };
    const inPicture = ({ x, y }: Point) => projectPoint(camera, sitter.isMirrored ? view.widthMm - x : x, y);
    const { lens, points } = preparePlane(control, SIZE);
    const toPlane = solveHomography(points);
    const pressed = (place: Point) => {
      const pixel = shakePx(inPicture(place), POINTING_PX);
      return mapPoint(toPlane, lens ? straightenPoint(lens, pixel) : pixel);
    };
    const [front, rear] = findExtent(view.shapes);
    const fit = layPhoto(
      'photo',
      {
        ends: [pressed({ x: front, y: view.heightMm / 2 }), pressed({ x: rear, y: view.heightMm / 2 })],
        level: [pressed({ x: front + 8, y: view.heightMm }), pressed({ x: rear - 8, y: view.heightMm })],
      },
      view.heightMm,
      rear - front,
    );
    const lightness = lightnessOfPhoto(picture, control, fit);
    // The drawing's own millimetres begin where the front end is.
    const shift = (place: Point) => ({ x: place.x - front, y: place.y });
    for (const shape of selectSeen(view.shapes)) {
      const outline = flatten(shape.d).map(shift);
      const nodes = pressRoughly(outline, random);
      if (nodes.length < 3) continue;
      const traced = { partKey: shape.partKey, surface: 'coat', line: 'outline', area: '', isMirrored: false } as const;
      const lineOf = (own: readonly TraceNode[]) => flatten(outlineTrace({ ...traced, nodes: own }, view)!.d);
      const snapped = snapTrace(lightness, { ...traced, nodes });
      const [rough, fine] = [lineOf(nodes), lineOf(snapped.nodes)];
      for (const place of sample(outline)) {
        trials.roughErrors.push(awayFrom(place, rough));
        trials.errors.push(awayFrom(place, fine));
      }
      trials.shapes++;
    }
  }
  return trials;
}

/** Coats and panes of some size that nothing drawn later lies upon. */
function selectSeen(shapes: readonly DrawingShape[]): DrawingShape[] {
  const shown = shapes.filter(({ hidden }) => !hidden);
  return shown.filter((shape, i) => {
    if (!['coat', 'glass', 'rubber'].includes(shape.surface)) return false;
    const [left, top, right, bottom] = shape.box;
    if (right - left < LEAST_MM || bottom - top < LEAST_MM) return false;
    return !shown
      .slice(i + 1)
      .some(
        ({ box, surface }) =>
          surface !== 'line' && surface !== 'shade' && surface !== 'light' && crossesRim(box, shape.box),
      );
  });
}

/** Whether a box reaches over the rim of another: what lies wholly within hides none of its outline. */
const crossesRim = (box: DrawingShape['box'], of: DrawingShape['box']) =>
  box[0] < of[2] &&
  box[2] > of[0] &&
  box[1] < of[3] &&
  box[3] > of[1] &&
  !(box[0] > of[0] + 0.5 && box[1] > of[1] + 0.5 && box[2] < of[2] - 0.5 && box[3] < of[3] - 0.5);

const findExtent = (shapes: readonly DrawingShape[]): [number, number] => {
  const shown = shapes.filter(({ hidden }) => !hidden);
  return [Math.min(...shown.map(({ box }) => box[0])), Math.max(...shown.map(({ box }) => box[2]))];
};

/** A path's first closed line as short pieces, by the library's arcs and curves. */
function flatten(d: string): Point[] {
  const line: Point[] = [];
  let isOver = false;
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, index, x, y) => {
      const [kind, ...n] = segment as [string, ...number[]];
      if (isOver) return;
      if (kind === 'M' && index > 0) isOver = true;
      else if (kind === 'M' || kind === 'L') line.push({ x: n[0]!, y: n[1]! });
      else if (kind === 'H') line.push({ x: n[0]!, y });
      else if (kind === 'V') line.push({ x, y: n[0]! });
      else if (kind === 'Q' || kind === 'C') {
        const [ax, ay] = kind === 'C' ? [n[0]!, n[1]!] : [x + (2 / 3) * (n[0]! - x), y + (2 / 3) * (n[1]! - y)];
        const [ex, ey] = kind === 'C' ? [n[4]!, n[5]!] : [n[2]!, n[3]!];
        const [bx, by] = kind === 'C' ? [n[2]!, n[3]!] : [ex + (2 / 3) * (n[0]! - ex), ey + (2 / 3) * (n[1]! - ey)];
        for (let i = 1; i <= 16; i++) {
          const t = i / 16;
          const at = (p: number, q: number, r: number, s: number) =>
            (1 - t) ** 3 * p + 3 * t * (1 - t) ** 2 * q + 3 * t * t * (1 - t) * r + t ** 3 * s;
          line.push({ x: at(x, ax, bx, ex), y: at(y, ay, by, ey) });
        }
      }
    });
  return line;
}

/** A press at every corner, and every few millimetres along a bend. */
function pressRoughly(line: readonly Point[], random: RandomSource): TraceNode[] {
  const nodes: TraceNode[] = [];
  let since = Infinity;
  line.forEach((place, i) => {
    const before = line[(i + line.length - 1) % line.length]!;
    const next = line[(i + 1) % line.length]!;
    since += Math.hypot(place.x - before.x, place.y - before.y);
    const turn = Math.atan2(next.y - place.y, next.x - place.x) - Math.atan2(place.y - before.y, place.x - before.x);
    const isCorner = Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > (CORNER_DEG * Math.PI) / 180;
    const isStraight = Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) < 1e-3;
    if (!isCorner && (isStraight || since < APART_MM / 4)) return;
    since = 0;
    nodes.push({
      x: place.x + ROUGH_MM * drawNormal(random),
      y: place.y + ROUGH_MM * drawNormal(random),
      bend: isCorner ? 'corner' : 'smooth',
    });
  });
  return nodes;
}

function sample(line: readonly Point[]): Point[] {
  return line.flatMap((a, i) => {
    const b = line[(i + 1) % line.length]!;
    const count = Math.max(1, Math.round(Math.hypot(b.x - a.x, b.y - a.y) / SAMPLE_MM));
    return Array.from({ length: count }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / count,
      y: a.y + ((b.y - a.y) * k) / count,
    }));
  });
}

function awayFrom({ x, y }: Point, line: readonly Point[]): number {
  return Math.min(
    ...line.map((a, i) => {
      const b = line[(i + 1) % line.length]!;
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const t = Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
      return Math.hypot(x - a.x - t * dx, y - a.y - t * dy);
    }),
  );
}
