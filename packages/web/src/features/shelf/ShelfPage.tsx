import {
  convertHexToLab,
  convertLabToHex,
  mayBeMixed,
  rankPots,
  sumLeft,
  type Lab,
  type PaintProduct,
  type RankedPot,
} from '@sardonyx/core';
import type { ShelfView } from '@sardonyx/contract';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { DataTable } from '../../shared/ui/DataTable.tsx';
import type { Column } from '../../shared/ui/TableRows.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { ColourField } from '../../shared/ui/ColourField.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useGetHealthQuery, useGetShelfQuery } from '../../shared/api/api.ts';
import { formatAge } from '../../shared/dates/sayDates.ts';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { Swatch } from '../../shared/colour/Swatch.tsx';
import { useNeutral } from '../colour/index.ts';
import { writeLab } from '../../shared/ui/writtenColour.ts';
import { AddPotForm } from './AddPotForm.tsx';
import { PotDetails } from './PotDetails.tsx';
import { ShelfFiles } from './ShelfFiles.tsx';

const LOW_ML = 2;
const KINDS = ['all', 'colour', 'primer', 'clear', 'brightwork', 'powder', 'mixed here'] as const;

/** Every pot: what is left of it, what is known of it, where it stands; closest first when a colour is asked for. */
export function ShelfPage() {
  const { data, error } = useGetShelfQuery();
  const [params, setParams] = useSearchParams();
  const [open, setOpen] = useState<string | null>(null);
  useNeutral(false);
  if (!data) return <Pending what="the shelf" error={error} />;
  const near = readNear(params.get('near'));
  const words = (params.get('q') ?? '').toLowerCase();
  const kind = params.get('kind') ?? 'all';
  const set = (name: string, value: string) =>
    setParams((before) => (value ? before.set(name, value) : before.delete(name), before), { replace: true });
  const low = data.products.filter((product) => leftOf(data, product) < LOW_ML);
  return (
    <div className="mx-auto max-w-6xl space-y-5 p-6">
      <h1>
        {data.pots.length === 0
          ? 'No pot yet'
          : `${count(data.pots.length, 'pot')}${data.pots.length === data.products.length ? '' : ` of ${count(data.products.length, 'paint')}`}`}
        {low.length > 0 && `; ${low.length} ${low.length === 1 ? 'is' : 'are'} nearly empty`}
      </h1>
      <div className="flex flex-wrap items-end gap-5">
        <label>
          <span className="block text-note">Name or line</span>
          <input
            style={{ width: '14rem' }}
            type="search"
            value={params.get('q') ?? ''}
            onChange={(event) => set('q', event.target.value)}
          />
        </label>
        <Field label="Kind" isQuiet width="10rem">
          <Select value={kind} options={KINDS} onChange={(value) => set('kind', value)} />
        </Field>
        <NearTo near={near} onNear={(value) => set('near', value)} />
      </div>
      <Pots
        shelf={data}
        near={near}
        isShown={(product) =>
          (kind === 'all' || product.kind === kind || (kind === 'mixed here' && product.recipe !== null)) &&
          `${product.line} ${product.name}`.toLowerCase().includes(words)
        }
        open={open}
        onOpen={(id) => setOpen(open === id ? null : id)}
      />
      <div className="grid gap-8 min-[900px]:grid-cols-2">
        <AddPotForm />
        <ShelfFiles />
      </div>
    </div>
  );
}

const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

const leftOf = (shelf: ShelfView, product: PaintProduct) => sumLeft(shelf.pots, product.id);

const describeAge = (shelf: ShelfView, product: PaintProduct, now: Date) =>
  formatAge(shelf.pots.find((pot) => pot.productId === product.id)?.openedOn ?? null, now);

/** A colour that nobody has drawn down yet. */
const isGuess = (product: PaintProduct) => mayBeMixed(product) && product.optics === null;

const placesOf = (shelf: ShelfView, product: PaintProduct) =>
  shelf.pots.flatMap((pot) => (pot.productId === product.id && pot.place ? [pot.place] : [])).join(', ');

/** "enamel", "primer, lacquer", "powder". */
const describeKind = ({ kind, binder }: PaintProduct) =>
  kind === 'colour' || kind === binder ? binder : `${kind}, ${binder}`;

function readNear(text: string | null): Lab | null {
  const numbers = (text ?? '').split(',').map(Number);
  return text && numbers.length === 3 && numbers.every(Number.isFinite)
    ? [numbers[0]!, numbers[1]!, numbers[2]!]
    : null;
}

