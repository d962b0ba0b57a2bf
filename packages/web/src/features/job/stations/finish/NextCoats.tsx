import type { NextCoat } from '@sardonyx/core';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';
import { Verdict } from '../../Zones.tsx';

const NTH = ['', 'first ', 'second ', 'third ', 'fourth ', 'fifth ', 'sixth '];

/** "second wet coat of Slate blue", "mist coat of Slate blue"; just its name where it is the only one. */
function sayCoat({ planned, kind, isMist, nth, of }: NextCoat): string {
  const name = planned?.name ?? kind;
  if (isMist) return `mist coat of ${name}`;
  return of > 1 ? `${NTH[nth] ?? `${nth}th `}wet coat of ${name}` : name;
}

/** Where it goes: the part, and the area where it is not the outside. */
const sayPlace = ({ part, areaName }: NextCoat): string =>
  areaName === 'outside' ? part.name : `${part.name}, ${areaName}`;

/** What may be sprayed next on an area, from when to when. */
export function sayNextCoat(next: NextCoat, now: Date): string {
  const coat = sayCoat(next);
  const until = next.until === null ? '' : formatSoon(next.until, now);
  switch (next.state) {
    case 'now':
      return `${coat} now${until && `; the window shuts ${until}`}`;
    case 'dries':
      if (next.from === null) return `${coat} waits: in a room as cold as this one ${next.below ?? 'it'} does not dry`;
      return `${coat} from ${formatSoon(next.from, now)}${until && `; the window shuts ${until}`}`;
    case 'gap':
      return next.from === null
        ? `${coat} waits: ${next.below ?? 'what is below'} lifts, and in a room as cold as this one it does not dry`
        : `not now: ${next.below ?? 'what is below'} lifts until ${formatSoon(next.from, now)}`;
    case 'key':
      return `the window of ${next.below ?? 'what is below'} has shut: key it, then ${coat}`;
    case 'first':
      return `first “${next.first!.title}”, then ${coat}`;
  }
}

/** The one sentence that Finish begins with. */
export function NextCoats({ list, now }: { readonly list: readonly NextCoat[]; readonly now: Date }) {
  const [lead, ...others] = list;
  if (!lead) return <Verdict>All coats are on.</Verdict>;
  const ready = others.filter(({ state }) => state === 'now');
  return (
    <Verdict
      rest={
        ready.length > 0 &&
        `Also now: ${ready
          .slice(0, 3)
          .map((one) => `${sayPlace(one)} (${one.planned?.name ?? one.kind})`)
          .join(', ')}${ready.length > 3 ? ` and ${ready.length - 3} more` : ''}.`
      }
    >
      {sayPlace(lead)}: {sayNextCoat(lead, now)}.
    </Verdict>
  );
}
