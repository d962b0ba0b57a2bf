import { isOutsideModel, rankPots, type Geometry, type Lab } from '@sardonyx/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useColourBench } from '../ColourContext.tsx';
import { Swatch } from '../../../shared/colour/Swatch.tsx';

const SHOWN = 4;

/** When nothing is to be mixed: the pots that come closest as they are, and those that only a test card can compare. */
export function NearestPots({ target, geometry }: { readonly target: Lab; readonly geometry: Geometry }) {
  const { shelf } = useColourBench();
  const ranked = useMemo(() => rankPots(shelf.products, target, geometry), [shelf, target, geometry]);
  const outside = shelf.products.filter((product) => isOutsideModel(product.gloss));
  return (
    <section aria-label="Closest pots as they are" className="space-y-2">
      <h3>Closest pots as they are</h3>
      <ul className="space-y-2">
        {ranked
          .filter((one) => one.de !== null)
          .slice(0, SHOWN)
          .map(({ product, lab, de, words }) => (
            <li key={product.id} className="flex items-center gap-3">
              <span data-pot className="shrink-0">
                <Swatch lab={lab!} label={product.name} className="h-9 w-16 border border-strong-line" />
              </span>
              <span>
                {product.line} {product.name} <span className="text-soft-ink">({product.kind})</span>
                <span className="block text-note text-soft-ink">
                  {de!.toFixed(1)} dE00{words && `: ${words}`}
                </span>
              </span>
            </li>
          ))}
      </ul>
      {outside.length > 0 && (
        <p className="text-note text-soft-ink">
          No number for {outside.map((product) => product.name).join(', ')}: flakes, pearl and fluorescence change with
          the angle or the light. Compare a test card.
        </p>
      )}
      <Link
        className="underline underline-offset-4"
        to={`/shelf?near=${target.map((one) => one.toFixed(1)).join(',')}`}
      >
        The whole shelf by nearness
      </Link>
    </section>
  );
}
