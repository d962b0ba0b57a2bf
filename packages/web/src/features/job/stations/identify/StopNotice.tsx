import { formatPercent, sayLossShare, type IdentifyCatalogue, type StopCheck } from '@sardonyx/core';
import { capitalise } from '../../../../shared/format.ts';
import { Sign } from '../../../../shared/ui/Sign.tsx';

interface StopNoticeProps {
  readonly stop: StopCheck;
  readonly catalogue: IdentifyCatalogue;
  readonly onChoose?: (featureId: string) => void;
}

/** Stop before you strip: what stripping is expected to cost, and which harmless look would settle it. */
export function StopNotice({ stop, catalogue, onChoose }: StopNoticeProps) {
  const { isHeld, loss, threshold, settledBy } = stop;
  const [worst] = loss.from;
  if (!isHeld || !worst) return null;
  const look = catalogue.features.find((feature) => feature.id === settledBy?.featureId);
  return (
    <section aria-label="Stop before you strip" className="border-4 border-sard bg-sheet p-3">
      <h2 className="text-act!">
        <Sign of="stop" />
        Stop before you strip
      </h2>
      <p>
        {capitalise(sayLossShare(worst))}, rarity <span className="figure">{worst.rarity}</span> of 10, in its original
        coat: <strong className="figure">{formatPercent(worst.chance)}</strong>. Stripping is expected to cost{' '}
        <strong className="figure">{loss.points.toFixed(1)}</strong> points of rarity; the house allows{' '}
        <span className="figure">{threshold}</span>.
      </p>
      {look && settledBy ? (
        <p className="mt-1">
          A harmless look would settle it:{' '}
          <button
            type="button"
            className="font-semibold underline underline-offset-4"
            onClick={() => onChoose?.(look.id)}
          >
            {look.label.toLowerCase()}
          </button>
          . Chance that it clears the way {formatPercent(settledBy.clears)}, that it proves the model rare{' '}
          {formatPercent(settledBy.confirms)}.
        </p>
      ) : (
        <p className="mt-1">
          No harmless look would clear the way. Clean it, record it, ask somebody who has one; stripping can wait.
        </p>
      )}
    </section>
  );
}
