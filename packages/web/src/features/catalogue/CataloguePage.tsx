import type { CatalogueEntry, CatalogueVariant } from '@sardonyx/contract';
import { useDeferredValue, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Radios } from '../../shared/ui/Radios.tsx';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { useGetCatalogueQuery } from '../../shared/api/api.ts';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { CastingTable } from './CastingTable.tsx';
import { FileExchange } from './FileExchange.tsx';
import { OpenIcon } from '../../shared/ui/icons.ts';
import { PaintFound } from './PaintFound.tsx';

const SHELVES = [
  { value: 'all', label: 'Everything known' },
  { value: 'here', label: 'On the shelf' },
  { value: 'begun', label: 'Begun, not complete' },
  { value: 'lacking', label: 'Not on the shelf' },
] as const;
type Shelf = (typeof SHELVES)[number]['value'];

const LOOKS = [
  { value: false, label: 'Pictures' },
  { value: true, label: 'Table' },
] as const;

/** More than this nobody reads; typing narrows it. */
const MOST_SHOWN = 60;
const RARE = 5;

/** All castings known here, what the shelf holds of each and what it lacks; typing narrows the list. */
export function CataloguePage() {
  const { data, error } = useGetCatalogueQuery();
  const [params, setParams] = useSearchParams();
  // The state leads and the address follows: a field must answer at once.
  const [wanted, setWanted] = useState({
    text: params.get('q') ?? '',
    shelf: (params.get('shelf') ?? 'all') as Shelf,
    isRareOnly: params.get('rare') === 'yes',
  });
  const { shelf, isRareOnly } = wanted;
  const isTable = params.get('as') === 'table';
  const seeAs = (asTable: boolean) =>
    setParams((before) => (asTable ? before.set('as', 'table') : before.delete('as'), before), { replace: true });
  const words = useDeferredValue(wanted.text).toLowerCase().split(/\s+/).filter(Boolean);
  if (!data) return <Pending what="the catalogue" error={error} />;
  const want = (change: Partial<typeof wanted>) => {
    const next = { ...wanted, ...change };
    setWanted(next);
    setParams(
      (before) => {
        const set = (name: string, value: string) => (value ? before.set(name, value) : before.delete(name));
        set('q', next.text);
        set('shelf', next.shelf === 'all' ? '' : next.shelf);
        set('rare', next.isRareOnly ? 'yes' : '');
        return before;
      },
      { replace: true },
    );
  };
  const found = data.castings.filter((entry) => isOnShelf(entry, shelf) && matches(entry, words, isRareOnly));
  const variants = found.flatMap((entry) => entry.variants);
  const held = variants.filter((variant) => variant.onShelf.length > 0).length;
  return (
    <div className="mx-auto max-w-[84rem] space-y-4 p-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1>
            {count(found.length, 'casting')} with {count(variants.length, 'issue')}; the shelf holds {held} and lacks{' '}
            {variants.length - held}.
          </h1>
          <p className="text-soft-ink">
            An issue is held when a model on the shelf is more probably that one than not. Open a casting to see its
            issues along the years.
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          <a href="#file" className="plain-button">
            CSV and JSON
          </a>
          <Link to="/catalogue/new" className="plain-button">
            Add a casting of your own
          </Link>
        </div>
      </div>
      <PaintFound id={params.get('paint')} />
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <label className="block grow max-w-md">
          <span className="font-semibold">Narrow down</span>
          <input
            type="search"
            value={wanted.text}
            onChange={(event) => want({ text: event.target.value })}
            placeholder="Number, name, maker, kind, colour or issue"
          />
        </label>
        <Radios label="Shelf" value={shelf} options={SHELVES} onChange={(next) => want({ shelf: next })} />
        <Checkbox checked={isRareOnly} onChange={(isChecked) => want({ isRareOnly: isChecked })}>
          With an issue of rarity {RARE} or more
        </Checkbox>
        <Toggles aria-label="See them as" value={isTable} options={LOOKS} onChange={seeAs} />
      </div>
      {found.length === 0 ? (
        <EmptyNote title={data.castings.length ? 'No casting is like that.' : 'The catalogue is empty.'}>
          {data.castings.length
            ? 'Try fewer letters or another shelf, or add it as a casting of your own.'
            : 'Add the castings that you restore by a short form, or bring a catalogue in as CSV below.'}
        </EmptyNote>
      ) : isTable ? (
        <CastingTable castings={found} />
      ) : (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(19rem,1fr))] gap-x-6">
          {found.slice(0, MOST_SHOWN).map((entry) => (
            <CastingLine key={entry.id} entry={entry} />
          ))}
        </ul>
      )}
      {!isTable && found.length > MOST_SHOWN && (
        <p className="text-soft-ink">{found.length - MOST_SHOWN} more: type to narrow down.</p>
      )}
      <FileExchange />
    </div>
  );
}

function CastingLine({ entry }: { readonly entry: CatalogueEntry }) {
  const held = entry.variants.filter((variant) => variant.onShelf.length > 0).length;
  return (
    <li className="border-t border-hairline">
      <Link to={`/catalogue/${entry.id}`} className="flex items-center gap-3 py-2 hover:bg-sunk">
        <ModelDrawing
          view={entry.side}
          paint={{}}
          parts={[]}
          label={`${entry.name}, side`}
          className="h-14 w-24 shrink-0 bg-paper"
        />
        <span className="min-w-0">
          <span className="block">
            <span className="figure">{entry.number}</span> {entry.name}
          </span>
          <span className="block text-note text-soft-ink">
            {entry.makerName}
            {entry.fromYear && `, ${entry.fromYear} to ${entry.toYear}`}
          </span>
          <span className="flex flex-wrap items-center gap-x-2 text-note">
            <span aria-hidden className="flex">
              {entry.variants.slice(0, 12).map((variant) => (
                <OpenIcon key={variant.id} size={14} className={variant.onShelf.length ? 'fill-ink' : ''} />
              ))}
            </span>
            <span className="text-soft-ink">
              {entry.variants.length === 0 ? 'no issue known' : `holds ${held} of ${entry.variants.length}`}
            </span>
          </span>
        </span>
      </Link>
    </li>
  );
}

const count = (number: number, what: string) => `${number} ${what}${number === 1 ? '' : 's'}`;

function isOnShelf({ onShelf, variants }: CatalogueEntry, shelf: Shelf): boolean {
  const isComplete = variants.every((variant) => variant.onShelf.length > 0);
  if (shelf === 'here') return onShelf > 0;
  if (shelf === 'begun') return onShelf > 0 && !isComplete;
  return shelf === 'all' || onShelf === 0;
}

function matches(entry: CatalogueEntry, words: readonly string[], isRareOnly: boolean): boolean {
  if (isRareOnly && !entry.variants.some(isRare)) return false;
  const about = `${entry.number} ${entry.name} ${entry.makerName} ${entry.rangeName} ${entry.bodyType}`.toLowerCase();
  return words.every(
    (word) => about.includes(word) || entry.variants.some((variant) => variant.name.toLowerCase().includes(word)),
  );
}

const isRare = (variant: CatalogueVariant) => variant.rarity >= RARE;
