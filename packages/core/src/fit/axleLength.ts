import { computeEndStock, type AxleEnd, type EndStock } from './axleEnds.ts';
import { decide, exactly, sumReadings, type Decision, type Reading } from './reading.ts';

/** Where an axle goes: what it holds, and how its ends are to be. */
export interface AxlePlace {
  /** Over the outer faces of the wheels, seated where they run. */
  readonly outside: Reading;
  /** So that the wheels run, both sides together, mm. */
  readonly clearance: number;
  /** Of the axle, mm. */
  readonly diameter: number;
  readonly ends: readonly [AxleEnd, AxleEnd];
}

/** What the wheel of a rotary tool takes off the shaft with a head, mm (planning estimate). */
export const GROUND_AWAY: Reading = { mm: 0.1, sd: 0.05 };

export interface AxleNeed {
  /** Round stock between the tips, before any end is formed. */
  readonly length: Reading;
  readonly ends: readonly [EndStock, EndStock];
}

/** How long a piece must be whose ends are both still to be formed. */
export function computeAxleNeed({ outside, clearance, diameter, ends }: AxlePlace): AxleNeed {
  const [left, right] = [computeEndStock(ends[0], diameter), computeEndStock(ends[1], diameter)];
  return { length: sumReadings([outside, exactly(clearance), left.stock, right.stock]), ends: [left, right] };
}

export interface AxleAnswer {
  /** Long enough? */
  readonly decision: Decision;
  readonly have: Reading;
  readonly need: Reading;
  readonly spare: Reading;
}

/** Whether a piece is as long as it must be; too close to call is no answer. */
export function judgeLength(have: Reading, need: Reading): AxleAnswer {
  const spare = sumReadings([have], [need]);
  return { decision: decide(spare), have, need, spare };
}

/** An axle as it sits in the model: over both its tips, and how high its heads stand on the wheels. */
export interface SeatedAxle {
  readonly overall: Reading;
  readonly heads: readonly [ground: Reading, kept: Reading];
}

/** Whether the axle that sits there is still long enough when one head is ground off and that end formed anew. */
export function judgeAfterGrinding(seated: SeatedAxle, place: AxlePlace): AxleAnswer {
  const [ground, kept] = seated.heads;
  const have = sumReadings([seated.overall], [ground, kept, GROUND_AWAY]);
  const { stock } = computeEndStock(place.ends[0], place.diameter);
  return judgeLength(have, sumReadings([place.outside, exactly(place.clearance), stock]));
}
