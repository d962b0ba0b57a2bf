import { adviseCausticBath, type CausticBath } from '../process/causticBath.ts';

const ROOM_C = 20;
/** Half a litre in an open plastic vessel halves its distance to the room in about half an hour (invented). */
const HALVING_MIN_PER_LITRE = 60;
/** Crystals dissolve within minutes. */
const DISSOLVING_MIN = 3;

/** What a thermometer in a caustic bath reads so many minutes after the crystals went in, °C: up as they dissolve, then cooling. */
export function computeBathC(bath: CausticBath, minutes: number): number {
  const { reachedC } = adviseCausticBath(bath);
  const halvings = minutes / (HALVING_MIN_PER_LITRE * bath.litres);
  const dissolved = 1 - 2 ** (-Math.max(0, minutes) / (DISSOLVING_MIN / 3));
  const warm = bath.waterC + (reachedC - bath.waterC) * dissolved;
  return ROOM_C + (warm - ROOM_C) * 2 ** -Math.max(0, halvings);
}
