import type { Lab } from '@sardonyx/core';
import { Swatch } from '../../../shared/colour/Swatch.tsx';

interface MeetingSwatchesProps {
  readonly target: Lab;
  /** null while nothing is to be seen of it. */
  readonly mix: Lab | null;
  readonly mixWord?: string;
  readonly targetWord?: string;
  readonly className?: string;
}

/** Target and mix edge to edge on middle grey, with nothing else on it that has a hue. */
export function MeetingSwatches({
  target,
  mix,
  mixWord = 'mix',
  targetWord = 'wanted',
  className = 'h-56',
}: MeetingSwatchesProps) {
  return (
    <figure className="bg-[#777777] p-12">
      <div className={`flex ${className}`}>
        <Swatch lab={target} label={targetWord} className="grow basis-0" />
        {mix ? (
          <Swatch lab={mix} label={mixWord} className="grow basis-0" />
        ) : (
          <span className="grow basis-0 border border-l-0 border-dashed border-[#c8c8c8]" />
        )}
      </div>
      <figcaption className="mt-2 flex text-[#000000]">
        <span className="grow basis-0">{targetWord}</span>
        <span className="grow basis-0">{mix ? mixWord : 'nothing to be seen yet'}</span>
      </figcaption>
    </figure>
  );
}
