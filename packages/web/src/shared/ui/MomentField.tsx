import type { ControlProps } from './controlProps.ts';
import { readTime } from '../dates/writtenTime.ts';
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
