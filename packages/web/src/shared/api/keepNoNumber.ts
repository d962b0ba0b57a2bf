/**
 * What is no number is sent as such, for the server's check to say so: JSON by itself makes nothing of it, and nothing is an answer
 * where a field may be left empty.
 */
export const keepNoNumber = (_key: string, value: unknown): unknown =>
  typeof value === 'number' && !Number.isFinite(value) ? String(value) : value;

/** Whether two bodies would be sent alike. */
export const isSame = (a: unknown, b: unknown): boolean =>
  JSON.stringify(a, keepNoNumber) === JSON.stringify(b, keepNoNumber);
