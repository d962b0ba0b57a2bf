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
        {wipe > 0 && <Word className="left-2">before</Word>}
        {wipe < 100 && <Word className="right-2">after</Word>}
        <div aria-hidden className="absolute inset-y-0 w-0.5 bg-sard" style={{ left: `${wipe}%` }} />
      </div>
      <Slider
        label="Shown as it was before"
        value={wipe}
        min={0}
        max={100}
        onChange={setWipe}
        say={(one) => `${one} %`}
      />
    </section>
  );
}

/** Which side of the line is which. */
const Word = ({ className, children }: { readonly className: string; readonly children: string }) => (
  <span aria-hidden className={`absolute top-2 bg-paper px-2 font-semibold text-ink ${className}`}>
    {children}
  </span>
);
