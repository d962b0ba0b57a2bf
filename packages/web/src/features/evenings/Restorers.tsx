import { WORK_KINDS, type BenchSession, type Restorer, type SessionException, type WorkKind } from '@sardonyx/core';
import { useState } from 'react';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { TakeOffList } from '../../shared/edits/TakeOffList.tsx';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { formatMinutes } from '../../shared/format.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { DateField } from '../../shared/ui/DateField.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useWho } from '../../shared/ui/useWho.ts';
import { AsCalendar } from './AsCalendar.tsx';
import { Holidays } from './Holidays.tsx';
import { SessionFields } from './SessionFields.tsx';
import { sayHour, sayWeekday, WEEKDAYS } from './weekdays.ts';

/** Who works at this bench: their week, the days on which it does not hold, and what they leave to others. */
export function Restorers({ restorers }: { readonly restorers: readonly Restorer[] }) {
  return (
    <section aria-label="Who works here" className="space-y-2">
      <h2>Who works here, and when</h2>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {restorers.map((restorer) => (
          <li key={restorer.id} aria-label={restorer.name}>
            <OneRestorer restorer={restorer} />
          </li>
        ))}
      </ul>
      <AsCalendar restorers={restorers} />
      <AddRestorer key={restorers.length} names={restorers.map(({ name }) => name)} />
    </section>
  );
}

const sayWeek = (sessions: readonly BenchSession[]): string =>
  sessions.length === 0
    ? 'no hours yet'
    : [...sessions]
        .sort((a, b) => ((a.weekday + 6) % 7) - ((b.weekday + 6) % 7) || a.startHour - b.startHour)
        .map(
          ({ weekday, startHour, minutes }) =>
            `${sayWeekday(weekday)} ${sayHour(startHour)}, ${formatMinutes(minutes)}`,
        )
        .join('; ');

function OneRestorer({ restorer }: { readonly restorer: Restorer }) {
  const dispatch = useAppDispatch();
  const { name, sessions, exceptions, leaves } = restorer;
  const save = async (
    changes: Partial<Pick<Restorer, 'sessions' | 'exceptions' | 'leaves'>>,
  ): Promise<string | null> => {
    const error = await dispatch(
      changeRow({ kind: 'restorers', row: restorer, changes, label: `hours of ${name}`, isShownInPlace: true }),
    ).unwrap();
    return error?.message ?? null;
  };
  const [weekday, setWeekday] = useState(3);
  return (
    <Fold
      title={
        <>
          <strong>{name}</strong>: {sayWeek(sessions)}
          {leaves.length > 0 && <span className="text-soft-ink">; leaves {leaves.join(' and ')} to others</span>}
        </>
      }
    >
      <div className="space-y-3 py-2 pl-6">
        <Autosaved kind="restorers" row={restorer} field="name" label="Name" />
        <fieldset className="flex flex-wrap gap-x-5">
          <legend className="font-semibold">Leaves to others</legend>
          {WORK_KINDS.map((kind) => (
            <Checkbox
              key={kind}
              checked={leaves.includes(kind)}
              onChange={(isLeft) =>
                void save({ leaves: isLeft ? [...leaves, kind] : leaves.filter((one) => one !== kind) })
              }
            >
              {kind}
            </Checkbox>
          ))}
        </fieldset>
        <h3>Every week</h3>
        <ul>
          {sessions.map((session, i) => (
            <li key={i} className="flex items-center gap-4">
              {sayWeekday(session.weekday)} {sayHour(session.startHour)}, {formatMinutes(session.minutes)}
              <button
                type="button"
                className="quiet-button"
                onClick={() => void save({ sessions: sessions.filter((_, at) => at !== i) })}
              >
                Strike it<span className="sr-only">, {sayWeekday(session.weekday)}</span>
              </button>
            </li>
          ))}
        </ul>
        <SessionFields word="Add it" onTake={(session) => save({ sessions: [...sessions, { weekday, ...session }] })}>
          <Field label="Every" isQuiet width="10rem">
            <Select value={weekday} options={WEEKDAYS} onChange={setWeekday} />
          </Field>
        </SessionFields>
        <Exceptions exceptions={exceptions} onChange={(changed) => save({ exceptions: changed })} />
        <Holidays restorer={restorer} onTake={(changed) => save({ exceptions: changed })} />
        <TakeOffList kind="restorers" row={restorer} label={name} />
      </div>
    </Fold>
  );
}

interface ExceptionsProps {
  readonly exceptions: readonly SessionException[];
  readonly onChange: (exceptions: readonly SessionException[]) => Promise<string | null>;
}

function Exceptions({ exceptions, onChange }: ExceptionsProps) {
  const [on, setOn] = useState('');
  const [error, setError] = useState<string | null>(null);
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(on);
  const add = async (one: Omit<SessionException, 'on'>): Promise<string | null> => {
    if (!isDay) return 'Give the day first.';
    const problem = await onChange([...exceptions, { on, ...one }].sort((a, b) => a.on.localeCompare(b.on)));
    if (problem === null) setOn('');
    return problem;
  };
  return (
    <>
      <h3>Days on which that does not hold</h3>
      <ul>
        {exceptions.map((one, i) => (
          <li key={i} className="flex items-center gap-4">
            {formatDay(one.on)}:{' '}
            {one.minutes === 0 ? 'does not come' : `${sayHour(one.startHour)}, ${formatMinutes(one.minutes)}`}
            {one.note && <span className="text-soft-ink">{one.note}</span>}
            <button
              type="button"
              className="quiet-button"
              onClick={() => void onChange(exceptions.filter((_, at) => at !== i))}
            >
              Strike it<span className="sr-only">, {formatDay(one.on)}</span>
            </button>
          </li>
        ))}
      </ul>
      <SessionFields
        word="Comes then"
        onTake={(session) => add({ ...session, note: '' })}
        orElse={
          <button
            type="button"
            className="plain-button mt-6"
            onClick={() => void add({ startHour: 0, minutes: 0, note: '' }).then(setError)}
          >
            Does not come
          </button>
        }
      >
        <Field label="Day" isQuiet width="12rem" error={error ?? undefined}>
          <DateField value={on} onChange={setOn} />
        </Field>
      </SessionFields>
    </>
  );
}

function AddRestorer({ names }: { readonly names: readonly string[] }) {
  const dispatch = useAppDispatch();
  const [who] = useWho();
  const [name, setName] = useState(names.includes(who) ? '' : who);
  const [error, setError] = useState<string | undefined>(undefined);
  const add = async () => {
    const body = { name: name.trim(), does: '', sessions: [], exceptions: [], leaves: [] as WorkKind[] };
    const problem = await dispatch(createRow({ kind: 'restorers', body, label: name, isShownInPlace: true })).unwrap();
    setError(problem?.fields?.name ?? problem?.message);
    if (!problem) setName('');
  };
  return (
    <div className="flex flex-wrap items-start gap-3">
      <Field label="Somebody else works here too" isQuiet width="16rem" error={error}>
        <input value={name} maxLength={80} placeholder="Name" onChange={(event) => setName(event.target.value)} />
      </Field>
      <button type="button" className="plain-button mt-6" onClick={() => void add()}>
        Write them down
      </button>
    </div>
  );
}