/** A colour to search by: picked on the screen, or L*, a*, b*. */
function NearTo({ near, onNear }: { readonly near: Lab | null; readonly onNear: (value: string) => void }) {
  const [draft, setDraft] = useState(near ? near.join(', ') : '');
  const take = (text: string) => {
    setDraft(text);
    const lab = readNear(text.replaceAll(' ', ''));
    if (lab || text === '') onNear(lab ? lab.map((one) => one.toFixed(1)).join(',') : '');
  };
  return (
    <>
      <label>
        <span className="block text-note">Closest to L*, a*, b*</span>
        <input
          style={{ width: '12rem' }}
          value={draft}
          placeholder="41.2, -3.0, -14.1"
          onChange={(event) => take(event.target.value)}
        />
      </label>
      <Field label="or set it" isQuiet width="13rem">
        <ColourField
          value={near ? convertLabToHex(near) : ''}
          onChange={(hex) => {
            if (/^#[0-9a-f]{6}$/.test(hex)) take(writeLab(convertHexToLab(hex)));
          }}
        />
      </Field>
      {near && (
        <button type="button" className="quiet-button" onClick={() => take('')}>
          By line again
        </button>
      )}
    </>
  );
}

interface PotsProps {
  readonly shelf: ShelfView;
  readonly near: Lab | null;
  readonly isShown: (product: PaintProduct) => boolean;
  readonly open: string | null;
  readonly onOpen: (id: string) => void;
}

function Pots({ shelf, near, isShown, open, onOpen }: PotsProps) {
  const rows = useMemo(
    (): readonly RankedPot[] =>
      near
        ? rankPots(shelf.products, near, 'gloss left out')
        : shelf.products.map((product) => ({ product, lab: null, de: null, words: '' })),
    [shelf, near],
  );
  const { data: health } = useGetHealthQuery();
  const now = health?.now;
  const isNear = near !== null;
  const columns = useMemo(() => listColumns(shelf, new Date(now ?? Date.now()), isNear), [shelf, now, isNear]);
  const shown = rows.filter(({ product }) => isShown(product));
  if (shown.length === 0)
    return (
      <EmptyNote title={rows.length === 0 ? 'The shelf is empty.' : 'No pot is like that.'}>
        {rows.length === 0
          ? 'Put your first pot on it below, or bring a file of them in.'
          : 'Change what you look for, or put a pot on the shelf below.'}
      </EmptyNote>
    );
  return (
    <DataTable
      key={String(isNear)}
      label="Pots"
      fileName="pots"
      isFilterless
      rows={shown}
      columns={columns}
      keyOf={({ product }) => product.id}
      openKey={open}
      onOpen={({ product }) => onOpen(product.id)}
      showOpen={({ product }) => (
        <PotDetails product={product} pots={shelf.pots.filter((pot) => pot.productId === product.id)} shelf={shelf} />
      )}
    />
  );
}

/** How far off comes into it when a colour is asked for; where it stands goes out then. */
function listColumns(shelf: ShelfView, now: Date, isNear: boolean): Column<RankedPot>[] {
  return [
    {
      key: 'name',
      heading: 'Paint',
      share: 2,
      read: ({ product }) => product.name,
      show: ({ product }) => (
        <span className="flex items-center gap-3">
          {product.name}
          <Swatch
            lab={convertHexToLab(product.colourHex)}
            label="its colour"
            className="order-first h-8 w-12 shrink-0 border border-strong-line"
          />
        </span>
      ),
    },
    { key: 'line', heading: 'Line', read: ({ product }) => product.line },
    {
      key: 'kind',
      heading: 'Kind',
      share: 1.6,
      read: ({ product }) =>
        `${describeKind(product)}, ${product.gloss}${isGuess(product) ? ', only its colour known' : ''}`,
    },
    {
      key: 'from',
      heading: 'Mixed from',
      isHidden: true,
      read: ({ product }) => product.recipe?.map((line) => line.name).join(', ') ?? null,
    },
    { key: 'opened', heading: 'Opened', isHidden: isNear, read: ({ product }) => describeAge(shelf, product, now) },
    { key: 'place', heading: 'Where it stands', isHidden: isNear, read: ({ product }) => placesOf(shelf, product) },
    {
      key: 'de',
      heading: 'Off by, dE00',
      isHidden: !isNear,
      share: 1.6,
      read: ({ de }) => (de === null ? null : Math.round(10 * de) / 10),
      show: ({ de, words }) =>
        de === null ? 'no true number; compare a test card' : `${de.toFixed(1)}${words && `: ${words}`}`,
    },
    {
      key: 'left',
      heading: 'Left, ml',
      isNumber: true,
      read: ({ product }) => Math.round(10 * leftOf(shelf, product)) / 10,
      show: ({ product }) => <Level leftMl={leftOf(shelf, product)} />,
    },
  ];
}

/** What is left, as a bar and in words; nearly empty is said, not coloured. */
function Level({ leftMl }: { readonly leftMl: number }) {
  return (
    <span className="block">
      {leftMl < LOW_ML && <Sign of="warning" />}
      {leftMl < LOW_ML && <span className="sr-only">nearly empty </span>}
      {leftMl.toFixed(1)}
      <span aria-hidden className="mt-0.5 block h-1 bg-sunk">
        <span className="block h-full bg-ink" style={{ width: `${Math.min(100, 5 * leftMl)}%` }} />
      </span>
    </span>
  );
}
