import { useDeferredValue, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useGetCatalogueQuery, useGetShelfQuery } from '../../shared/api/api.ts';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';

/** All castings known here; typing narrows the list. */
export function CataloguePage() {
  const { data, error } = useGetCatalogueQuery();
  const [params] = useSearchParams();
  const [text, setText] = useState('');
  const words = useDeferredValue(text).toLowerCase().split(/\s+/).filter(Boolean);
  if (!data) return <Pending what="the catalogue" error={error} />;
  const shown = data.castings.filter((casting) =>
    words.every((word) =>
      `${casting.number} ${casting.name} ${casting.makerName} ${casting.rangeName} ${casting.bodyType}`
        .toLowerCase()
        .includes(word),
    ),
  );
  const variants = shown.reduce((sum, casting) => sum + casting.variantCount, 0);
  const onShelf = shown.filter((casting) => casting.onShelf > 0).length;
  return (
    <div className="mx-auto max-w-[84rem] space-y-4 p-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1>
            {shown.length} castings with {variants} variants; {onShelf} of them stand here.
          </h1>
          <p className="text-soft-ink">
            Open one to see its issues along the years, or add a casting that is not in here.
          </p>
        </div>
        <Link to="/catalogue/new" className="plain-button">
          Add a casting of your own
        </Link>
      </div>
      <PaintFound id={params.get('paint')} />
      <label className="block max-w-md">
        <span className="font-semibold">Narrow down</span>
        <input
          type="search"
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder="Number, name, maker or kind"
        />
      </label>
      {shown.length === 0 ? (
        <EmptyNote title={data.castings.length ? 'No casting is called that.' : 'The catalogue is empty.'}>
          {data.castings.length
            ? 'Try fewer letters, or add it as a casting of your own.'
            : 'Add the castings that you restore: parts and joints by a short form.'}
        </EmptyNote>
      ) : (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-x-6">
          {shown.map((casting) => (
            <li key={casting.id} className="border-t border-hairline">
              <Link to={`/catalogue/${casting.id}`} className="flex items-center gap-3 py-2 hover:bg-sunk">
                <ModelDrawing
                  view={casting.drawing.views[0]!}
                  paint={{}}
                  parts={[]}
                  label={`${casting.name}, side`}
                  className="h-14 w-24 shrink-0 bg-paper"
                />
                <span className="min-w-0">
                  <span className="block">
                    <span className="figure">{casting.number}</span> {casting.name}
                  </span>
                  <span className="block text-note text-soft-ink">
                    {casting.makerName}
                    {casting.fromYear && `, ${casting.fromYear} to ${casting.toYear}`}
                  </span>
                  <span className="block text-note text-soft-ink">
                    {casting.variantCount} variants{casting.onShelf > 0 && `, ${casting.onShelf} here`}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** A paint that was found by name. */
function PaintFound({ id }: { readonly id: string | null }) {
  const { data: shelf } = useGetShelfQuery(undefined, { skip: !id });
  const product = shelf?.products.find((candidate) => candidate.id === id);
  if (!product) return null;
  const pots = shelf!.pots.filter((pot) => pot.productId === id);
  return (
    <p className="flex items-center gap-3 border border-strong-line bg-sheet p-3">
      <span aria-hidden className="size-8 border border-ink" style={{ background: product.colourHex }} />
      <span>
        <strong>
          {product.line} {product.name}
        </strong>
        : {product.binder} {product.kind}, {product.gloss}.{' '}
        {pots.map((pot) => `${pot.place}, ${pot.leftMl} ml left`).join('; ') || 'No pot here.'}
      </span>
    </p>
  );
}
