import { callWhere, type AxleCheck, type AxleOffer, type Task, type TaskMeasure } from '@sardonyx/core';
import { Link } from 'react-router';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { MeasureFields, type MeasureField } from './MeasureFields.tsx';
import { PutBy } from './PutBy.tsx';
import { useAxleCheck } from './useAxleCheck.ts';

const FIELDS: readonly MeasureField[] = [
  { what: 'length', label: 'Length over both heads, mm' },
  { what: 'diameter', label: 'Diameter, mm' },
  { what: 'over the wheels', label: 'Over the wheels, outside, mm' },
  { what: 'head', label: 'Height of a head, mm', hint: 'Empty: half the diameter.' },
];

interface AxleInHandProps {
  readonly task: Task;
  readonly measures: readonly TaskMeasure[];
  readonly onMeasure: (measures: readonly TaskMeasure[]) => void;
}

/** Before an end is destroyed: is the axle long enough afterwards, and what lies in the drawers if it is not. */
export function AxleInHand({ task, measures, onMeasure }: AxleInHandProps) {
  const check = useAxleCheck(task, measures);
  return (
    <section aria-label="Is the axle long enough?" className="space-y-3 border border-hairline bg-sheet p-3">
      <MeasureFields fields={FIELDS} start={measures} onMeasure={onMeasure} />
      {check ? (
        <Answer check={check} task={task} />
      ) : (
        <p className="text-note text-soft-ink">
          Three measures, and it says whether the axle can be formed again when a head is ground off.
        </p>
      )}
    </section>
  );
}

const say = (mm: number): string => mm.toFixed(1);

function Answer({ check, task }: { readonly check: AxleCheck; readonly task: Task }) {
  const { answer, count, offers, reserved } = check;
  const { decision, have, need, spare } = answer;
  const isSettled = decision === 'yes' || reserved >= count;
  return (
    <div className="space-y-2" role="status">
      <p className="font-semibold">
        <Sign of={isSettled ? 'done' : 'warning'} /> {decision === 'yes' && 'Long enough: '}
        {decision === 'no' && 'Too short: '}
        {decision === 'measure again' && 'Too close to call: '}
        {say(have.mm)} mm is left when a head is off, {say(need.mm)} {need.mm === 1 ? 'is' : 'are'} needed
        {decision === 'measure again' && ` (± ${(1.645 * spare.sd).toFixed(2)} mm, nine times in ten)`}.
      </p>
      {decision !== 'yes' && (
        <>
          <p>
            {reserved >= count
              ? `${reserved} put by for this job: the old ones may go.`
              : offers.length > 0
                ? `This step waits until ${count === 1 ? 'one is' : `${count} are`} put by${reserved ? `, ${reserved} of them so far` : ''}.`
                : 'Nothing in the drawers is long enough.'}{' '}
            {offers.length === 0 && (
              <Link to="/orders" className="underline underline-offset-4">
                Order some first
              </Link>
            )}
          </p>
          <ul>
            {offers.slice(0, SHOWN).map((offer) => (
              <Offer key={offer.thing.id} offer={offer} task={task} missing={Math.max(0, count - reserved)} />
            ))}
          </ul>
        </>
      )}
      <p className="text-note text-soft-ink">
        Head, hole and play where they were not measured are planning estimates; calipers ± 0.05 mm.
      </p>
    </div>
  );
}

const SHOWN = 4;

/** Who gets it when pieces are handed out over all jobs. */
function sayShares({ own, others }: AxleOffer): string {
  const words = [
    ...(own > 0 ? [`${own} for this step`] : []),
    ...others.map(({ jobNumber, amount }) => `${amount} for ${jobNumber}`),
  ];
  return words.length ? `over all jobs: ${words.join(', ')}` : '';
}

interface OfferProps {
  readonly offer: AxleOffer;
  readonly task: Task;
  readonly missing: number;
}

function Offer({ offer, task, missing }: OfferProps) {
  const { thing, free, reserved, fit } = offer;
  const share = sayShares(offer);
  const wanted = Math.min(free, missing);
  const cut = fit.trim[0] + fit.trim[1];
  return (
    <li className="flex flex-wrap items-center justify-between gap-3 border-t border-hairline py-1">
      <span>
        <Link to={`/drawers?thing=${thing.id}`}>{callWhere(thing)}</Link>: {free} free
        {reserved > 0 && `, ${reserved} put by`}
        <span className="block text-note text-soft-ink">
          {cut > 0.05 ? `cut ${say(cut)} mm off` : 'nothing to cut'}
          {fit.keeps !== null && ', its head stays'}
          {thing.isLocked && '; one of few: let it go in its drawer first'}
          {share && `; ${share}`}
        </span>
      </span>
      <PutBy task={task} thing={thing} wanted={thing.isLocked ? 0 : wanted} reserved={reserved} />
    </li>
  );
}
