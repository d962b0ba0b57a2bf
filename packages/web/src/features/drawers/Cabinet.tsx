import type { ThingView } from '@sardonyx/contract';
import { useMemo } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { drawerOf } from './sayThing.ts';

interface CabinetProps {
  readonly things: readonly ThingView[];
  readonly open: string | null;
  readonly onOpen: (drawer: string) => void;
}

/** The front of the cabinet: every drawer with its name and how many kinds of things lie in it. */
export function Cabinet({ things, open, onOpen }: CabinetProps) {
  const drawers = useMemo(() => listDrawers(things), [things]);
  return (
    <div
      role="group"
      aria-label="Cabinet"
      className="grid gap-1 border-2 border-strong-line bg-sunk p-1"
      style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(5.5rem, 1fr))' }}
    >
      {drawers.map(({ name, count, isNoticed }) => (
        <button
          key={name}
          type="button"
          aria-pressed={name === open}
          className="flex min-h-16 flex-col items-center justify-between border border-strong-line bg-sheet px-1 py-2 aria-pressed:bg-ink aria-pressed:text-sheet"
          onClick={() => onOpen(name)}
        >
          <strong className="flex items-center gap-1">
            {isNoticed && <Sign of="warning" />}
            {name}
          </strong>
          <span aria-hidden className="block h-1 w-8 bg-current" />
          <span className="text-note">
            {count} {count === 1 ? 'thing' : 'things'}
            {isNoticed && <span className="sr-only">, something to see to</span>}
          </span>
        </button>
      ))}
    </div>
  );
}

function listDrawers(things: readonly ThingView[]) {
  const drawers = new Map<string, { name: string; count: number; isNoticed: boolean }>();
  for (const thing of things) {
    const name = drawerOf(thing);
    const known = drawers.get(name) ?? { name, count: 0, isNoticed: false };
    drawers.set(name, {
      name,
      count: known.count + 1,
      isNoticed: known.isNoticed || thing.notices.some(({ kind }) => kind !== 'goes off'),
    });
  }
  return [...drawers.values()].sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }));
}
