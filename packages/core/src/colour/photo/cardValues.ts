import type { LabColour } from '../../model/reading.ts';
import { computeLab } from '../colorimetry.ts';
import { convertHexToLab } from '../display.ts';
import { readCgats, type CgatsProblem } from '../exchange/cgats.ts';
import { CARD_PATCHES, CARD_WHITE } from './colourCard.ts';

/** Colours of a card: its fields row by row from the upper left, then its white. */
export type CardValues = readonly LabColour[];

/** As the card was designed. One that was printed at home is not like that before it was measured. */
export const DESIGNED_CARD: CardValues = [...CARD_PATCHES.map(({ lab }) => lab), convertHexToLab(CARD_WHITE)];

const WHITE = 'white';

/**
 * Values of a card that somebody measured, from CGATS text with spectra: samples named 1 to 28, row by row from the upper left,
 * and one named white. Everything that is missing or wrong is told; null unless all of them are there.
 */
export function readCardValues(text: string): {
  readonly values: CardValues | null;
  readonly problems: readonly CgatsProblem[];
} {
  const { samples, problems } = readCgats(text);
  const names = [...CARD_PATCHES.keys()].map((i) => String(i + 1)).concat(WHITE);
  const found = names.map((name) => samples.find((sample) => sample.name.trim().toLowerCase() === name));
  const missing = names.filter((_, i) => !found[i]);
  if (missing.length === 0) return { values: found.map((sample) => computeLab(sample!.spectrum)), problems };
  if (problems.some((one) => one.line === 1) && samples.length === 0) return { values: null, problems };
  const told = `Missing samples: ${missing.slice(0, 6).join(', ')}${missing.length > 6 ? ` and ${missing.length - 6} more` : ''}.`;
  return { values: null, problems: [...problems, { line: 1, message: told }] };
}
