import { useGetShelfQuery } from '../../shared/api/api.ts';
import { Dab } from '../../shared/ui/Dab.tsx';

/** A paint that was found by name. */
export function PaintFound({ id }: { readonly id: string | null }) {
  const { data: shelf } = useGetShelfQuery(undefined, { skip: !id });
  const product = shelf?.products.find((candidate) => candidate.id === id);
  if (!product) return null;
  const pots = shelf!.pots.filter((pot) => pot.productId === id);
  return (
    <p className="flex items-center gap-3 border border-strong-line bg-sheet p-3">
      <Dab colour={product.colourHex} size="size-8" />
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
