import type { PaperPair } from '@sardonyx/core';
import { useState } from 'react';
import { Slider } from '../../shared/ui/Slider.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';

/** The same side before and after, one over the other, with a slider between. */
export function BeforeAfter({ pairs }: { readonly pairs: readonly PaperPair[] }) {
  const [side, setSide] = useState(pairs[0]!.side);
  const [wipe, setWipe] = useState(50);
  const pair = pairs.find((one) => one.side === side) ?? pairs[0]!;
  const { before, after } = pair;
  return (
    <section aria-label="Before and after" className="max-w-[46rem] space-y-3">
      <h2>Before and after</h2>
      {pairs.length > 1 && (
        <Toggles
          aria-label="Side"
          value={pair.side}
          options={pairs.map((one) => ({ value: one.side, label: one.side }))}
          onChange={setSide}
        />
      )}
      <div
        className="relative border border-hairline"
        style={{ aspectRatio: `${before.widthPx} / ${before.heightPx}` }}
      >
        <img
          src={`/api/photos/${after.sha256}/full`}
          alt={`After: ${after.caption}`}
          className="absolute inset-0 size-full object-contain"
        />
        <img
          src={`/api/photos/${before.sha256}/full`}
          alt={`Before: ${before.caption}`}
          className="absolute inset-0 size-full object-contain"
          style={{ clipPath: `inset(0 ${100 - wipe}% 0 0)` }}
        />
        <div aria-hidden className="absolute inset-y-0 w-0.5 bg-sard" style={{ left: `${wipe}%` }} />
      </div>
      <div className="flex items-center gap-3">
        <span aria-hidden className="text-note">
          After
        </span>
        <Slider
          label="Shown as it was before"
          value={wipe}
          min={0}
          max={100}
          onChange={setWipe}
          say={(one) => `${one} %`}
        />
        <span aria-hidden className="text-note">
          Before
        </span>
      </div>
    </section>
  );
}
