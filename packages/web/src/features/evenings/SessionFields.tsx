import { useState } from 'react';
import { readTime } from '../../shared/dates/writtenTime.ts';
import { Field } from '../../shared/ui/Field.tsx';

/** When a session begins, in hours, and how many minutes it lasts. */
export interface SessionDraft {
  readonly startHour: number;
  readonly minutes: number;
}

interface SessionFieldsProps {
  /** Says what is done with it: "Add the evening". */
  readonly word: string;
  /** Why it was refused; null where it was taken. */
  readonly onTake: (session: SessionDraft) => Promise<string | null>;
  readonly children: React.ReactNode;
  /** What else may be done with the day. */
  readonly orElse?: React.ReactNode;
}

/** From when, and for how long; what is no time stays as it was typed, with the reason. */
export function SessionFields({ word, onTake, children, orElse }: SessionFieldsProps) {
  const [from, setFrom] = useState('19:00');
  const [minutes, setMinutes] = useState('120');
  const [error, setError] = useState<{ readonly from?: string; readonly minutes?: string; readonly all?: string }>({});
  const take = async () => {
    const time = readTime(from);
    const length = Number(minutes);
    const wrong = {
      ...(time === null ? { from: 'A time of the day: 19:00.' } : {}),
      ...(Number.isInteger(length) && length >= 10 && length <= 720 ? {} : { minutes: 'Whole minutes, 10 to 720.' }),
    };
    if (time === null || wrong.minutes) return setError(wrong);
    const [hours, rest] = time.split(':').map(Number) as [number, number];
    const all = await onTake({ startHour: hours + rest / 60, minutes: length });
    setError(all === null ? {} : { all });
  };
  return (
    <div className="flex flex-wrap items-start gap-3 py-2">
      {children}
      <Field label="From" isQuiet width="6rem" error={error.from}>
        <input value={from} onChange={(event) => setFrom(event.target.value)} />
      </Field>
      <Field label="Minutes" isQuiet width="7rem" error={error.minutes}>
        <input inputMode="numeric" value={minutes} onChange={(event) => setMinutes(event.target.value)} />
      </Field>
      <button type="button" className="plain-button mt-6" onClick={() => void take()}>
        {word}
      </button>
      {orElse}
      {error.all && (
        <p role="alert" className="w-full text-note text-sard">
          {error.all}
        </p>
      )}
    </div>
  );
}
