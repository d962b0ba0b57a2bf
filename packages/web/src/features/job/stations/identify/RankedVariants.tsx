import { formatPercent, type Identification, type IdentifyCatalogue } from '@sardonyx/core';
import { useState } from 'react';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { CompareVariants } from './CompareVariants.tsx';
import { WriteIssueDown } from './WriteIssueDown.tsx';

const SHOWN = 5;
/** Below this the likeness of an unlisted issue is noise. */
const WORTH_NAMING = 0.02;

interface RankedVariantsProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

/** The issues by probability with what fits each and what does not; any two side by side. */
export function RankedVariants({ identification, catalogue }: RankedVariantsProps) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const { ranked, variantCount, castings, noneProbability, nearest, isTakenWhole } = identification;
  const [compared, setCompared] = useState<readonly string[]>([]);
  if (ranked.length === 0) return null;
  const shown = ranked.slice(0, SHOWN);
  const others = 1 - noneProbability - shown.reduce((sum, variant) => sum + variant.probability, 0);
  const settle = (castingId: string, name: string) =>
    void dispatch(
      changeRow({ kind: 'specimens', row: specimen.specimen, changes: { castingId }, label: `casting: ${name}` }),
    );
  const toggle = (id: string) =>
    setCompared((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before.slice(-1), id]));
  return (
    <section aria-label="Issues by probability">
      {!specimen.casting && (
        <ul aria-label="Castings by probability" className="mb-3">
          {castings.map((casting) => (
            <li key={casting.castingId} className="flex items-center gap-3 border-t border-hairline">
              <span className="min-w-0 grow font-semibold">{casting.name}</span>
              <span className="figure">{formatPercent(casting.probability)}</span>
              {!isClosed && (
                <button type="button" className="quiet-button" onClick={() => settle(casting.castingId, casting.name)}>
                  This casting<span className="sr-only">: {casting.name}</span>
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <table className="w-full border-collapse">
        <caption className="sr-only">Issues by probability</caption>
        <thead className="sr-only">
          <tr>
            <th>Issue</th>
            <th>Bar</th>
            <th>Probability</th>
            <th>Compare</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((variant) => (
            <tr key={variant.variantId} className="border-t border-hairline align-top">
              <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                <span className={variant === ranked[0] ? 'font-semibold' : ''}>{variant.name}</span>
                <Fit variantId={variant.variantId} catalogue={catalogue} />
              </th>
              <Probability value={variant.probability} />
              <td className="py-0.5 pl-2 text-right whitespace-nowrap">
                <button
                  type="button"
                  aria-pressed={compared.includes(variant.variantId)}
                  className={`quiet-button ml-2 ${compared.includes(variant.variantId) ? 'font-bold text-ink' : ''}`}
                  onClick={() => toggle(variant.variantId)}
                >
                  <Sign of={compared.includes(variant.variantId) ? 'check' : 'open'} />
                  {compared.includes(variant.variantId) ? 'compared' : 'compare'}
                  <span className="sr-only"> {variant.name}</span>
                </button>
              </td>
            </tr>
          ))}
          {variantCount > SHOWN && (
            <tr className="border-t border-hairline text-soft-ink">
              <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                {variantCount - SHOWN} more
              </th>
              <Probability value={Math.max(0, others)} />
              <td />
            </tr>
          )}
          <tr className="border-y border-hairline text-soft-ink">
            <th scope="row" className="py-1.5 pr-3 text-left font-normal">
              {nearest ? 'An issue that is not listed' : 'None in the catalogue'}
              {nearest && noneProbability >= WORTH_NAMING && (
                <span className="block text-note">most like {nearest.name}</span>
              )}
            </th>
            <Probability value={noneProbability} />
            <td />
          </tr>
        </tbody>
      </table>
      {isTakenWhole && (
        <p className="mt-1 text-note text-soft-ink">
          So many issues cannot be weighed with those that no list has: say which casting it is, then they are.
        </p>
      )}
      {compared.length === 2 && <CompareVariants catalogue={catalogue} variantIds={compared} />}
      {compared.length === 1 && <p className="mt-1 text-note text-soft-ink">Choose a second one to compare it with.</p>}
      <WriteIssueDown identification={identification} catalogue={catalogue} />
    </section>
  );
}

/** Which looks fit this issue and which do not. */
function Fit({ variantId, catalogue }: { readonly variantId: string; readonly catalogue: IdentifyCatalogue }) {
  const { specimen } = useJob();
  const variant = catalogue.variants.find((candidate) => candidate.id === variantId);
  const fits: string[] = [];
  const misfits: string[] = [];
  for (const { featureId, stateId, certainty } of specimen.observations) {
    const feature = catalogue.features.find((candidate) => candidate.id === featureId);
    const recorded = variant?.states[featureId];
    if (!feature || !recorded || !stateId || certainty === 'replaced') continue;
    (recorded[stateId] ? fits : misfits).push(feature.label.toLowerCase());
  }
  if (fits.length + misfits.length === 0) return null;
  return (
    <span className="block text-note text-soft-ink">
      {fits.length > 0 && (
        <>
          <span className="sr-only">For it: </span>
          <span aria-hidden>+ </span>
          {fits.join(', ')}
        </>
      )}
      {misfits.length > 0 && (
        <span className="block text-ink">
          <span className="sr-only">Against it: </span>
          <span aria-hidden>− </span>
          {misfits.join(', ')}
        </span>
      )}
    </span>
  );
}

function Probability({ value }: { readonly value: number }) {
  return (
    <>
      <td className="w-24 py-2.5" aria-hidden>
        <div className="h-3 border border-strong-line">
          <div className="h-full bg-ink" style={{ width: `${value * 100}%` }} />
        </div>
      </td>
      <td className="figure w-24 py-1.5 pl-2 text-right whitespace-nowrap">{formatPercent(value)}</td>
    </>
  );
}
