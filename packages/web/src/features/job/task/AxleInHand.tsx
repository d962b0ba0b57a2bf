import {
  callWhere,
  checkAxle,
  chooseOption,
  countAxles,
  type AxleCheck,
  type AxleOffer,
  type AxleShare,
  type Task,
  type TaskMeasure,
} from '@sardonyx/core';
import { Link } from 'react-router';
import { useGetAxlesQuery, useGetStockQuery } from '../../../shared/api/stockApi.ts';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { useJob } from '../JobContext.tsx';
import { MeasureFields, type MeasureField } from './MeasureFields.tsx';
import { PutBy } from './PutBy.tsx';

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
  const { specimen } = useJob();
  const { data: stock } = useGetStockQuery();
  const { data: shares } = useGetAxlesQuery();
  const check = checkAxle({
    measures,
    ends: chooseOption('S5', specimen.facts.decisions),
    count: countAxles(specimen.casting?.parts ?? [], task.partKeys),
    things: stock?.things ?? [],
    jobId: task.jobId,
  });
  return (
    <section aria-label="Is the axle long enough?" className="space-y-3 border border-hairline bg-sheet p-3">
      <MeasureFields fields={FIELDS} start={measures} onMeasure={onMeasure} />
      {check ? (
        <Answer check={check} task={task} shares={shares ?? []} />
      ) : (
        <p className="text-note text-soft-ink">
          Three measures, and it says whether the axle can be formed again when a head is ground off.
        </p>
      )}
    </section>
  );
}

const say = (mm: number): string => mm.toFixed(1);

interface AnswerProps {
  readonly check: AxleCheck;
  readonly task: Task;
  readonly shares: readonly AxleShare[];
}

function Answer({ check, task, shares }: AnswerProps) {
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
            {sortByShare(offers, task, shares)
              .slice(0, SHOWN)
              .map((offer) => (
                <Offer
                  key={offer.thing.id}
                  offer={offer}
                  task={task}
                  missing={Math.max(0, count - reserved)}
                  share={sayShare(offer, task, shares)}
                />
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

const amountFor = (share: AxleShare | undefined, thingId: string): number =>
  share?.given.find(({ thing }) => thing.id === thingId)?.amount ?? 0;

/** What is put by comes first, then what this step gets over all jobs; what others need comes last. */
function sortByShare(offers: readonly AxleOffer[], task: Task, shares: readonly AxleShare[]): AxleOffer[] {
  const own = shares.find(({ taskId }) => taskId === task.id);
  const rank = ({ thing, reserved }: AxleOffer) => {
    if (reserved > 0) return 0;
    if (amountFor(own, thing.id) > 0) return 1;
    return listOthers(thing.id, task, shares).length ? 3 : 2;
  };
  return [...offers].sort((a, b) => rank(a) - rank(b));
}

const listOthers = (thingId: string, task: Task, shares: readonly AxleShare[]): AxleShare[] =>
  shares.filter((share) => share.taskId !== task.id && amountFor(share, thingId) > 0);

function sayShare({ thing }: AxleOffer, task: Task, shares: readonly AxleShare[]): string {
  const own = amountFor(
    shares.find(({ taskId }) => taskId === task.id),
    thing.id,
  );
  const others = listOthers(thing.id, task, shares).map(
    (share) => `${amountFor(share, thing.id)} for ${share.jobNumber}`,
  );
  const words = [...(own > 0 ? [`${own} for this step`] : []), ...others];
  return words.length ? `over all jobs: ${words.join(', ')}` : '';
}

interface OfferProps {
  readonly offer: AxleOffer;
  readonly task: Task;
  readonly missing: number;
  /** Who gets it when pieces are handed out over all jobs. */
  readonly share: string;
}

function Offer({ offer, task, missing, share }: OfferProps) {
  const { thing, free, reserved, fit } = offer;
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
