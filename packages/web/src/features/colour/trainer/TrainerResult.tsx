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
import { useEffect, useMemo, useState } from 'react';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';
import { PathChart } from '../swatch/PathChart.tsx';
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

/** Nobody sees less, dE00. */
const TOLERANCE = 1;

/** How it went, what it was, and the path that guided mixing takes from the same pots. */
export function TrainerResult(props: TrainerResultProps) {
  const { round, score, seed, paints, shelf, patches, needMl, geometry, onAgain } = props;
  const worker = useColourWorker();
  const [steps, setSteps] = useState<readonly TrainerStep[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { ask } = worker;
  useEffect(() => {
    let isCurrent = true;
    const limits = { needMl, doseMl: 0.01, tolerance: TOLERANCE };
    ask({ kind: 'solve round', pots: { paints, geometry }, seed, limits }, 'solved').then(
      (answer) => isCurrent && setSteps(answer.steps),
      (error: unknown) => isCurrent && setProblem(error instanceof Error ? error.message : String(error)),
    );
    return () => void (isCurrent = false);
  }, [ask, paints, geometry, seed, needMl]);
  const paths = useMemo(
    () => [
      { title: 'you', points: patches.map(({ ml, lab }) => ({ ml, de: computeDe00(round.target.d65, lab) })) },
      ...(steps
        ? [
            {
              title: 'guided',
              points: steps.map(({ volumes, de }) => ({ ml: volumes.reduce((sum, one) => sum + one.ml, 0), de })),
            },
          ]
        : []),
    ],
    [patches, steps, round],
  );
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
      <PathChart paths={paths} tolerance={TOLERANCE} />
      {steps ? (
        <>
          {steps.length > 0 && (
            <p className="text-soft-ink">
              Guided mixing with an instrument ended with{' '}
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
        <Progress what="Working out the guided path" share={worker.progress} onEnd={worker.cancel} />
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
