import { lazy, Suspense, useState } from 'react';
import { findDayPattern, readDay, writeDay } from '../dates/writtenDay.ts';
import type { ControlProps } from './controlProps.ts';
import { CalendarIcon } from './icons.ts';
import { Popup } from './Popup.tsx';

const Month = lazy(() => import('./Month.tsx').then((module) => ({ default: module.Month })));
const PATTERN = findDayPattern();

interface DateFieldProps extends ControlProps {
  /** YYYY-MM-DD; empty for none. What is no day is kept as it was typed, for whoever checks it. */
  readonly value: string;
  readonly onChange: (day: string) => void;
  /** Called with what stands there when it is left or a day was pointed at. */
  readonly onLeave?: (day: string) => void;
}

/** A day, typed in the reader's own way of writing, or pointed at in a month. */
export function DateField({ value, onChange, onLeave, ...control }: DateFieldProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const [isOpen, setOpen] = useState(false);
  const type = (text: string) => {
    setDraft(text);
    onChange(readDay(text, PATTERN) ?? text);
  };
  const leave = () => {
    setDraft(null);
    onLeave?.(value);
  };
  return (
    <span className="flex">
      <input
        {...control}
        inputMode="numeric"
        autoComplete="off"
        placeholder={PATTERN.hint}
        value={draft ?? writeDay(value, PATTERN)}
        onChange={(event) => type(event.target.value)}
        onBlur={leave}
      />
      <Popup
        label="A month"
        align="end"
        isOpen={isOpen}
        onOpen={setOpen}
        trigger={
          <button type="button" className="plain-button border-l-0!" aria-label="Choose the day in a month">
            <CalendarIcon aria-hidden size={18} />
          </button>
        }
      >
        <div className="p-3">
          <Suspense fallback={<p className="text-soft-ink">Fetching the month ...</p>}>
            <Month
              day={value}
              onChoose={(day) => {
                setDraft(null);
                onChange(day);
                setOpen(false);
                onLeave?.(day);
              }}
            />
          </Suspense>
        </div>
      </Popup>
    </span>
  );
}
