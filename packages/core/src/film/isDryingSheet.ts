import { COAT_ACTS, type DryingSheet } from '../model/drying.ts';

const LONGEST_MIN = 60 * 24 * 365;

/** Whether a value from outside is a product's sheet: minutes for each act, in order; only another coat may have two windows. */
export function isDryingSheet(value: unknown): value is DryingSheet {
  if (!isRecord(value) || !isRecord(value.spans)) return false;
  const { refC, spans } = value;
  if (typeof refC !== 'number' || !(refC >= 0 && refC <= 40)) return false;
  const names = Object.keys(spans);
  if (names.length !== COAT_ACTS.length || Object.keys(value).length !== 2) return false;
  return COAT_ACTS.every((act) => areWindows(spans[act], act === 'recoat' ? 2 : 1));
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
const isMinutes = (value: unknown): value is number => typeof value === 'number' && value >= 0 && value <= LONGEST_MIN;

/** One after the other, none empty, only the last without an end. */
function areWindows(value: unknown, most: number): boolean {
  if (!Array.isArray(value) || value.length === 0 || value.length > most) return false;
  let before = -1;
  return value.every((span: unknown, i) => {
    if (!isRecord(span) || !isMinutes(span.fromMin) || span.fromMin <= before) return false;
    const isLast = i === value.length - 1;
    if (span.toMin === null) return isLast;
    if (!isMinutes(span.toMin) || span.toMin <= span.fromMin) return false;
    before = span.toMin;
    return true;
  });
}
