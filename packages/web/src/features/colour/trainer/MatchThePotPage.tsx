import {
  computeDe00,
  createShelf,
  createShelfPaints,
  createTrainerRound,
  lookAtMix,
  scoreRound,
  surfaceOf,
  type TrainerScore,
} from '@sardonyx/core';
import type { ShelfView } from '@sardonyx/contract';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useGetShelfQuery } from '../../../shared/api/api.ts';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { Pending } from '../../../shared/ui/Pending.tsx';
import { MeetingSwatches } from '../swatch/MeetingSwatches.tsx';
import { useNeutral } from '../swatch/useNeutral.ts';
import { formatMl } from '../../../shared/colour/formatColour.ts';
import { TrainerPots } from './TrainerPots.tsx';
import { TrainerResult } from './TrainerResult.tsx';

const GEOMETRY = 'gloss left out';
const NEED_ML = 2;
const FEWEST_POTS = 4;

/** Match the pot: mix by eye against a hidden recipe, with the same physics as on the bench. */
export function MatchThePotPage() {
  const { data: shelf, error } = useGetShelfQuery();
  const [params, setParams] = useSearchParams();
  const seed = Number(params.get('seed')) || 1;
  useNeutral(false);
  if (!shelf) return <Pending what="the pots" error={error} />;
  return (
    <Round
      key={seed}
      shelf={shelf}
      seed={seed}
      onAgain={() => setParams({ seed: String(1 + Math.floor(Math.random() * 999_999)) })}
    />
  );
}

interface RoundProps {
  readonly shelf: ShelfView;
  readonly seed: number;
  readonly onAgain: () => void;
}

function Round({ shelf, seed, onAgain }: RoundProps) {
  // A round is of the pots as they were when it began.
  const [paints] = useState(() => createShelfPaints(shelf.products, shelf.pots));
  const surface = surfaceOf(GEOMETRY);
  const game = useMemo(() => {
    const own = createShelf(paints);
    return paints.length >= FEWEST_POTS ? { shelf: own, round: createTrainerRound(own, surface, seed) } : null;
    // The surface is the same for every round.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [paints, seed]);
  const [volumes, setVolumes] = useState<ReadonlyMap<number, number>>(new Map());
  const [patches, setPatches] = useState<
    readonly { readonly ml: number; readonly lab: readonly [number, number, number] }[]
  >([]);
  const [score, setScore] = useState<TrainerScore | null>(null);
  if (!game)
    return (
      <div className="p-6">
        <EmptyNote title="Too few pots to practise with.">
          <Link className="underline" to="/shelf">
            Put at least {FEWEST_POTS} colours on the shelf
          </Link>
          .
        </EmptyNote>
      </div>
    );
  const { round } = game;
  const poured = [...volumes].map(([id, ml]) => ({ id, ml }));
  const totalMl = poured.reduce((sum, one) => sum + one.ml, 0);
  const last = patches.at(-1);
  const isPainted = last !== undefined && last.ml === totalMl;
  const pour = (id: number, ml: number) => setVolumes(new Map(volumes).set(id, (volumes.get(id) ?? 0) + ml));
  const paint = () => {
    const lab = lookAtMix(game.shelf, surface, round, poured);
    if (lab) setPatches([...patches, { ml: totalMl, lab }]);
  };
  const finish = () => {
    if (!last) return;
    setScore(scoreRound(computeDe00(round.target.d65, last.lab), patches.length, last.ml, NEED_ML));
  };
  return (
    <div className="mx-auto max-w-[84rem] space-y-4 p-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1>Match the pot</h1>
          <p className="text-soft-ink">
            Mix {formatMl(NEED_ML)} of the colour on the left, by eye. Only a painted patch shows what is in the cup;
            every patch and every drop too much costs points. Pots are not quite as strong as their label says.
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          <Link className="plain-button" to="/practice">
            Read the casting instead
          </Link>
          <button type="button" className="plain-button" onClick={onAgain}>
            Another colour
          </button>
        </div>
      </div>
      <div className="grid gap-8 min-[1100px]:grid-cols-2">
        <div className="space-y-4">
          <MeetingSwatches target={round.target.d65} mix={last?.lab ?? null} mixWord={`patch ${patches.length}`} />
          <p role="status" className="text-act font-semibold">
            {formatMl(totalMl)} in the cup, {patches.length} {patches.length === 1 ? 'patch' : 'patches'}
            {last && !isPainted && ': the patch is older than the mix'}
          </p>
          {!score && (
            <div className="flex flex-wrap gap-3">
              <button
                type="button"
                className="main-button min-h-16!"
                disabled={totalMl === 0 || isPainted}
                onClick={paint}
              >
                Paint a patch
              </button>
              <button type="button" className="plain-button min-h-16!" disabled={!isPainted} onClick={finish}>
                That is it
              </button>
            </div>
          )}
        </div>
        {score ? (
          <TrainerResult
            {...{ round, score, seed, paints, shelf, patches }}
            needMl={NEED_ML}
            geometry={GEOMETRY}
            onAgain={onAgain}
          />
        ) : (
          <TrainerPots paints={game.shelf.paints} {...{ shelf, volumes }} openIds={round.openIds} onPour={pour} />
        )}
      </div>
    </div>
  );
}
