import {
  convertLabToHex,
  coverGrounds,
  mixOptics,
  selectOptics,
  type Geometry,
  type PaintOptics,
} from '@sardonyx/core';
import { useMemo } from 'react';
import { findProduct, useColourBench } from '../ColourContext.tsx';

interface OverPrimersProps {
  readonly lines: readonly { readonly productId: string; readonly ml: number }[];
  readonly geometry: Geometry;
}

/** How the mix looks over each primer after one coat, and how many coats it takes until none shows. */
export function OverPrimers({ lines, geometry }: OverPrimersProps) {
  const { shelf } = useColourBench();
  const covered = useMemo(() => {
    const products = lines.flatMap(({ productId }) => findProduct(shelf, productId) ?? []);
    const optics = products.map((product) => selectOptics(product));
    if (products.length < lines.length || optics.some((one) => one === null)) return null;
    const mix = mixOptics(optics as PaintOptics[], shares(lines));
    const coatUm = products[0]!.dryFilmUm;
    const isGuess = optics.some((one) => one!.basis !== 'drawdowns' && one!.basis !== 'mixed here');
    return { rows: coverGrounds(mix, coatUm, shelf.products, geometry), coatUm, isGuess };
  }, [lines, shelf, geometry]);
  if (!covered || covered.rows.length === 0) return null;
  return (
    <section aria-label="Over each primer" className="space-y-1">
      <h3>Over each primer</h3>
      <ul className="grid gap-x-8 gap-y-2 sm:grid-cols-2">
        {covered.rows.map(({ product, groundLab, coats, afterOneLab, afterOneDe }) => (
          <li key={product.id} className="flex items-center gap-3">
            <span data-swatch data-pot aria-hidden className="flex h-9 w-16 shrink-0">
              <span className="grow" style={{ background: convertLabToHex(groundLab) }} />
              <span className="grow" style={{ background: convertLabToHex(afterOneLab) }} />
            </span>
            <span>
              {product.name}:{' '}
              <strong>{coats === null ? 'not in twelve coats' : `${coats} ${coats === 1 ? 'coat' : 'coats'}`}</strong>
              <span className="block text-note text-soft-ink">after one still {afterOneDe.toFixed(1)} off</span>
            </span>
          </li>
        ))}
      </ul>
      <p className="text-note text-soft-ink">
        Dry coats of {covered.coatUm} µm, until nothing shows through (1 dE00).{' '}
        {covered.isGuess && 'How well some of its paints cover was never measured: a planning estimate.'}
      </p>
    </section>
  );
}

const shares = (lines: OverPrimersProps['lines']) => lines.map((line) => line.ml);
