/** Monday first, as sessions count them: Sunday is 0. */
export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 0].map((value) => ({
  value,
  label: new Intl.DateTimeFormat(undefined, { weekday: 'long' }).format(new Date(2024, 0, 7 + value)),
}));

export const sayWeekday = (weekday: number): string => WEEKDAYS.find(({ value }) => value === weekday)!.label;

/** "18:30" of 18.5. */
export function sayHour(startHour: number): string {
  const minutes = Math.round(startHour * 60);
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}
