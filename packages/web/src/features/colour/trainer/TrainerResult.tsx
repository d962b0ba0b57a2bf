import type { ShelfView } from '@sardonyx/contract';
import {
  computeDe00,
  describeDifference,
  type Geometry,
  type Lab,
  type ShelfPaint,
  type TrainerRound,
  type TrainerScore,
  type TrainerStep,
} from '@sardonyx/core';
import { useEffect, useState } from 'react';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { formatMl } from '../swatch/formatColour.ts';
import { useColourWorker } from '../worker/useColourWorker.ts';

interface TrainerResultProps {
  readonly round: TrainerRound;
  readonly score: TrainerScore;
  readonly seed: number;
  readonly paints: readonly ShelfPaint[];
  readonly shelf: ShelfView;
  readonly patches: readonly { readonly ml: number; readonly lab: Lab }[];
  readonly needMl: number;
  readonly geometry: Geometry;
  readonly onAgain: () => void;
}

/** How it went, what it was, and the path that guided mixing takes from the same pots. */
export function TrainerResult(props: TrainerResultProps) {
  const { round, score, seed, paints, shelf, patches, needMl, geometry, onAgain } = props;
  const worker = useColourWorker();
  const [steps, setSteps] = useState<readonly TrainerStep[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { ask } = worker;
  useEffect(() => {
    let isCurrent = true;
    const limits = { needMl, doseMl: 0.01, tolerance: 1 };
    ask({ kind: 'solve round', pots: { paints, geometry }, seed, limits }, 'solved').then(
      (answer) => isCurrent && setSteps(answer.steps),
      (error: unknown) => isCurrent && setProblem(error instanceof Error ? error.message : String(error)),
    );
    return () => void (isCurrent = false);
  }, [ask, paints, geometry, seed, needMl]);
  const nameOf = (id: number) => shelf.products.find((product) => product.id === paints[id]!.id)?.name ?? '';
  const words = describeDifference(patches.at(-1)!.lab, round.target.d65);
  return (
    <section aria-label="How it went" className="space-y-4">
      <p className="text-verdict font-semibold">
        {score.points} points: {score.de.toFixed(1)} dE00 off{words && `, ${words}`}
      </p>
      <p>
        {score.patches} {score.patches === 1 ? 'patch' : 'patches'}, {describeVolume(patches.at(-1)!.ml, needMl)}. It
        was {round.hiddenIds.map(nameOf).join(', ')}.
      </p>
      <Path title="Your path" rows={patches.map(({ ml, lab }) => ({ ml, de: computeDe00(round.target.d65, lab) }))} />
      {steps ? (
        <>
          <Path
            title="Guided mixing, with an instrument"
            rows={steps.map(({ volumes, de }) => ({ ml: volumes.reduce((sum, one) => sum + one.ml, 0), de }))}
          />
          {steps.length > 0 && (
            <p className="text-soft-ink">
              It ended with{' '}
              {steps
                .at(-1)!
                .volumes.map(({ id, ml }) => `${formatMl(ml)} ${nameOf(id)}`)
                .join(', ')}
              .
            </p>
          )}
        </>
      ) : problem ? (
        <p role="status">{problem}</p>
      ) : (
        <Progress what="Working out the guided path" share={worker.progress} />
      )}
      <button type="button" className="main-button min-h-16!" onClick={onAgain}>
        Another colour
      </button>
    </section>
  );
}

/** "0.40 ml beyond the 2.00 ml needed", or short of it. */
const describeVolume = (ml: number, needMl: number) =>
  `${formatMl(Math.abs(ml - needMl))} ${ml < needMl ? 'short of' : 'beyond'} the ${formatMl(needMl)} needed`;

interface PathProps {
  readonly title: string;
  readonly rows: readonly { readonly ml: number; readonly de: number }[];
}

/** Patch by patch, a bar for how far off it was. */
function Path({ title, rows }: PathProps) {
  const most = Math.max(5, ...rows.map((row) => row.de));
  return (
    <div>
      <h3>{title}</h3>
      <ol>
        {rows.map(({ ml, de }, i) => (
          <li key={i} className="grid grid-cols-[8rem_1fr_4rem] items-center gap-3">
            <span>
              patch {i + 1}, {formatMl(ml)}
            </span>
            <span aria-hidden className="h-3 bg-ink" style={{ width: `${(100 * de) / most}%`, minWidth: 2 }} />
            <span className="figure text-right">{de.toFixed(1)}</span>
          </li>
        ))}
      </ol>
    </div>
  );
}
