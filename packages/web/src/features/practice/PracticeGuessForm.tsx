import type { IdentifyCatalogue, PracticeGuess } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';

interface PracticeGuessFormProps {
  readonly catalogue: IdentifyCatalogue;
  readonly lookedAt: readonly string[];
  readonly onGuess: (guess: PracticeGuess) => void;
}

/** The trainee's reading: the issue, the years, the wrong parts among those looked at. */
export function PracticeGuessForm({ catalogue, lookedAt, onGuess }: PracticeGuessFormProps) {
  const spans = catalogue.variants.flatMap(({ span }) => (span ? [span] : []));
  const first = Math.floor(Math.min(...spans.map((span) => span.startEarliest)));
  const last = Math.floor(Math.max(...spans.map((span) => span.endLatest)));
  const [variantId, setVariantId] = useState('');
  const [years, setYears] = useState({ from: first, to: last });
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const list = Array.from({ length: last - first + 1 }, (_, i) => first + i);
  const isComplete = variantId !== '' && years.from <= years.to;
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (!isComplete) return;
    const alteredIds = wrong.filter((id) => lookedAt.includes(id));
    onGuess({ variantId, fromYear: years.from, toYear: years.to, alteredIds, lookedAt });
  };
  const yearField = (label: string, end: 'from' | 'to') => (
    <label>
      <span className="text-note">{label}</span>
      <select value={years[end]} onChange={(event) => setYears({ ...years, [end]: Number(event.target.value) })}>
        {list.map((year) => (
          <option key={year}>{year}</option>
        ))}
      </select>
    </label>
  );
  return (
    <form onSubmit={send} className="space-y-4">
      <fieldset>
        <legend className="font-semibold">Which issue is it?</legend>
        {catalogue.variants.map((variant) => (
          <label key={variant.id} className="flex min-h-10 items-center gap-2 border-t border-hairline">
            <input
              type="radio"
              name="issue"
              checked={variantId === variant.id}
              onChange={() => setVariantId(variant.id)}
            />
            {variant.name}
            <span className="ml-auto text-note text-soft-ink">
              {variant.span && `${Math.floor(variant.span.startEarliest)} to ${Math.floor(variant.span.endLatest)}`}
            </span>
          </label>
        ))}
      </fieldset>
      <fieldset>
        <legend className="font-semibold">When was this one made?</legend>
        <div className="grid max-w-sm grid-cols-2 gap-3">
          {yearField('From', 'from')}
          {yearField('To the end of', 'to')}
        </div>
        {years.from > years.to && <p className="text-note font-semibold">▲ Ends before it begins.</p>}
      </fieldset>
      <fieldset>
        <legend className="font-semibold">What is not as it left the factory?</legend>
        {lookedAt.length === 0 && <p className="text-soft-ink">Look at something first.</p>}
        <div className="flex flex-wrap gap-x-5">
          {lookedAt.map((id) => (
            <label key={id} className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                checked={wrong.includes(id)}
                onChange={() =>
                  setWrong((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]))
                }
              />
              {catalogue.features.find((feature) => feature.id === id)?.label}
            </label>
          ))}
        </div>
      </fieldset>
      <button type="submit" className="main-button" disabled={!isComplete}>
        That is my reading
      </button>
    </form>
  );
}
