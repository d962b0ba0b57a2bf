import type { Versioned } from './catalogue.ts';

/** Who says what the room was like. */
export const ROOM_ORIGINS = ['typed', 'measured', 'simulated'] as const;
export type RoomOrigin = (typeof ROOM_ORIGINS)[number];

/** What the workroom was like at a moment: drying follows it. */
export interface RoomLogEntry extends Versioned {
  readonly at: string;
  readonly tempC: number;
  /** Percent; null where it was not read. */
  readonly humidity: number | null;
  readonly origin: RoomOrigin;
}
