import type { IdentifyCatalogue, PracticeGuess } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Radios } from '../../shared/ui/Radios.tsx';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';

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
    <Field label={label} isQuiet>
      <Select value={years[end]} options={list} onChange={(value) => setYears({ ...years, [end]: value })} />
    </Field>
  );
  return (
    <form onSubmit={send} className="space-y-4">
      <Radios
        label="Which issue is it?"
        isList
        value={variantId}
        options={catalogue.variants.map((variant) => variant.id)}
        onChange={setVariantId}
        describe={(id) => {
          const { name, span } = catalogue.variants.find((variant) => variant.id === id)!;
          return (
            <span className="flex gap-2">
              {name}
              <span className="ml-auto text-note text-soft-ink">
                {span && `${Math.floor(span.startEarliest)} to ${Math.floor(span.endLatest)}`}
              </span>
            </span>
          );
        }}
      />
      <fieldset>
        <legend className="font-semibold">When was this one made?</legend>
        <div className="grid max-w-sm grid-cols-2 gap-3">
          {yearField('From', 'from')}
          {yearField('To the end of', 'to')}
        </div>
        {years.from > years.to && (
          <p className="text-note font-semibold">
            <Sign of="warning" />
            Ends before it begins.
          </p>
        )}
      </fieldset>
      <fieldset>
        <legend className="font-semibold">What is not as it left the factory?</legend>
        {lookedAt.length === 0 && <p className="text-soft-ink">Look at something first.</p>}
        <div className="flex flex-wrap gap-x-5">
          {lookedAt.map((id) => (
            <Checkbox
              key={id}
              checked={wrong.includes(id)}
              onChange={() =>
                setWrong((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]))
              }
            >
              {catalogue.features.find((feature) => feature.id === id)?.label}
            </Checkbox>
          ))}
        </div>
      </fieldset>
      <button type="submit" className="main-button" disabled={!isComplete}>
        That is my reading
      </button>
    </form>
  );
}
