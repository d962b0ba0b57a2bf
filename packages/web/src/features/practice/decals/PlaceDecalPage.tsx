import {
  actInPractice,
  beginPractice,
  createSeededRandom,
  estimateFold,
  estimateSoak,
  listPlacingSteps,
  PLACING_WORDS,
  PRACTICE_RESCUES,
  rescueInPractice,
  WRONG_ACT_WORDS,
  WRONG_ACTS,
  type PracticeAct,
  type PracticeState,
  type PracticeTask,
} from '@sardonyx/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { DecalInPractice } from './DecalInPractice.tsx';
import { PlacedResult } from './PlacedResult.tsx';

const WAY = 'wet pad and two sets';
const SIZE = { widthMm: 62, heightMm: 4.5 };
const PIECES = 2;

/** Place a long decal by its steps, under the clock: it teaches the order. */
export function PlaceDecalPage() {
  const [params, setParams] = useSearchParams();
  const seed = Number(params.get('seed')) || 1;
  return (
    <div className="mx-auto max-w-6xl space-y-4 p-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1>Place a long decal</h1>
          <p className="text-soft-ink">
            A band of {SIZE.widthMm} by {SIZE.heightMm} mm, {PIECES} of them printed. What comes next? What goes wrong
            is drawn by chance from what you do (planning estimates): this teaches the order, no steady hand.
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="plain-button"
            onClick={() => setParams({ seed: String(1 + Math.floor(Math.random() * 999_999)) })}
          >
            Another decal
          </button>
          <Link className="plain-button" to="/practice">
            Read a casting instead
          </Link>
        </div>
      </div>
      <Round key={seed} seed={seed} />
    </div>
  );
}

function Round({ seed }: { readonly seed: number }) {
  const task = useMemo(createTask, []);
  const random = useRef(createSeededRandom(seed));
  const acts = useMemo(() => shuffle([...task.steps.map(({ step }) => step), ...WRONG_ACTS], seed), [task, seed]);
  const [state, setState] = useState<PracticeState>(() => beginPractice(PIECES));
  const nowS = useSeconds();
  const { piece, end } = state;
  const left = acts.filter((act) => !(piece.done as readonly PracticeAct[]).includes(act));
  const wetS = piece.wetAtS === null ? null : Math.floor(nowS - piece.wetAtS);
  return (
    <div className="grid items-start gap-6 min-[900px]:grid-cols-[1fr_22rem]">
      <div className="space-y-4">
        <DecalInPractice piece={piece} isPlaced={end === 'placed'} />
        {end !== null ? (
          <PlacedResult state={state} task={task} />
        ) : piece.trouble !== null ? (
          <section aria-label="What now?" className="space-y-3">
            <p role="status" className="text-lead">
              <Sign of="warning" /> <strong>It is {piece.trouble}.</strong> What now?
            </p>
            <ul className="space-y-2">
              {PRACTICE_RESCUES[piece.trouble].map(({ words, isRight }) => (
                <li key={words}>
                  <button
                    type="button"
                    className="plain-button w-full justify-start! text-left!"
                    onClick={() => setState(rescueInPractice(state, isRight, random.current))}
                  >
                    {words}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ) : (
          <section aria-label="What comes next?" className="space-y-3">
            <p role="status">
              {sayPiece(state)}{' '}
              {wetS !== null && (
                <>
                  In the water for <span className="figure text-lead">{wetS} s</span>.
                </>
              )}
            </p>
            <ul className="grid gap-2 sm:grid-cols-2">
              {left.map((act) => (
                <li key={act}>
                  <button
                    type="button"
                    className="plain-button h-full w-full justify-start! text-left!"
                    onClick={() => setState(actInPractice(state, act, nowS, task, random.current))}
                  >
                    {sayAct(act)}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <section aria-label="Done so far" className="space-y-2">
        <h2>Done so far</h2>
        {piece.done.length === 0 ? (
          <p className="text-soft-ink">Nothing yet.</p>
        ) : (
          <ol className="list-decimal space-y-1 pl-6">
            {piece.done.map((step) => (
              <li key={step}>{PLACING_WORDS[step]}</li>
            ))}
          </ol>
        )}
      </section>
    </div>
  );
}

function createTask(): PracticeTask {
  const fold = estimateFold(SIZE, WAY, []);
  const soak = estimateSoak('white, office printer', 0, []);
  return { fold, steps: listPlacingSteps(WAY, { soak, fold, isOnRelief: false }) };
}

const sayAct = (act: PracticeAct): string =>
  (WRONG_ACTS as readonly PracticeAct[]).includes(act)
    ? WRONG_ACT_WORDS[act as keyof typeof WRONG_ACT_WORDS]
    : PLACING_WORDS[act as keyof typeof PLACING_WORDS];

const sayPiece = ({ piecesLeft }: PracticeState) =>
  piecesLeft === PIECES ? 'Two pieces are printed.' : 'This is the last piece.';

/** The order in which acts are offered says nothing of the order in which they are done. */
function shuffle(acts: readonly PracticeAct[], seed: number): PracticeAct[] {
  const random = createSeededRandom(seed + 1);
  return acts
    .map((act) => ({ act, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ act }) => act);
}

/** Seconds since the round began. */
function useSeconds(): number {
  const began = useRef(Date.now());
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setSeconds((Date.now() - began.current) / 1000), 250);
    return () => clearInterval(timer);
  }, []);
  return seconds;
}
