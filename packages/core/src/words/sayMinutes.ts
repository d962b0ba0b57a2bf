/** "40 min", "3 h", "3 h 10 min", "2 days 4 h"; upwards, so that nobody comes too early. */
export function sayMinutes(minutes: number): string {
  const whole = Math.max(1, Math.ceil(minutes - 1e-9));
  if (whole < 60) return `${whole} min`;
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  if (hours < 24) return rest ? `${hours} h ${rest} min` : `${hours} h`;
  const days = Math.floor(hours / 24);
  const left = hours % 24;
  return `${days} ${days === 1 ? 'day' : 'days'}${left ? ` ${left} h` : ''}`;
}
