import { COST_GROUPS, type CostLine, type JobCost } from '@sardonyx/core';
import { useGetCostQuery } from '../../../../shared/api/stockApi.ts';
import { sayAmount } from '../../../../shared/sayAmount.ts';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { TakeOut } from '../../../../shared/ui/TakeOut.tsx';
import { useJob } from '../../JobContext.tsx';

const GROUP_WORDS: Readonly<Record<CostLine['group'], string>> = {
  paint: 'Out of the pots',
  drawers: 'Out of the drawers',
  orders: 'Sent for and not right',
  parts: 'Parts and small bits',
};

/** What the job has taken, and what that cost so far as somebody wrote it down; for the house, not in the record that goes with the model. */
export function CostTable() {
  const { view } = useJob();
  const { data: cost } = useGetCostQuery(view.job.id);
  if (!cost) return null;
  return (
    <section aria-label="What it has cost" className="space-y-2">
      <h2>What it has cost: {cost.lines.length === 0 ? 'nothing is taken yet' : cost.total.toFixed(2)}</h2>
      <p className="text-soft-ink">{sayCost(cost)}</p>
      {COST_GROUPS.map((group) => {
        const lines = cost.lines.filter((line) => line.group === group);
        return (
          lines.length > 0 && (
            <div key={group}>
              <h3>{GROUP_WORDS[group]}</h3>
              <ul>
                {lines.map((line) => (
                  <Line key={`${line.what} ${line.isWaste}`} line={line} />
                ))}
              </ul>
            </div>
          )
        );
      })}
      {cost.lines.length > 0 && (
        <TakeOut address={`/api/jobs/${view.job.id}/cost.csv`} what="Writing the cost">
          Cost (CSV)
        </TakeOut>
      )}
    </section>
  );
}

function Line({ line }: { readonly line: CostLine }) {
  const { what, amount, unit, cost, unpriced, isUsual, isWaste } = line;
  const notes = [
    ...(isWaste ? ['came to nothing'] : []),
    ...(amount < 0 ? ['mixed for it and put on the shelf'] : []),
    ...(isUsual ? ['by the usual price'] : []),
    ...(unpriced > 0 ? [unpriced < amount ? `${sayAmount(unpriced, unit)} of it without a price` : 'no price'] : []),
  ];
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto_5rem] gap-x-4 border-t border-hairline py-1">
      <span>
        {isWaste && <Sign of="warning" />} {what}
        {notes.length > 0 && <span className="text-note text-soft-ink">, {notes.join(', ')}</span>}
      </span>
      <span className="figure text-right">{sayAmount(amount, unit)}</span>
      <span className="figure text-right">{unpriced > 0 && cost === 0 ? '' : cost.toFixed(2)}</span>
    </li>
  );
}

/** Its worth in one sentence: what is in it, what came to nothing, what nobody knows. */
function sayCost({ lines, waste, withoutPrice }: JobCost): string {
  if (lines.length === 0) return 'Paint, pieces out of drawers and parts that came are added up as they are logged.';
  return [
    'In the house’s money, without tools and hours.',
    ...(waste > 0 ? [`${waste.toFixed(2)} of it came to nothing.`] : []),
    ...(withoutPrice > 0
      ? [`${withoutPrice} ${withoutPrice === 1 ? 'line has' : 'lines have'} no price: it is not in the sum.`]
      : []),
    ...(lines.some(({ isUsual }) => isUsual)
      ? ['Paint of which nobody said what it cost counts by its usual price per ml.']
      : []),
  ].join(' ');
}
