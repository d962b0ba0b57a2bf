const DAY_MS = 86_400_000;

/** Days since 1970 of an ISO day or time. */
export const toDay = (iso: string): number => Math.floor(Date.parse(iso) / DAY_MS);
export const toIsoDay = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);
