import type { LogLine, StockUnit } from '@sardonyx/core';
import { useGetBenchQuery } from '../api/api.ts';
import { formatMoment } from '../dates/sayDates.ts';
import { sayAmount } from '../sayAmount.ts';
import { Fold } from '../ui/Fold.tsx';
import { MOVE_WORDS } from './moveWords.ts';

/** The log of a thing or a pot, the last line first. */
export function MoveLog({ log, unit }: { readonly log: readonly LogLine[] | undefined; readonly unit: StockUnit }) {
  const { data: bench } = useGetBenchQuery();
  const numberOf = (jobId: string) => bench?.lanes.find(({ job }) => job.id === jobId)?.job.number ?? jobId;
  if (!log || log.length === 0) return <p className="text-soft-ink">Nothing is written down of it yet.</p>;
  return (
    <Fold title={`Its log, ${log.length} ${log.length === 1 ? 'line' : 'lines'}`}>
      <ol reversed className="pt-1">
        {[...log].reverse().map((line) => (
          <li key={line.id} className="border-t border-hairline py-1">
            <span className="figure">{formatMoment(line.at)}</span> {MOVE_WORDS[line.move]}:{' '}
            <strong>{sayAmount(line.amount, unit)}</strong>
            {line.jobId && ` for ${numberOf(line.jobId)}`}
            {line.price !== null && `, ${line.price.toFixed(2)} for all of it`}
            {line.batch && `, batch ${line.batch}`}
            {line.who && `, ${line.who}`}
            {line.note && `: ${line.note}`}
          </li>
        ))}
      </ol>
    </Fold>
  );
}
