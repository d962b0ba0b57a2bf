import type { Point } from '../model/plane.ts';
import { flattenPath } from './flattenPath.ts';

/** SVG path data as lines to be drawn: where one is closed, its first point stands at its end again. */
export const flattenLines = (d: string): Point[][] =>
  d
    .split(/(?=[Mm])/)
    .flatMap((part) => flattenPath(part).map((line) => (/[Zz]/.test(part) ? [...line, line[0]!] : line)));
