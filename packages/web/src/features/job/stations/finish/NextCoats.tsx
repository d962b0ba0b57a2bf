import type { NextCoat, PlannedLayer } from '@sardonyx/core';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';
import { useJob } from '../../JobContext.tsx';
import { Verdict } from '../../Zones.tsx';
import { sayPlace } from './sayBearing.ts';
import { useAreaPlan } from './useAreaPlan.ts';

const NTH = ['', 'first ', 'second ', 'third ', 'fourth ', 'fifth ', 'sixth '];

/** "second wet coat of Slate blue", "mist coat of Slate blue"; just its name where it is the only one. */
function sayCoat({ planned, kind, isMist, nth, of }: NextCoat): string {
  const name = planned?.name ?? kind;
  if (isMist) return `mist coat of ${name}`;
  return of > 1 ? `${NTH[nth] ?? `${nth}th `}wet coat of ${name}` : name;
}

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
  const { specimen } = useJob();
  const [lead, ...others] = list;
  const plan = useAreaPlan(
    specimen.areas.find(({ id }) => id === lead?.areaId),
    specimen.parts.find(({ id }) => id === lead?.part.id),
  );
  if (!lead) return <Verdict>All coats are on.</Verdict>;
  const ready = others.filter(({ state }) => state === 'now');
  const row = plan?.layers.find(({ layer }) => layer.id === lead.planned?.id);
  return (
    <Verdict rest={[...sayPour(row), ...sayReady(ready)].join(' ')}>
      {sayPlace(lead.part, lead.areaName)}: {sayNextCoat(lead, now)}.
    </Verdict>
  );
}

/** How much of it, for all of its coats that are left. */
function sayPour(row: PlannedLayer | undefined): string[] {
  if (!row?.pour) return [];
  const { pour, coats, on } = row;
  const left = coats - on;
  const drops = pour.drops === null ? '' : `${pour.drops} drops, `;
  return [
    `Pour ${pour.upper90.toFixed(1)} ${pour.unit} (${drops}90 % sure)${left > 1 ? ` for its ${left} coats` : ''}.`,
  ];
}

const SHOWN = 3;

function sayReady(ready: readonly NextCoat[]): string[] {
  if (ready.length === 0) return [];
  const names = ready
    .slice(0, SHOWN)
    .map((one) => `${sayPlace(one.part, one.areaName)} (${one.planned?.name ?? one.kind})`);
  return [`Also now: ${names.join(', ')}${ready.length > SHOWN ? ` and ${ready.length - SHOWN} more` : ''}.`];
}
