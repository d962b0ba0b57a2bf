import { compareVariants, computeToolOrder, formatPercent, type IdentifyCatalogue } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { useJob } from '../../JobContext.tsx';

interface CompareVariantsProps {
  readonly catalogue: IdentifyCatalogue;
  readonly variantIds: readonly string[];
}

/** Two issues side by side: only what differs, what this model shows marked; and which of the two came first. */
export function CompareVariants({ catalogue, variantIds }: CompareVariantsProps) {
  const { specimen } = useJob();
  const variants = variantIds.map((id) => catalogue.variants.find((variant) => variant.id === id)!);
  const rows = compareVariants(catalogue, variantIds);
  const order = computeToolOrder(catalogue, [variantIds[0]!], [variantIds[1]!]);
  const first = order.firstIsEarlier >= 0.5 ? variants[0]! : variants[1]!;
  const seenOf = new Map(specimen.observations.map((one) => [one.featureId, one.stateId]));
  return (
    <div className="mt-3 border border-strong-line bg-sheet p-3">
      <h3 className="font-semibold">Only what differs</h3>
      {rows.length === 0 ? (
        <p>Nothing that is recorded tells these two apart.</p>
      ) : (
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-left text-note">
              <th className="py-1 pr-2">Look at</th>
              {variants.map((variant) => (
                <th key={variant.id} className="py-1 pr-2">
                  {variant.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ feature, recorded }) => (
              <tr key={feature.id} className="border-t border-hairline align-top">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {feature.label}
                </th>
                {recorded.map((states, i) => (
                  <td key={variantIds[i]} className="py-1 pr-2">
                    {states.length === 0 && <span className="text-soft-ink">not recorded</span>}
                    {states.map((state) => (
                      <span
                        key={state.stateId}
                        className={`block ${seenOf.get(feature.id) === state.stateId ? 'font-bold' : ''}`}
                      >
                        {seenOf.get(feature.id) === state.stateId && (
                          <span>
                            <Sign of="check" />
                            seen:{' '}
                          </span>
                        )}
                        {state.label}
                        {state.share < 1 && ` (${formatPercent(state.share)})`}
                      </span>
                    ))}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="mt-2 text-note text-soft-ink">
        {Math.abs(order.firstIsEarlier - 0.5) < 0.05
          ? 'Nothing recorded says which of the two came first.'
          : `${first.name} came first: ${formatPercent(Math.max(order.firstIsEarlier, 1 - order.firstIsEarlier))}, from spans and the years in which states were used.`}
      </p>
    </div>
  );
}
