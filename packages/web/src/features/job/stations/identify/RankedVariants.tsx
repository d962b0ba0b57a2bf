import { formatPercent, type Identification } from '@sardonyx/core';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

const SHOWN = 5;

/** The variants by probability, "none of them" among them. For an unknown model the casting can be settled from here. */
export function RankedVariants({ identification }: { readonly identification: Identification }) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const { ranked, noneProbability } = identification;
  if (ranked.length === 0) return null;
  const shown = ranked.slice(0, SHOWN);
  const others = ranked.slice(SHOWN).reduce((sum, variant) => sum + variant.probability, 0);
  const settle = (castingId: string, name: string) =>
    void dispatch(
      changeRow({ kind: 'specimens', row: specimen.specimen, changes: { castingId }, label: `casting: ${name}` }),
    );
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">Variants by probability</caption>
      <tbody>
        {shown.map((variant) => (
          <tr key={variant.variantId} className="border-t border-hairline">
            <th scope="row" className="py-1.5 pr-3 text-left font-normal">
              {variant.name}
            </th>
            <Probability value={variant.probability} />
            {!specimen.casting && !isClosed && (
              <td className="py-1 pl-3 text-right">
                <button
                  type="button"
                  className="quiet-button whitespace-nowrap"
                  onClick={() => settle(variant.castingId, variant.name)}
                >
                  This casting
                </button>
              </td>
            )}
          </tr>
        ))}
        {ranked.length > SHOWN && (
          <tr className="border-t border-hairline text-soft-ink">
            <th scope="row" className="py-1.5 pr-3 text-left font-normal">
              {ranked.length - SHOWN} more
            </th>
            <Probability value={others} />
          </tr>
        )}
        <tr className="border-y border-hairline text-soft-ink">
          <th scope="row" className="py-1.5 pr-3 text-left font-normal">
            None in the catalogue
          </th>
          <Probability value={noneProbability} />
        </tr>
      </tbody>
    </table>
  );
}

function Probability({ value }: { readonly value: number }) {
  return (
    <>
      <td className="w-32 py-1.5" aria-hidden>
        <div className="h-3 border border-strong-line">
          <div className="h-full bg-ink" style={{ width: `${value * 100}%` }} />
        </div>
      </td>
      <td className="figure w-28 py-1.5 pl-3 text-right whitespace-nowrap">{formatPercent(value)}</td>
    </>
  );
}
