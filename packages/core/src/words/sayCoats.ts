import type { CoatHow, DecalSize } from '../model/workpiece.ts';
import { sayHow } from './sayHow.ts';

/** A coat as a record has it. */
interface PutOn {
  readonly area: string;
  readonly name: string;
  readonly isMist: boolean;
  readonly rejectedBecause: string | null;
  readonly how: CoatHow | null;
  readonly decalMm: DecalSize | null;
}

/** "Light grey primer, Deep green (mist and 3 coats)": coats of one name that follow each other are counted. */
export function sayCoats(coats: readonly PutOn[]): string {
  const runs: PutOn[][] = [];
  for (const coat of coats) {
    const run = runs.at(-1);
    if (run && run[0]!.area === coat.area && run[0]!.name === coat.name) run.push(coat);
    else runs.push([coat]);
  }
  return runs.map(sayRun).join(', ');
}

function sayRun(run: readonly PutOn[]): string {
  const wet = run.filter(({ isMist }) => !isMist).length;
  const rejected = run.filter(({ rejectedBecause }) => rejectedBecause !== null).length;
  const how = [
    ...(wet < run.length ? ['mist'] : []),
    ...(wet > 1 || (wet === 1 && wet < run.length) ? [`${wet} ${wet === 1 ? 'coat' : 'coats'}`] : []),
  ].join(' and ');
  const told = [...new Set(run.map((coat) => sayHow(coat.how)))];
  const size = run[0]!.decalMm;
  const notes = [
    how,
    ...(size ? [`${size.widthMm} × ${size.heightMm} mm`] : []),
    ...told,
    ...(rejected ? [`${rejected} rejected`] : []),
  ]
    .filter((note) => note !== '')
    .join(', ');
  return notes ? `${run[0]!.name} (${notes})` : run[0]!.name;
}
