import type { ThingView } from '@sardonyx/contract';
import { STOCK_KIND_NAMES } from '@sardonyx/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useGetStockQuery } from '../../shared/api/stockApi.ts';
import { DataTable } from '../../shared/ui/DataTable.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import type { Column } from '../../shared/ui/TableRows.tsx';
import { AddThingForm } from './AddThingForm.tsx';
import { AxlesForAll } from './AxlesForAll.tsx';
import { Cabinet } from './Cabinet.tsx';
import { DrawerFiles } from './DrawerFiles.tsx';
import { DrawerPicture } from './DrawerPicture.tsx';
import { drawerOf, NO_DRAWER, sayMeasures, sayNotice, unitOf } from './sayThing.ts';
import { ThingDetails } from './ThingDetails.tsx';

const ALL = 'all';

/** What is in the house: the cabinet, the open drawer to scale, the thing in hand, and the list of everything. */
export function DrawersPage() {
  const { data, error } = useGetStockQuery();
  const [params, setParams] = useSearchParams();
  if (!data) return <Pending what="the drawers" error={error} />;
  const { things } = data;
  const thing = things.find(({ id }) => id === params.get('thing'));
  const first = things.find(({ drawer }) => drawer !== '') ?? things[0];
  // What is in hand may have been moved.
  const drawer = thing ? drawerOf(thing) : (params.get('drawer') ?? (first ? drawerOf(first) : null));
  const kind = params.get('kind') ?? ALL;
  const set = (changes: Readonly<Record<string, string | null>>) =>
    setParams(
      (before) => {
        for (const [name, value] of Object.entries(changes)) {
          if (value === null) before.delete(name);
          else before.set(name, value);
        }
        return before;
      },
      { replace: true },
    );
  const choose = (id: string) => {
    const chosen = things.find((one) => one.id === id)!;
    set({ thing: id, drawer: drawerOf(chosen) });
  };
  const inDrawer = things.filter((one) => drawerOf(one) === drawer);
  return (
    <div className="mx-auto max-w-6xl space-y-5 p-6">
      <h1>{sayTitle(things)}</h1>
      {things.length === 0 ? (
        <EmptyNote title="The drawers are empty.">Put the first thing in below, or bring a file of them in.</EmptyNote>
      ) : (
        <div className="grid items-start gap-6 min-[900px]:grid-cols-2">
          <div className="space-y-4">
            <Cabinet things={things} open={drawer} onOpen={(name) => set({ drawer: name, thing: null })} />
            {drawer !== null && inDrawer.length > 0 && (
              <DrawerPicture drawer={drawer} things={inDrawer} thingId={thing?.id ?? null} onChoose={choose} />
            )}
            {drawer !== null && inDrawer.length === 0 && <p>There is no drawer {drawer}: choose one above.</p>}
          </div>
          {thing ? (
            <ThingDetails key={thing.id} thing={thing} />
          ) : (
            <p className="border border-strong-line bg-sheet p-4">
              Press a thing in the drawer, or a line of the list.
            </p>
          )}
        </div>
      )}
      <AxlesForAll />
      {things.length > 0 && (
        <Things things={things} kind={kind} onKind={(next) => set({ kind: next })} onOpen={choose} />
      )}
      <div className="grid gap-8 min-[900px]:grid-cols-2">
        <AddThingForm drawer={drawer === NO_DRAWER ? '' : (drawer ?? '')} />
        <DrawerFiles />
      </div>
    </div>
  );
}

function sayTitle(things: readonly ThingView[]): string {
  if (things.length === 0) return 'Nothing in the drawers yet';
  const drawers = new Set(things.map(drawerOf)).size;
  const count = (kind: ThingView['notices'][number]['kind']) =>
    things.filter(({ notices }) => notices.some((notice) => notice.kind === kind)).length;
  const [low, off] = [count('reorder'), count('gone off')];
  return [
    `${things.length} ${things.length === 1 ? 'thing' : 'things'} in ${drawers} ${drawers === 1 ? 'drawer' : 'drawers'}`,
    ...(low ? [`${low} to order`] : []),
    ...(off ? [`${off} gone off`] : []),
  ].join('; ');
}

interface ThingsProps {
  readonly things: readonly ThingView[];
  readonly kind: string;
  readonly onKind: (kind: string) => void;
  readonly onOpen: (id: string) => void;
}

function Things({ things, kind, onKind, onOpen }: ThingsProps) {
  const shown = useMemo(() => things.filter((thing) => kind === ALL || thing.kind === kind), [things, kind]);
  return (
    <section aria-label="All things" className="space-y-2">
      <Field label="Kind" isQuiet width="12rem">
        <Select value={kind} options={[ALL, ...STOCK_KIND_NAMES]} onChange={onKind} />
      </Field>
      <DataTable
        label="Things"
        fileName="things"
        rows={shown}
        columns={COLUMNS}
        keyOf={({ id }) => id}
        onOpen={({ id }) => onOpen(id)}
        height="32rem"
      />
    </section>
  );
}

const COLUMNS: readonly Column<ThingView>[] = [
  { key: 'name', heading: 'Thing', share: 1.6, read: ({ name }) => name },
  { key: 'kind', heading: 'Kind', read: ({ kind }) => kind },
  { key: 'drawer', heading: 'Drawer', share: 0.7, read: drawerOf },
  { key: 'measures', heading: 'Measures', share: 2.4, read: sayMeasures },
  {
    key: 'there',
    heading: 'There',
    isNumber: true,
    share: 0.7,
    read: ({ onHand }) => Number(onHand.toFixed(2)),
  },
  { key: 'unit', heading: 'Unit', share: 0.7, read: ({ kind }) => unitOf(kind) },
  { key: 'free', heading: 'Free', isNumber: true, share: 0.7, read: ({ free }) => Number(free.toFixed(2)) },
  {
    key: 'notices',
    heading: 'To see to',
    share: 1.8,
    read: ({ notices, kind }) => notices.map((notice) => sayNotice(notice, kind)).join('; ') || null,
  },
];
