/** "25 min", "1 h 30 min", "3 days": a length of time in the coarsest words that are still true. */
export function formatMinutes(minutes: number): string {
  if (minutes < 1) return 'under 1 min';
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole < 1440) {
    const hours = Math.floor(whole / 60);
    const rest = whole % 60;
    return rest ? `${hours} h ${rest} min` : `${hours} h`;
  }
  const days = Math.round(minutes / 144) / 10;
  return `${days} ${days === 1 ? 'day' : 'days'}`;
}

/** Hours of hands are no days: "28 h", and what is less than one in minutes. */
export const formatHours = (minutes: number): string =>
  minutes < 60 ? formatMinutes(minutes) : `${Math.round(minutes / 60)} h`;

/** A clock face: 4:05 or 1:04:05; below zero it counts up as "late". */
export function formatClock(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds));
  const pad = (value: number) => String(value).padStart(2, '0');
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  return hours ? `${hours}:${pad(minutes)}:${pad(whole % 60)}` : `${minutes}:${pad(whole % 60)}`;
}

export const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

export const capitalise = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
