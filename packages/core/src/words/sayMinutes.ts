const DAY_MIN = 1440;

/** "40 min", "3 h", "3 h 10 min", "2 days 4 h"; upwards, so that nobody comes too early. */
export function sayMinutes(minutes: number): string {
  const whole = Math.max(1, Math.ceil(minutes - 1e-9));
  if (whole < 60) return `${whole} min`;
  const rest = whole % 60;
  if (whole < DAY_MIN) return `${Math.floor(whole / 60)} h${rest ? ` ${rest} min` : ''}`;
  const hours = Math.ceil(whole / 60);
  const [days, left] = [Math.floor(hours / 24), hours % 24];
  return `${days} ${days === 1 ? 'day' : 'days'}${left ? ` ${left} h` : ''}`;
}
