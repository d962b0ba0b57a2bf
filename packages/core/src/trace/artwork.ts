import svgpath from 'svgpath';
import { outlineElement } from '../drawing/outlineElement.ts';
import { PX_MM, readLength } from '../drawing/readLength.ts';
import { InvalidInputError } from '../model/errors.ts';
import { SURFACES, type Box, type DrawingShape, type DrawingView, type Surface } from '../model/drawing.ts';

/** An element of an SVG file, as whoever can parse XML hands it over. */
export interface SvgElement {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  /** Text of its own title element. */
  readonly title: string;
  readonly children: readonly SvgElement[];
}

export interface NamedPart {
  readonly key: string;
  readonly name: string;
}

export interface Artwork {
  readonly shapes: readonly DrawingShape[];
  /** Names of groups and shapes that no part has; they were left out. */
  readonly unknown: readonly string[];
}

/** One part's path may hold so much: a file is artwork, not a photograph in vectors. */
const MOST_PATH = 200_000;

/** A view as SVG, one group for each part, named as the part is; lengths are millimetres. */
export function writeArtwork({ widthMm, heightMm, shapes }: DrawingView, parts: readonly NamedPart[]): string {
  const groups = parts.flatMap(({ key, name }) => {
    const own = shapes.filter(({ partKey }) => partKey === key);
    if (own.length === 0) return [];
    const paths = own.map(({ d, surface }) => `    <path data-surface="${surface}" d="${d}"/>`);
    return [`  <g id="${escape(toId(name))}">`, `    <title>${escape(name)}</title>`, ...paths, '  </g>'];
  });
  const head = `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}" fill="#b8b8b4" stroke="#222" stroke-width="0.2">`;
  return [head, ...groups, '</svg>', ''].join('\n');
}

/**
 * The shapes of an SVG file that stand under the name of a part: a group or shape whose title, label or id is that name.
 * Groups may be moved, turned and scaled; sizes come from the file's own units, or are taken for millimetres where it has
 * none. Text, pictures and effects are left out.
 *
 * Throws InvalidInputError for a file that is no SVG, or in which no part is named.
 */
export function readArtwork(root: SvgElement, parts: readonly NamedPart[]): Artwork {
  if (root.tag !== 'svg') throw new InvalidInputError('not-svg', 'This is no SVG file.', 'file', { given: root.tag });
  const keyOf = new Map(parts.map(({ key, name }) => [toId(name), key]));
  const shapes: DrawingShape[] = [];
  const unknown = new Set<string>();
  const walk = (element: SvgElement, transforms: readonly string[], partKey: string | null): void => {
    if (['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'metadata'].includes(element.tag)) return;
    const names = namesOf(element);
    const found = names.map((name) => keyOf.get(toId(name))).find((key) => key !== undefined) ?? null;
    const own = found ?? partKey;
    const all = element.attributes.transform ? [...transforms, element.attributes.transform] : transforms;
    const d = isLine(element) ? null : outlineElement(element.tag, element.attributes);
    if (d && own && d.length <= MOST_PATH) shapes.push(createShape(own, d, all, element));
    else if (d && !own) unknown.add(names[0] ?? element.tag);
    for (const child of element.children) walk(child, all, own);
  };
  for (const child of root.children) walk(child, [unitsOf(root)], null);
  if (shapes.length === 0)
    throw new InvalidInputError(
      'no-part-named',
      `Nothing in it is named as a part is. Name a group or a shape ${parts.map(({ name }) => `“${name}”`).join(', ')}.`,
      'file',
      { unknown: [...unknown] },
    );
  return { shapes, unknown: [...unknown] };
}

/** The same shape elsewhere, mm. */
export function moveArtwork(shape: DrawingShape, dx: number, dy: number): DrawingShape {
  if (dx === 0 && dy === 0) return shape;
  const path = svgpath(shape.d).translate(dx, dy).abs().round(2);
  return { ...shape, d: path.toString(), box: boxOf(path) };
}

/** What encloses nothing is no part. */
const isLine = ({ tag }: SvgElement) => tag === 'line' || tag === 'polyline';

function createShape(partKey: string, d: string, transforms: readonly string[], element: SvgElement): DrawingShape {
  let path = svgpath(d);
  for (const transform of [...transforms].reverse()) path = path.transform(transform);
  // What cannot be read of a path ends it: the rest of the file is taken.
  path = path.abs().unshort().round(2);
  const given = element.attributes['data-surface'];
  const surface = SURFACES.find((one) => one === given) ?? ('coat' satisfies Surface);
  return { partKey, surface, d: path.toString(), box: boxOf(path) };
}

/** Of all that a path runs through and bends by: never too small. */
function boxOf(path: ReturnType<typeof svgpath>): Box {
  const [xs, ys]: [number[], number[]] = [[], []];
  svgpath(path.toString())
    .unarc()
    .iterate(([kind, ...n], _, x, y) => {
      const numbers = n as number[];
      if (kind === 'H') return void (xs.push(numbers[0]!), ys.push(y));
      if (kind === 'V') return void (ys.push(numbers[0]!), xs.push(x));
      numbers.forEach((value, i) => (i % 2 ? ys : xs).push(value));
    });
  if (xs.length === 0) return [0, 0, 0, 0];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/** From the file's own units to millimetres. */
function unitsOf({ attributes }: SvgElement): string {
  const box = attributes.viewBox
    ?.trim()
    .split(/[\s,]+/)
    .map(Number);
  const width = readLength(attributes.width);
  if (box?.length === 4 && box.every(Number.isFinite)) {
    // Without a unit of length a unit of the drawing is a millimetre.
    const scale = width?.isPhysical && box[2]! > 0 ? width.mm / box[2]! : 1;
    return `scale(${scale}) translate(${-box[0]!} ${-box[1]!})`;
  }
  return width === null ? 'scale(1)' : `scale(${PX_MM})`;
}

const namesOf = ({ title, attributes }: SvgElement): string[] =>
  [title, labelOf(attributes), attributes['data-name'], attributes.id].flatMap((name) =>
    name?.trim() ? [name.trim()] : [],
  );

/** Drawing programs keep the name that somebody gave a group under a label of their own. */
const labelOf = (attributes: SvgElement['attributes']): string | undefined =>
  Object.entries(attributes).find(([name]) => name === 'aria-label' || name.endsWith(':label'))?.[1];

const toId = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

const escape = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
