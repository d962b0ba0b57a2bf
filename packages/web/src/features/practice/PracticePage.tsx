import type { CatalogueEntry } from '@sardonyx/contract';
import { createPracticeRound, createSeededRandom, pickOne, type PracticeGuess } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useGetCastingQuery, useGetCatalogueQuery, useGetIdentifyCatalogueQuery } from '../../shared/api/api.ts';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { PracticeGuessForm } from './PracticeGuessForm.tsx';
import { PracticeLooks } from './PracticeLooks.tsx';
import { PracticeResult } from './PracticeResult.tsx';

/** With fewer issues there is nothing to read. */
const FEWEST_ISSUES = 3;

/** Read the casting: a specimen drawn from the model that identification assumes, to be read in as few looks as possible. */
export function PracticePage() {
  const { data, error } = useGetCatalogueQuery();
  const [params, setParams] = useSearchParams();
  if (!data) return <Pending what="the castings" error={error} />;
  const fit = data.castings.filter((entry) => entry.variantCount >= FEWEST_ISSUES);
  if (fit.length === 0)
    return (
      <div className="p-6">
        <EmptyNote title="Nothing to practise on yet.">
          It takes a casting with at least {FEWEST_ISSUES} issues in the catalogue.
        </EmptyNote>
      </div>
    );
  const seed = Number(params.get('seed')) || 1;
  const castingId = params.get('casting') ?? pickOne(fit, createSeededRandom(seed)).id;
  const draw = (id: string | null) => {
    const next = String(1 + Math.floor(Math.random() * 999_999));
    setParams(id ? { casting: id, seed: next } : { seed: next });
  };
  return <Round key={`${castingId} ${seed}`} {...{ castingId, seed, fit, draw }} isFixed={params.has('casting')} />;
}

interface RoundProps {
  readonly castingId: string;
  readonly seed: number;
  readonly fit: readonly CatalogueEntry[];
  readonly isFixed: boolean;
  /** Another specimen: of this casting, or (null) of any. */
  readonly draw: (castingId: string | null) => void;
}

function Round({ castingId, seed, fit, isFixed, draw }: RoundProps) {
  const { data: view, error } = useGetCastingQuery(castingId);
  const { data: catalogue } = useGetIdentifyCatalogueQuery(castingId);
  const [lookedAt, setLookedAt] = useState<readonly string[]>([]);
  const [guess, setGuess] = useState<PracticeGuess | null>(null);
  const round = useMemo(() => catalogue && createPracticeRound(catalogue, createSeededRandom(seed)), [catalogue, seed]);
  if (!view || !catalogue || !round) return <Pending what="a specimen" error={error} />;
  const effort = lookedAt.reduce(
    (sum, id) => sum + (catalogue.features.find((feature) => feature.id === id)?.effort ?? 0),
    0,
  );
  return (
    <div className="mx-auto max-w-[84rem] space-y-4 p-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1>
            Read the casting: {view.casting.number} {view.casting.name}
          </h1>
          <p className="text-soft-ink">
            Which issue is it, when was it made, and what is wrong on it? Look at as little as you need: each look costs
            effort. The specimen is simulated; swaps and repaints happen.
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <Field label="Casting" isQuiet>
            <Select
              value={isFixed ? castingId : ''}
              options={[
                { value: '', label: 'any' },
                ...fit.map((entry) => ({ value: entry.id, label: `${entry.number} ${entry.name}` })),
              ]}
              onChange={(value) => draw(value || null)}
            />
          </Field>
          <button type="button" className="plain-button" onClick={() => draw(isFixed ? castingId : null)}>
            Another specimen
          </button>
          <Link className="plain-button" to="/practice/decals">
            Place a decal instead
          </Link>
          <Link className="plain-button" to="/practice/match-the-pot">
            Match the pot instead
          </Link>
        </div>
      </div>
      <div className="grid gap-6 min-[1100px]:grid-cols-2">
        <PracticeLooks
          {...{ view, catalogue, round, lookedAt }}
          isOver={guess !== null}
          onLook={(id) => setLookedAt((before) => [...before, id])}
        />
        <div className="space-y-4">
          <p className="text-act font-semibold">
            {lookedAt.length === 0
              ? 'Nothing looked at yet.'
              : `${lookedAt.length} ${lookedAt.length === 1 ? 'look' : 'looks'}, effort ${effort}`}
          </p>
          {guess ? (
            <PracticeResult {...{ catalogue, round, guess }} onAgain={() => draw(isFixed ? castingId : null)} />
          ) : (
            <PracticeGuessForm {...{ catalogue, lookedAt }} onGuess={setGuess} />
          )}
        </div>
      </div>
    </div>
  );
}
