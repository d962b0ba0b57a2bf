import type { WantBit } from '@sardonyx/core';
import type { WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';

/** Comes out of a drawer that somebody named. */
export const isDrawn = ({ by, thingId }: WantBit): boolean => by === 'drawer' && thingId !== null;

/** What was taken out of a drawer is in that drawer's log: it is put back there, not typed away here. */
export function assertDrawnStays(after: WantRow, before: WantRow | null): void {
  if (after.taken !== null && after.state !== 'solved')
    throw refused('in-use', `“${after.what}” was taken out of its drawer: put it back there first, below.`, {
      state: 'Put it back into its drawer first.',
    });
  const taken = (want: WantRow | null) => (want?.bits ?? []).filter((bit) => isDrawn(bit) && bit.isHere);
  const say = ({ id, amount, thingId }: WantBit) => `${id} ${amount} ${thingId}`;
  const [was, is] = [taken(before).map(say), taken(after).map(say)];
  const gone = taken(before).find((bit) => !is.includes(say(bit)));
  if (gone)
    throw refused('in-use', `“${gone.what}” was taken out of its drawer for it: say first that it is not here.`);
  const typed = taken(after).find((bit) => !was.includes(say(bit)));
  if (typed)
    throw refused(
      'in-use',
      `“${typed.what}” comes out of a drawer: tick it where it stands in the list, and it is taken there.`,
    );
}

/** A want that something was taken for is not removed: its drawer would never know why. */
export function assertNothingDrawn(want: WantRow): void {
  const bit = want.bits.find((one) => isDrawn(one) && one.isHere);
  if (bit) throw refused('in-use', `“${bit.what}” was taken out of its drawer for it: say first that it is not here.`);
  if (want.taken) throw refused('in-use', `“${want.what}” was taken out of its drawer: put it back there first.`);
}
