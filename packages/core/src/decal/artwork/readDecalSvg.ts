import type { INode } from 'svgson';
import svgpath from 'svgpath';
import { InvalidInputError } from '../../model/errors.ts';
import type { Artwork, InkShape } from '../../model/decal.ts';
import { outlineElement } from '../../drawing/outlineElement.ts';
import { boundPath } from './boundPath.ts';

import { parseSafely } from './parseSafely.ts';
import { readInk } from './readInk.ts';
import { PX_MM, readLength } from '../../drawing/readLength.ts';

const MOST_PATH = 200_000;
const MOST_SHAPES = 2000;
/** Clones in clones. */
const MOST_USES = 4;
/** A decal is no larger than a sheet, and no smaller than a rivet. */
const [LEAST_MM, MOST_MM] = [0.3, 400];

export interface ReadArtwork {
  readonly artwork: Artwork;
  /** Whether the file names a unit of length; px alone depend on who wrote it. */
  readonly isSizeSure: boolean;
}

interface Style {
  readonly fill: string | null;
  readonly stroke: string | null;
  readonly strokeWidth: number;
  readonly isEvenOdd: boolean;
}

type Styles = Readonly<Record<string, Readonly<Record<string, string>>>>;

/**
 * Artwork of an SVG file at its true size: filled shapes and lines of flat colours, groups moved, turned and scaled as they are. A
 * length without a unit is a px of 1/96 inch; viewBox scales to width and height, the smaller way where they do not agree.
 *
 * Throws InvalidInputError for what parseSafely refuses, and for what would not be printed as it is seen: text of a font that may not be
 * here, pictures, patterns and gradients, transparency, clipping; for a file without shapes, and for a size no decal has.
 */
export function readDecalSvg(text: string): ReadArtwork {
  const root = parseSafely(text);
  const { toMm, isSizeSure } = readUnits(root);
  const found: InkShape[] = [];
  const styles = readStyles(root);
  const byId = new Map<string, INode>();
  const note = (node: INode): void => {
    if (node.attributes.id) byId.set(node.attributes.id, node);
    node.children.forEach(note);
  };
  note(root);
  const walk = (node: INode, transforms: readonly string[], above: Style, uses: number): void => {
    if (node.type !== 'element' || PASSED_OVER.has(node.name)) return;
    refuseUnprinted(node);
    const style = readStyle(node, styles, above);
    if (style === 'hidden') return;
    const own = node.attributes.transform;
    const all = own ? [...transforms, own] : transforms;
    if (node.name === 'use') {
      const { x = '0', y = '0' } = node.attributes;
      const target = byId.get((node.attributes.href ?? node.attributes['xlink:href'] ?? '').slice(1));
      if (uses >= MOST_USES) throw refuse('clones', 'Its clones lie in each other without end.');
      if (target) walk(target, [...all, `translate(${parseFloat(x) || 0} ${parseFloat(y) || 0})`], style, uses + 1);
      return;
    }
    const d = outlineElement(node.name, node.attributes);
    if (d) {
      if (d.length > MOST_PATH) throw refuse('long-path', `One of its paths has more than ${MOST_PATH} characters.`);
      const shape = createShape(d, [toMm, ...all], style);
      if (shape) found.push(shape);
      if (found.length > MOST_SHAPES) throw refuse('too-many', `It has more than ${MOST_SHAPES} shapes.`);
    }
    for (const child of node.children) walk(child, all, style, uses);
  };
  const start = readStyle(root, styles, { fill: '#000000', stroke: null, strokeWidth: 1, isEvenOdd: false });
  if (start !== 'hidden') for (const child of root.children) walk(child, [], start, 0);
  return { artwork: moveToCorner(found), isSizeSure };
}

/** What is defined here is drawn where it is used. */
const PASSED_OVER = new Set(['defs', 'symbol', 'title', 'desc', 'metadata', 'style', 'sodipodi:namedview']);

function refuseUnprinted({ name, attributes }: INode): void {
  switch (name) {
    case 'text':
      throw refuse(
        'text',
        'It holds text in a font. Convert the text to paths in the program that drew it: the font may not be here.',
      );
    case 'image':
      throw refuse('picture', 'It holds a picture. Bring pictures in as PNG with their size.');
    case 'clipPath':
    case 'mask':
    case 'pattern':
    case 'filter':
      return;
  }
  for (const key of ['clip-path', 'mask', 'filter'])
    if (attributes[key] && attributes[key] !== 'none')
      throw refuse(
        'effect',
        `“${name}” is cut or changed by “${key}”, which would be lost. Make it a plain shape first.`,
      );
}

