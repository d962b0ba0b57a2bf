import { listLoads, type EveningRun, type EveningsInput, type Load } from '@sardonyx/core';
import { capitalise, formatHours, formatMinutes } from '../../shared/format.ts';
import { DAY_PX, ROW_PX, startOfDay, type CalendarLine } from './Calendar.tsx';
import type { Names } from './sayEvenings.ts';

/** A line for each pair of hands, the gun and every place: what is taken up of an evening stands as a block in its frame. */
export function listLoadLines(input: EveningsInput, runs: readonly EveningRun[], names: Names): CalendarLine[] {
  return listLoads(input, runs).map((load) => {
    const name = nameLoad(load, names);
    const of = (run: EveningRun) => load.evenings.find(({ on }) => on === run.on);
    return {
      key: name,
      head: (
        <>
          <strong>{name}</strong>
          <p className="text-note">{sayLoad(load)}</p>
        </>
      ),
      draw: (xOf) =>
        runs.map((run) => {
          const evening = of(run);
          if (!evening) return null;
          const tall = Math.min(1, evening.minutes / evening.ofMin) * (ROW_PX - 12);
          const x = xOf(startOfDay(run.from)) + 5;
          return (
            <g key={run.on}>
              <rect x={x} y={6} width={DAY_PX - 10} height={ROW_PX - 12} className="fill-none stroke-hairline" />
              <rect x={x} y={ROW_PX - 6 - tall} width={DAY_PX - 10} height={tall} className="fill-ink" />
            </g>
          );
        }),
      say: (run) => {
        const evening = of(run);
        if (!evening) return '';
        const count = load.of.kind === 'gun' ? `, ${evening.count} ${evening.count === 1 ? 'colour' : 'colours'}` : '';
        return `${formatMinutes(evening.minutes)} of ${formatMinutes(evening.ofMin)}${count}`;
      },
    };
  });
}

function nameLoad({ of }: Load, names: Names): string {
  if (of.kind === 'restorer') return names.restorers.get(of.restorerId) ?? '';
  return of.kind === 'bath' ? `Bath: ${of.bath}` : capitalise(of.kind);
}

function sayLoad({ of, evenings, minutes }: Load): string {
  if (of.kind !== 'restorer')
    return `${formatHours(minutes)} on ${evenings.length} ${evenings.length === 1 ? 'evening' : 'evenings'}`;
  const all = evenings.reduce((sum, { ofMin }) => sum + ofMin, 0);
  return all > 0 ? `${Math.round((100 * minutes) / all)} % of the hours taken` : 'no hours';
}
