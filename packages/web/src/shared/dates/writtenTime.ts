/** "9", "930", "9:30", "9.30", "21h30" as HH:MM; null when it is no time of the day. */
export function readTime(text: string): string | null {
  const match = /^\s*(\d{1,2})\s*(?:[:.h]?\s*(\d{2}))?\s*h?\s*$/i.exec(text);
  if (!match) return null;
  const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)];
  return hours < 24 && minutes < 60 ? `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}` : null;
}
