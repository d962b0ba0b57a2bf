import type { CoatHow } from '../model/workpiece.ts';

/** "thinned 1 : 1, 1.2 bar, 0.3 mm nozzle, 45 % humidity, batch M-4"; empty where nobody said anything. */
export function sayHow(how: CoatHow | null): string {
  if (!how) return '';
  const { batch, thinnerParts, pressureBar, nozzleMm, humidity } = how;
  return [
    ...(thinnerParts === null ? [] : [thinnerParts === 0 ? 'not thinned' : `thinned ${thinnerParts} : 1`]),
    ...(pressureBar === null ? [] : [`${pressureBar} bar`]),
    ...(nozzleMm === null ? [] : [`${nozzleMm} mm nozzle`]),
    ...(humidity === null ? [] : [`${humidity} % humidity`]),
    ...(batch.trim() === '' ? [] : [`batch ${batch.trim()}`]),
  ].join(', ');
}
