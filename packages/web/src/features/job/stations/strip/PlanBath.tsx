import { adviseCausticBath, CAUSTIC, InvalidInputError, type CausticAdvice } from '@sardonyx/core';
import { useState } from 'react';
import { HazardCard } from '../../HazardCard.tsx';

const FIELDS = [
  { field: 'litres', word: 'Liquor, litres' },
  { field: 'gramsPerLitre', word: 'Grams per litre' },
  { field: 'waterC', word: 'Cold water, °C' },
] as const;

/** How much for a caustic bath, how hot it gets, and in which order: before anything is poured. */
export function PlanBath() {
  const [draft, setDraft] = useState({
    litres: '0.75',
    gramsPerLitre: String(CAUSTIC.usualGramsPerLitre),
    waterC: '15',
  });
  const advice = tryAdvice(draft);
  return (
    <details>
      <summary className="quiet-button">Reckon a caustic bath</summary>
      <div className="space-y-3 py-2">
        <HazardCard hazard="caustic-bath" />
        <div className="flex flex-wrap gap-3">
          {FIELDS.map(({ field, word }) => (
            <label key={field}>
              <span className="block text-note">{word}</span>
              <input
                style={{ width: '8rem' }}
                inputMode="decimal"
                value={draft[field]}
                onChange={(event) => setDraft({ ...draft, [field]: event.target.value })}
              />
            </label>
          ))}
        </div>
        {typeof advice === 'string' ? (
          <p role="alert">▲ {advice}</p>
        ) : (
          <>
            <p role="status" className="text-act font-semibold">
              {advice.refusals.length > 0
                ? 'Not so.'
                : `${Math.round(advice.grams)} g of pure sodium hydroxide; it may reach ${Math.round(advice.reachedC)} °C.`}
            </p>
            {[...advice.refusals, ...advice.warnings].map((text) => (
              <p key={text}>▲ {text}</p>
            ))}
            {advice.refusals.length === 0 && (
              <ol className="list-inside list-decimal">
                {advice.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
            )}
            <p className="text-note text-soft-ink">
              Temperature from the heat of solution, nothing lost: errs high. Strength and limits are planning
              estimates.
            </p>
          </>
        )}
      </div>
    </details>
  );
}

function tryAdvice(draft: Readonly<Record<(typeof FIELDS)[number]['field'], string>>): CausticAdvice | string {
  try {
    return adviseCausticBath({
      litres: Number(draft.litres),
      gramsPerLitre: Number(draft.gramsPerLitre),
      waterC: Number(draft.waterC),
    });
  } catch (error) {
    if (error instanceof InvalidInputError) return error.message;
    throw error;
  }
}
