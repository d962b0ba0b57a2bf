import type { WantBit } from '@sardonyx/core';
import type { WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';

/** Comes out of a drawer that somebody named. */
export const isDrawn = ({ by, thingId }: WantBit): boolean => by === 'drawer' && thingId !== null;

/** What was taken out of a drawer is in that drawer's log: it is put back there, not typed away here. */
export function assertDrawnBitsStay(after: WantRow, before: WantRow | null): void {
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
