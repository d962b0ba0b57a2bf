/** A small oven with a probe in it, by its own heat balance. Temperatures in °C. */
export interface OvenState {
  readonly setC: number | null;
  readonly isHeating: boolean;
  readonly airC: number;
  /** What the contact probe on the metal reads. */
  readonly metalC: number;
}

/** A bench oven of some eight litres (invented, within what such ovens do). */
const ROOM_C = 20;
const HEATING_K_PER_S = 0.55;
const LOSS_PER_S = 0.0022;
/** The dial's switch acts late: the air swings this much to both sides. */
const SWITCH_K = 6;
/** The metal follows the air with this lag. */
const LAG_S = 240;

export const COLD_OVEN: OvenState = { setC: null, isHeating: false, airC: ROOM_C, metalC: ROOM_C };

/**
 * The oven so many seconds later, second by second (Euler): a thermostat that switches late, air that loses heat to the room,
 * and metal that lags behind it, so that the metal comes late, overshoots a little and cools slowly.
 */
export function runOven(state: OvenState, seconds: number): OvenState {
  let { isHeating, airC, metalC } = state;
  for (let s = 0; s < seconds; s++) {
    if (state.setC === null) isHeating = false;
    else if (airC < state.setC - SWITCH_K) isHeating = true;
    else if (airC > state.setC + SWITCH_K) isHeating = false;
    airC += (isHeating ? HEATING_K_PER_S : 0) - LOSS_PER_S * (airC - ROOM_C);
    metalC += (airC - metalC) / LAG_S;
  }
  return { ...state, isHeating, airC, metalC };
}
