import { parseSync, type INode } from 'svgson';
import { InvalidInputError } from '../../model/errors.ts';

/** An artwork is a few hundred lines; a photograph in vectors is none. */
const MOST_TEXT = 2_000_000;
const MOST_ELEMENTS = 5000;
const MOST_DEPTH = 40;

const DANGEROUS = new Set([
  'script',
  'foreignobject',
  'iframe',
  'object',
  'embed',
  'handler',
  'set',
  'animate',
  'animatetransform',
  'animatemotion',
]);

/**
 * The elements of an SVG file that holds nothing but drawing. Nothing of the file's own text is kept: only geometry is read out of it.
 *
 * Throws InvalidInputError, with the reason, for what is no SVG, is too large or too deep, declares entities, runs or animates anything,
 * answers to events, or reaches outside itself.
 */
export function parseSafely(text: string): INode {
  if (text.length > MOST_TEXT)
    throw refuse('too-large', `It has ${text.length} characters; an artwork has at most ${MOST_TEXT}.`);
  if (/<!\s*(doctype\s[^>]*\[|entity)/i.test(text))
    throw refuse('entities', 'It declares entities of its own, which can swell or reach outside.');
  const bare = text
    .replace(/^\uFEFF/, '')
    .replace(/<!--[\s\S]*?-->/g, '')
    .replace(/<\?[\s\S]*?\?>/g, '')
    .replace(/<!doctype[^>]*>/gi, '')
    .trim();
  if (bare.split('<').length > 2 * MOST_ELEMENTS)
    throw refuse('too-many', `It has more than ${MOST_ELEMENTS} elements.`);
  const root = parse(bare);
  let count = 0;
  const look = (node: INode, depth: number): void => {
    if (node.type !== 'element') return;
    if (++count > MOST_ELEMENTS) throw refuse('too-many', `It has more than ${MOST_ELEMENTS} elements.`);
    if (depth > MOST_DEPTH) throw refuse('too-deep', `Its groups lie more than ${MOST_DEPTH} deep in each other.`);
    refuseDangers(node);
    for (const child of node.children) look(child, depth + 1);
  };
  look(root, 0);
  return root;
}

function parse(bare: string): INode {
  if (!/^<svg[\s>/]/i.test(bare) || !/(<\/svg\s*>|\/>)$/i.test(bare))
    throw refuse('not-svg', 'This is no SVG file, or its end is missing.');
  try {
    return parseSync(bare);
  } catch {
    throw refuse('not-svg', 'This SVG file cannot be read: its elements do not close.');
  }
}

function refuseDangers({ name, attributes, children }: INode): void {
  const tag = name.toLowerCase().replace(/^.*:/, '');
  if (DANGEROUS.has(tag))
    throw refuse('runs', `It holds “${name}”, which runs or moves something; an artwork stands still.`);
  for (const [key, value] of Object.entries(attributes)) {
    if (/^on/i.test(key)) throw refuse('events', `“${name}” answers to an event (${key}).`);
    const isLink = /(^|:)href$/i.test(key);
    if (isLink && !value.trim().startsWith('#'))
      throw refuse('outside', `“${name}” reaches outside the file: ${value.slice(0, 80)}`);
    if (/javascript:|url\(\s*['"]?\s*[^#'"\s)]/i.test(value))
      throw refuse('outside', `“${name}” reaches outside the file (${key}).`);
  }
  const words = tag === 'style' ? children.map((one) => one.value).join(' ') : '';
  if (/@import|javascript:|expression\s*\(|url\(\s*['"]?\s*[^#'"\s)]/i.test(words))
    throw refuse('outside', 'Its style sheet reaches outside the file.');
}

const refuse = (code: string, message: string) => new InvalidInputError(code, message, 'file');
