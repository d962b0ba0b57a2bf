import type { ShelfView } from '@sardonyx/contract';
import { computePaintLab, type ShelfPaint } from '@sardonyx/core';
import { useState } from 'react';
import { formatMl } from '../../../shared/colour/formatColour.ts';
import { Swatch } from '../../../shared/colour/Swatch.tsx';

interface TrainerPotsProps {
  readonly paints: readonly ShelfPaint[];
  readonly shelf: ShelfView;
  readonly openIds: readonly number[];
  readonly volumes: ReadonlyMap<number, number>;
  readonly onPour: (id: number, ml: number) => void;
}

const POURS = [0.01, 0.05, 0.2, 0.8] as const;

/** The open pots, one in hand, and how much of it goes in. Nothing comes out again. */
export function TrainerPots({ paints, shelf, openIds, volumes, onPour }: TrainerPotsProps) {
  const [inHand, setInHand] = useState<number | null>(null);
  const nameOf = (id: number) => shelf.products.find((product) => product.id === paints[id]!.id)?.name ?? '';
  return (
    <section aria-label="Pots" className="space-y-4">
      <div className="min-h-24 border-2 border-ink p-3">
        {inHand === null ? (
          <p>Take a pot.</p>
        ) : (
          <>
            <p className="text-lead font-semibold">
              {nameOf(inHand)}{' '}
              <span className="text-body font-normal text-soft-ink">{formatMl(volumes.get(inHand) ?? 0)} in</span>
            </p>
            <div className="mt-2 flex flex-wrap gap-2">
              {POURS.map((ml) => (
                <button key={ml} type="button" className="plain-button" onClick={() => onPour(inHand, ml)}>
                  Pour {ml} ml
                </button>
              ))}
            </div>
          </>
        )}
      </div>
      <ul className="grid grid-cols-2 gap-x-8 gap-y-2 sm:grid-cols-3">
        {openIds.map((id) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={inHand === id}
              className={`flex w-full items-center gap-3 p-1 text-left ${inHand === id ? 'outline-2 outline-ink' : ''}`}
              onClick={() => setInHand(id)}
            >
              <span data-pot className="shrink-0">
                <Swatch
                  lab={computePaintLab(paints[id]!, 'gloss left out')}
                  label={nameOf(id)}
                  className="border border-strong-line h-11 w-11"
                />
              </span>
              <span>
                {nameOf(id)}
                {volumes.has(id) && <span className="figure block text-note">{formatMl(volumes.get(id)!)}</span>}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
