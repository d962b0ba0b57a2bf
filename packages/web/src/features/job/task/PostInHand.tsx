import {
  callWhere,
  checkPost,
  type PilotOption,
  type PilotWay,
  type PostCheck,
  type Task,
  type TaskMeasure,
  type Thread,
  type WideOption,
} from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGetStockQuery } from '../../../shared/api/stockApi.ts';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { Toggles } from '../../../shared/ui/Toggles.tsx';
import { MeasureFields, type MeasureField } from './MeasureFields.tsx';
import { PutBy } from './PutBy.tsx';

const FIELDS: readonly MeasureField[] = [
  { what: 'post', label: 'Post, across, mm' },
  { what: 'to the roof', label: 'From its end to the roof, mm', hint: 'To the face that is seen.' },
  { what: 'floor', label: 'Floor under it, mm', hint: 'What the screw goes through first.' },
  { what: 'hole', label: 'Hole that is there, mm', hint: 'Empty: none yet.' },
  {
    what: 'off the middle',
    label: 'It is off the middle by, mm',
    hint: 'Half of what the wall differs by from side to side.',
  },
];

interface PostInHandProps {
  readonly task: Task;
  readonly measures: readonly TaskMeasure[];
  readonly onMeasure: (measures: readonly TaskMeasure[]) => void;
}

/** Before a post is drilled: which bit, how deep, which screw; or what can be done about a hole that is too wide. */
export function PostInHand({ task, measures, onMeasure }: PostInHandProps) {
  const { data: stock } = useGetStockQuery();
  const [thread, setThread] = useState<Thread | null>(null);
  const check = checkPost({ measures, thread, things: stock?.things ?? [], jobId: task.jobId });
  return (
    <section aria-label="Bit, depth stop, screw" className="space-y-3 border border-hairline bg-sheet p-3">
      <MeasureFields fields={FIELDS} start={measures} onMeasure={onMeasure} />
      {check ? (
        <>
          {check.bears.length > 1 && (
            <Toggles
              aria-label="Thread"
              value={thread ?? (check.wide ? undefined : check.plan.thread)}
              options={check.bears}
              onChange={setThread}
            />
          )}
          <Answer check={check} task={task} />
        </>
      ) : (
        <p className="text-note text-soft-ink">Post and roof, and it says which bit, how deep, and which screw.</p>
      )}
    </section>
  );
}

const say = (mm: number): string => mm.toFixed(1);

const FAULT_WORDS: Readonly<Record<PostCheck['plan']['faults'][number], string>> = {
  wall: 'too little metal is left around the thread',
  roof: 'the hole would come through the roof',
  engagement: 'it is too short for a thread that holds',
};

function Answer({ check, task }: { readonly check: PostCheck; readonly task: Task }) {
  const { plan, screws, wide, pilot, bears } = check;
  const { thread, bit, depth, roof, wall, screw, faults } = plan;
  const reserved = screws.reduce((sum, offer) => sum + offer.reserved, 0);
  return (
    <div className="space-y-2" role="status">
      {faults.length > 0 ? (
        <p className="font-semibold">
          <Sign of="warning" /> {thread} does not hold here: {faults.map((fault) => FAULT_WORDS[fault]).join('; ')}.
          {bears.length === 0 && ' No thread does: glue a false rivet, or set a longer post.'}
        </p>
      ) : (
        <p className="font-semibold">
          {thread}: bit <span className="figure">{bit}</span>, depth stop at{' '}
          <span className="figure">{say(depth)}</span> mm, screw <span className="figure">{say(screw.least)}</span> to{' '}
          <span className="figure">{say(screw.most)}</span> mm long.
        </p>
      )}
      <p className="text-note text-soft-ink">
        {say(wall)} mm of wall around the thread, {say(roof)} mm of roof above the hole. Least wall and roof are
        planning estimates.
      </p>
      {pilot && <Pilot options={pilot} />}
      {wide && <Wide options={wide} />}
      {faults.length === 0 && (
        <>
          {screws.length === 0 && (
            <p>
              No such screw in the drawers.{' '}
              <Link to="/orders" className="underline underline-offset-4">
                Order some
              </Link>
            </p>
          )}
          <ul>
            {screws.slice(0, SHOWN).map((offer) => (
              <li
                key={offer.thing.id}
                className="flex flex-wrap items-center justify-between gap-3 border-t border-hairline py-1"
              >
                <span>
                  <Link to={`/drawers?thing=${offer.thing.id}`}>{callWhere(offer.thing)}</Link>: {offer.free} free
                  {offer.reserved > 0 && `, ${offer.reserved} put by`}
                </span>
                <PutBy
                  task={task}
                  thing={offer.thing}
                  wanted={reserved > 0 ? 0 : Math.min(1, offer.free)}
                  reserved={offer.reserved}
                />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

const SHOWN = 3;

const WAY_WORDS: Readonly<Record<WideOption['way'], (option: WideOption) => string>> = {
  'still holds': ({ percent }) => `Tap it as it is: ${Math.round(percent!)} % of the thread is left`,
  'next thread': ({ plan, percent }) => `Tap it ${plan.thread} instead: ${Math.round(percent!)} % of its thread`,
  bush: ({ bush, plan }) => `Bush it: tube ${say(bush!)} mm outside, tapped ${plan.thread}`,
  'fill and tap again': ({ plan }) => `Fill it with resin, and drill and tap ${plan.thread} anew`,
};

const PILOT_WORDS: Readonly<Record<PilotWay, (option: PilotOption) => string>> = {
  go: ({ wall }) => `Drill on: ${wall!.mm.toFixed(2)} mm of wall stay on the thin side`,
  'measure better': ({ wall }) => `Measure it better first: ${wall!.mm.toFixed(2)} mm would stay, but for the readings`,
  'smaller thread': ({ thread, wall }) => `Tap it ${thread} instead: ${wall!.mm.toFixed(2)} mm stay on the thin side`,
  'lean back': () => 'Lean the bit back to the middle, while the hole is still small',
  sleeve: () => 'Open it in the middle and set a sleeve',
  fill: () => 'Fill it with resin, and drill it anew in the middle',
};

/** A hole beside the middle: what keeps enough wall around it. */
function Pilot({ options }: { readonly options: readonly PilotOption[] }) {
  return (
    <ol aria-label="What can be done about the pilot">
      {options.map((option) => (
        <li key={option.way} className="flex justify-between gap-3 border-t border-hairline py-1">
          <span>{PILOT_WORDS[option.way](option)}</span>
          <span className="text-note text-soft-ink">
            {option.minutes === 0 ? 'no more work' : `about ${option.minutes} min`}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** What brings a post back whose hole is too wide, with its price. */
function Wide({ options }: { readonly options: readonly WideOption[] }) {
  return (
    <ol aria-label="What can be done about the hole">
      {options.map((option) => (
        <li key={option.way} className="flex justify-between gap-3 border-t border-hairline py-1">
          <span>{WAY_WORDS[option.way](option)}</span>
          <span className="text-note text-soft-ink">
            {option.minutes === 0 ? 'no more work' : `about ${option.minutes} min`}
          </span>
        </li>
      ))}
    </ol>
  );
}