function readStyle({ name, attributes }: INode, styles: Styles, above: Style): Style | 'hidden' {
  const classes = (attributes.class ?? '').split(/\s+/).map((one) => styles[`.${one}`] ?? {});
  const own: Readonly<Record<string, string>> = Object.assign(
    {},
    attributes,
    styles[name] ?? {},
    ...classes,
    readDeclarations(attributes.style ?? ''),
  ) as Record<string, string>;
  if (own.display === 'none' || own.visibility === 'hidden') return 'hidden';
  for (const key of ['opacity', 'fill-opacity', 'stroke-opacity'])
    if (own[key] !== undefined && parseFloat(own[key]) < 1)
      throw refuse('transparent', `“${name}” is transparent (${key} ${own[key]}): ink is there or it is not.`);
  const ink = (key: 'fill' | 'stroke'): string | null => {
    if (own[key] === undefined || own[key] === 'inherit') return above[key];
    const read = readInk(own[key]);
    if (read === 'unknown')
      throw refuse('no-ink', `“${name}” has “${own[key].slice(0, 60)}” as its ${key}: give it one flat colour.`);
    return read;
  };
  const width = own['stroke-width'] === undefined ? null : readLength(own['stroke-width']);
  const rule = own['fill-rule'];
  return {
    ...{ fill: ink('fill'), stroke: ink('stroke') },
    strokeWidth: width ? width.mm / PX_MM : above.strokeWidth,
    isEvenOdd: rule ? rule === 'evenodd' : above.isEvenOdd,
  };
}

/** Rules for elements and classes, one name each; others are not met in artwork files. */
function readStyles(root: INode): Styles {
  const styles: Record<string, Record<string, string>> = {};
  const look = (node: INode): void => {
    if (node.name === 'style') {
      const text = node.children
        .map(({ value }) => value)
        .join(' ')
        .replace(/\/\*[\s\S]*?\*\/|<!\[CDATA\[|\]\]>/g, '');
      for (const [, names, body] of text.matchAll(/([^{}]+)\{([^{}]*)\}/g))
        for (const name of names!.split(','))
          styles[name.trim()] = { ...styles[name.trim()], ...readDeclarations(body!) };
    }
    node.children.forEach(look);
  };
  look(root);
  return styles;
}

function readDeclarations(text: string): Record<string, string> {
  const pairs = text.split(';').map((one) => one.split(':').map((side) => side.trim()));
  return Object.fromEntries(pairs.filter((pair) => pair.length === 2 && pair[0]));
}

function readUnits({ attributes }: INode): { readonly toMm: string; readonly isSizeSure: boolean } {
  const box = (attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [width, height] = [readLength(attributes.width), readLength(attributes.height)];
  const isSizeSure = Boolean(width?.isPhysical ?? height?.isPhysical);
  if (box.length !== 4 || !box.every(Number.isFinite) || !(box[2]! > 0 && box[3]! > 0))
    return { toMm: `scale(${PX_MM})`, isSizeSure: false };
  const scales = [
    ...(width && width.mm > 0 ? [width.mm / box[2]!] : []),
    ...(height && height.mm > 0 ? [height.mm / box[3]!] : []),
  ];
  const scale = scales.length > 0 ? Math.min(...scales) : PX_MM;
  return { toMm: `scale(${scale}) translate(${-box[0]!} ${-box[1]!})`, isSizeSure };
}

function createShape(d: string, transforms: readonly string[], style: Style): InkShape | null {
  const hasLine = style.stroke !== null && style.strokeWidth > 0;
  if (style.fill === null && !hasLine) return null;
  let path = svgpath(d);
  // What cannot be read of a path ends it there: half a letter is worse than none.
  if ((path as unknown as { readonly err: string }).err)
    throw refuse('bad-path', `A path cannot be read: ${d.slice(0, 60)}`);
  for (const transform of [...transforms].reverse()) path = path.transform(transform);
  return {
    d: path.abs().unshort().round(3).toString(),
    ...{ fill: style.fill, isEvenOdd: style.isEvenOdd, stroke: hasLine ? style.stroke : null },
    strokeMm: hasLine ? style.strokeWidth * findScale(transforms) : 0,
  };
}

/** By how much lengths grow: the root of the area of a turned unit square. */
function findScale(transforms: readonly string[]): number {
  let path = svgpath('M0 0L1 0L0 1');
  for (const transform of [...transforms].reverse()) path = path.transform(transform);
  const points: [number, number][] = [];
  path.abs().iterate(([, x, y]) => void points.push([x!, y!]));
  const [[ox, oy], [ax, ay], [bx, by]] = points as [[number, number], [number, number], [number, number]];
  return Math.sqrt(Math.abs((ax - ox) * (by - oy) - (bx - ox) * (ay - oy)));
}

function moveToCorner(shapes: readonly InkShape[]): Artwork {
  if (shapes.length === 0) throw refuse('empty', 'Nothing in it would be printed: no filled shape and no line.');
  const boxes = shapes.map(({ d, strokeMm }) => {
    const [left, top, right, bottom] = boundPath(d);
    return [left - strokeMm / 2, top - strokeMm / 2, right + strokeMm / 2, bottom + strokeMm / 2] as const;
  });
  const [left, top] = [Math.min(...boxes.map((b) => b[0])), Math.min(...boxes.map((b) => b[1]))];
  const widthMm = Math.max(...boxes.map((b) => b[2])) - left;
  const heightMm = Math.max(...boxes.map((b) => b[3])) - top;
  if (![widthMm, heightMm].every((one) => one >= LEAST_MM && one <= MOST_MM))
    throw refuse(
      'size',
      `It would be ${widthMm.toFixed(2)} × ${heightMm.toFixed(2)} mm; a decal has ${LEAST_MM} to ${MOST_MM} mm.`,
    );
  const moved = shapes.map((shape) => ({
    ...shape,
    d: svgpath(shape.d).translate(-left, -top).abs().round(3).toString(),
  }));
  return { widthMm, heightMm, shapes: moved };
}

const refuse = (code: string, message: string) => new InvalidInputError(code, message, 'file');
