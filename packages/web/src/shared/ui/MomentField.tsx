import type { ControlProps } from './controlProps.ts';
import { DateField } from './DateField.tsx';

interface MomentFieldProps extends ControlProps {
  /** Local time, YYYY-MM-DDTHH:MM; what is neither stays as it was typed. */
  readonly value: string;
  readonly onChange: (moment: string) => void;
}

/** A day and the time on the wall clock. */
export function MomentField({ value, onChange, ...control }: MomentFieldProps) {
  const [day = '', time = ''] = value.split('T');
  const join = (newDay: string, newTime: string) => onChange(newDay || newTime ? `${newDay}T${newTime}` : '');
  return (
    <span className="flex gap-2">
      <span className="grow">
        <DateField {...control} value={day} onChange={(next) => join(next, time)} />
      </span>
      <input
        aria-label="Time, hours:minutes"
        aria-invalid={control['aria-invalid']}
        style={{ width: '5.5rem' }}
        inputMode="numeric"
        autoComplete="off"
        placeholder="19:30"
        value={time}
        onChange={(event) => join(day, event.target.value)}
        onBlur={() => join(day, readTime(time) ?? time)}
      />
    </span>
  );
}

/** "9", "930", "9.30", "9:30", "21h30" as HH:MM; null when it is no time of the day. */
export function readTime(text: string): string | null {
  const match = /^\s*(\d{1,2})\s*(?:[:.h]?\s*(\d{2}))?\s*h?\s*$/i.exec(text);
  if (!match) return null;
  const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)];
  return hours < 24 && minutes < 60 ? `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}` : null;
}
