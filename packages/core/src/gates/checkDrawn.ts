import type { Refusal } from '../model/refusal.ts';
import { isDrawn } from '../model/wantBits.ts';
import type { Want, WantBit } from '../model/workpiece.ts';

type DrawnWant = Pick<Want, 'what' | 'state' | 'taken' | 'bits'>;

const refuse = (message: string, field?: string): Refusal[] => [
  { code: 'in-use', message, ...(field ? { field } : {}) },
];
const takenBits = (want: DrawnWant | null) => (want?.bits ?? []).filter((bit) => isDrawn(bit) && bit.isHere);

/** What was taken out of a drawer is in that drawer's log: it is put back there, not typed away in its want. */
export function checkDrawnStays(after: DrawnWant, before: DrawnWant | null): Refusal[] {
  if (after.taken !== null && after.state !== 'solved')
    return refuse(`“${after.what}” was taken out of its drawer: put it back there first, below.`, 'state');
  const say = ({ id, amount, thingId }: WantBit) => `${id} ${amount} ${thingId}`;
  const [was, is] = [takenBits(before).map(say), takenBits(after).map(say)];
  const gone = takenBits(before).find((bit) => !is.includes(say(bit)));
  if (gone) return refuse(`“${gone.what}” was taken out of its drawer for it: say first that it is not here.`);
  const typed = takenBits(after).find((bit) => !was.includes(say(bit)));
  return typed
    ? refuse(`“${typed.what}” comes out of a drawer: tick it where it stands in the list, and it is taken there.`)
    : [];
}

/** A want that something was taken for is not removed: its drawer would never know why. */
export function checkNothingDrawn(want: DrawnWant): Refusal[] {
  const [bit] = takenBits(want);
  if (bit) return refuse(`“${bit.what}” was taken out of its drawer for it: say first that it is not here.`);
  return want.taken ? refuse(`“${want.what}” was taken out of its drawer: put it back there first.`) : [];
}
