import type { PrintView } from '@sardonyx/contract';
import { MESH_AXES } from '@sardonyx/core';
import { formatMoment } from '../../shared/dates/sayDates.ts';

/** What was printed of a part, the last first. */
export function PrintRuns({ print: { runs } }: { readonly print: PrintView }) {
  if (runs.length === 0) return <p className="text-soft-ink">Nothing was printed of it yet.</p>;
  return (
    <ol aria-label="What was printed" reversed>
      {runs.map(({ id, at, copies, resin, cure, measure, inFile, price, wantId, thingId, who, note }) => (
        <li key={id} className="border-t border-hairline py-1">
          <span className="figure">{formatMoment(at)}</span>{' '}
          <strong>
            {copies} {copies === 1 ? 'copy' : 'copies'}
          </strong>
          {[
            ...(resin ? [`of ${resin}`] : []),
            ...(cure ? [cure] : []),
            ...(measure
              ? [
                  `${measure.mm.toFixed(2)} mm along ${measure.axis}, ${inFile[MESH_AXES.indexOf(measure.axis)]!.toFixed(2)} in the file`,
                ]
              : []),
            ...(wantId ? ['one for a want'] : []),
            ...(thingId ? ['into a drawer'] : []),
            ...(price === null ? [] : [`cost ${price.toFixed(2)}`]),
            ...(note ? [note] : []),
            who,
          ]
            .map((words) => `, ${words}`)
            .join('')}
        </li>
      ))}
    </ol>
  );
}
