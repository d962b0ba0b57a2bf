import { format, isValid, parse } from 'date-fns';
import { DayPicker } from 'react-day-picker';
import { LeftIcon, RightIcon } from './icons.ts';

interface MonthProps {
  /** YYYY-MM-DD, or anything else for none. */
  readonly day: string;
  readonly onChoose: (day: string) => void;
}

const inWords = (options: Intl.DateTimeFormatOptions) => {
  const words = new Intl.DateTimeFormat(undefined, options);
  return (date: Date) => words.format(date);
};
const FORMATTERS = {
  formatCaption: inWords({ month: 'long', year: 'numeric' }),
  formatWeekdayName: inWords({ weekday: 'short' }),
};

const LABELS = {
  labelDayButton: inWords({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }),
  labelPrevious: () => 'The month before',
  labelNext: () => 'The month after',
};

/** The first day of the reader's week; Monday where nobody says. */
function findFirstWeekday(): 0 | 1 | 6 {
  const locale = new Intl.Locale(new Intl.DateTimeFormat().resolvedOptions().locale) as Intl.Locale & {
    getWeekInfo?: () => { readonly firstDay: number };
    weekInfo?: { readonly firstDay: number };
  };
  const first = (locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay ?? 1;
  return first === 7 ? 0 : first === 6 ? 6 : 1;
}

/** A month to point into: arrow keys a day or a week, Page keys a month, Enter chooses. */
export function Month({ day, onChoose }: MonthProps) {
  const date = parse(day, 'yyyy-MM-dd', new Date(2000, 0, 1));
  const chosen = isValid(date) ? date : undefined;
  return (
    <DayPicker
      mode="single"
      autoFocus
      weekStartsOn={findFirstWeekday()}
      selected={chosen}
      {...(chosen ? { defaultMonth: chosen } : {})}
      onSelect={(next) => next && onChoose(format(next, 'yyyy-MM-dd'))}
      formatters={FORMATTERS}
      labels={LABELS}
      components={{
        Chevron: ({ orientation }) =>
          orientation === 'left' ? <LeftIcon aria-hidden size={20} /> : <RightIcon aria-hidden size={20} />,
      }}
      classNames={{
        months: 'relative',
        nav: 'absolute right-0 flex gap-1',
        button_previous: 'plain-button',
        button_next: 'plain-button',
        month_caption: 'flex min-h-11 items-center font-semibold',
        weekday: 'text-note font-normal text-soft-ink',
        day: 'p-0',
        day_button: 'size-11 hover:bg-sunk',
        selected: 'bg-ink text-sheet [&_button]:hover:bg-ink',
        today: 'underline underline-offset-4 font-semibold',
        outside: 'text-soft-ink',
      }}
    />
  );
}
