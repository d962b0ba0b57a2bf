import { compareEvenings, listSupposed, type JobShift, type Restorer, type Supposition } from '@sardonyx/core';
import { useState } from 'react';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { formatMinutes } from '../../shared/format.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { sayDay, sayStep, type Names } from './sayEvenings.ts';
import type { Evenings } from './useEvenings.ts';
import type { SupposedEvenings } from './worker/protocol.ts';

interface WhatIfProps {
  readonly evenings: Evenings;
  readonly restorers: readonly Restorer[];
  readonly names: Names;
}

const MORE = [1, 2, 4];
const WEEK_DAYS = 7;

/** What somebody wonders about: worked out beside the plan, nothing of it is kept. */
export function WhatIf({ evenings, restorers, names }: WhatIfProps) {
  const { supposed, share, suppose } = evenings;
  const options = listSuppositions(restorers);
  const [chosen, setChosen] = useState(0);
  const [, what] = options[chosen] ?? options[0]!;
  return (
    <Fold title="What if ...">
      <div className="space-y-3 py-2 pl-6">
        <div className="flex flex-wrap items-end gap-4">
          <Field label="What if" isQuiet width="22rem">
            <Select
              value={chosen < options.length ? chosen : 0}
              options={options.map(([label], value) => ({ value, label }))}
              onChange={setChosen}
            />
          </Field>
          <button type="button" className="plain-button" disabled={share !== null} onClick={() => suppose(what)}>
            Work it out
          </button>
        </div>
        {supposed && <WouldBe found={supposed} evenings={evenings} restorers={restorers} names={names} />}
      </div>
    </Fold>
  );
}

const listSuppositions = (restorers: readonly Restorer[]): readonly (readonly [string, Supposition])[] => [
  ...restorers
    .filter(({ sessions }) => sessions.length > 0)
    .flatMap(({ id, name }) => [
      ...MORE.map(
        (count) =>
          [
            `${name} has ${count === 1 ? 'an evening' : `${count} evenings`} more`,
            { kind: 'more evenings', restorerId: id, count } as Supposition,
          ] as const,
      ),
      [`${name} is away for a week`, { kind: 'away', restorerId: id, days: WEEK_DAYS } as Supposition] as const,
    ]),
  ['the oven cannot be used', { kind: 'no oven' }],
  ['it rains for a week', { kind: 'rain', days: WEEK_DAYS }],
];

interface WouldBeProps extends WhatIfProps {
  readonly found: SupposedEvenings;
}

function WouldBe({ found: { supposed, is, would }, evenings, restorers, names }: WouldBeProps) {
  const { won, lost, shifts, lessLateMin } = compareEvenings(is, would);
  const list = (ids: readonly string[]) => ids.map((id) => names.jobs.get(id)).join(', ');
  const day = would.days.at(-1);
  const before = is.days.at(-1);
  const leftOut = would.leftOut.filter(({ because }) => because === 'no oven');
  return (
    <section
      aria-label="What would be"
      role="status"
      className="space-y-2 border border-strong-line bg-sheet px-4 py-3"
    >
      <p className="font-semibold">
        {[
          ...(won.length > 0 ? [`${list(won)} would come in time`] : []),
          ...(lost.length > 0 ? [`${list(lost)} would be late`] : []),
          ...(won.length + lost.length === 0
            ? ['No model would come in time that is late now, nor the other way']
            : []),
          ...(Math.abs(lessLateMin) >= 1
            ? [`${formatMinutes(Math.abs(lessLateMin))} ${lessLateMin > 0 ? 'less' : 'more'} late in all`]
            : []),
        ].join('; ')}
        .
      </p>
      {day && before && (
        <p>
          {sayDay(day, would.jobs.length, names)} Without it {before.ready.length}.
        </p>
      )}
      {leftOut.length > 0 && (
        <p>Waits for the oven: {leftOut.map(({ task }) => sayStep(task.id, names)).join('; ')}.</p>
      )}
      {shifts.length > 0 && (
        <ul className="list-disc pl-5">
          {shifts.map((shift) => (
            <li key={shift.jobId}>{sayShift(shift, names)}</li>
          ))}
        </ul>
      )}
      <WriteDown supposed={supposed} evenings={evenings} restorers={restorers} />
      <p className="text-note text-soft-ink">
        Both were searched as long from the plan that stands; a longer search may find more.
      </p>
    </section>
  );
}

function sayShift({ jobId, was, is }: JobShift, names: Names): string {
  const name = names.jobs.get(jobId) ?? '';
  if (is === null) return `${name}: not to its end, instead of ready ${formatEvening(was!)}`;
  if (was === null) return `${name}: ready ${formatEvening(is)}, instead of not to its end`;
  return `${name}: ready ${formatEvening(is)} instead of ${formatEvening(was)}`;
}

/** Where it is about somebody's days it can be made true. */
function WriteDown({
  supposed,
  evenings,
  restorers,
}: Omit<WouldBeProps, 'found' | 'names'> & { readonly supposed: Supposition }) {
  const dispatch = useAppDispatch();
  const days = evenings.input ? listSupposed(evenings.input, supposed) : [];
  const restorer = 'restorerId' in supposed ? restorers.find(({ id }) => id === supposed.restorerId) : undefined;
  if (!restorer || days.length === 0) return null;
  const isMore = supposed.kind === 'more evenings';
  const write = () => {
    const said = new Set(days.map(({ on }) => on));
    const exceptions = [...restorer.exceptions.filter(({ on }) => !said.has(on)), ...days];
    const changes = { exceptions: exceptions.sort((a, b) => a.on.localeCompare(b.on)) };
    void dispatch(changeRow({ kind: 'restorers', row: restorer, changes, label: `hours of ${restorer.name}` }));
  };
  return (
    <p className="flex flex-wrap items-center gap-4">
      <span>
        {restorer.name} {isMore ? 'would come' : 'would not come'} {days.map(({ on }) => formatEvening(on)).join(', ')}.
      </span>
      <button type="button" className="plain-button" onClick={write}>
        {isMore ? 'Write these evenings down' : 'Write down that they do not come'}
      </button>
    </p>
  );
}
