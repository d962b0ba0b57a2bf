import type { CastingView } from '@sardonyx/contract';
import { writeSheet } from '@sardonyx/core';

/** The timeline's twin: every issue with what it is known by. */
export function VariantTable({ view }: { readonly view: CastingView }) {
  const { variants, features, variantStates } = view;
  const known = features.filter((feature) => variantStates.some((one) => one.featureId === feature.id));
  const sheet = writeSheet({ ...view, features: known });
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Issues and what they are known by">
      <table className="w-full border-collapse text-note">
        <thead>
          <tr>
            <th className="border-b border-strong-line p-1.5 text-left">Issue</th>
            <th className="border-b border-strong-line p-1.5 text-left">Years</th>
            <th className="border-b border-strong-line p-1.5 text-left">Rarity</th>
            {known.map((feature) => (
              <th key={feature.id} className="border-b border-strong-line p-1.5 text-left">
                {feature.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {variants.map((variant, v) => (
            <tr key={variant.id}>
              <th scope="row" className="border-b border-hairline p-1.5 text-left font-semibold">
                {variant.name}
              </th>
              <td className="border-b border-hairline p-1.5 whitespace-nowrap">
                {Math.floor(variant.startEarliest)} to {Math.floor(variant.endLatest)}
              </td>
              <td className="figure border-b border-hairline p-1.5">{variant.rarity}</td>
              {known.map((feature, f) => (
                <td key={feature.id} className="border-b border-hairline p-1.5">
                  {sheet.issues[v]!.cells[f] || <span className="text-soft-ink">not recorded</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
