import type { PlannedDecalView } from '@sardonyx/contract';
import {
  DECAL_TROUBLES,
  PLACING_WORDS,
  RESCUES,
  type DecalAct,
  type DecalTrouble,
  type OrderReason,
} from '@sardonyx/core';
import { useEffect, useRef, useState } from 'react';
import { readAppError } from '../api/appError.ts';
import { useLogDecalMutation } from '../api/decalApi.ts';
import { MarginDrawing } from './MarginDrawing.tsx';
import { formatMinutes } from '../format.ts';
import { ErrorNote } from '../ui/Notice.tsx';
import { Sign } from '../ui/Sign.tsx';
import { Toggles } from '../ui/Toggles.tsx';
import { useWho } from '../ui/useWho.ts';

/** How a decal is placed: its turn, its steps with a clock on the water, and what helps when it goes wrong. */
export function PlacingCard({ decal }: { readonly decal: PlannedDecalView }) {
  const { placing, inHand, layerId, isPlaced, turn, acts } = decal;
  const [trouble, setTrouble] = useState<DecalTrouble | undefined>();
  const [who] = useWho();
  const [log, { error, isLoading }] = useLogDecalMutation();
  if (!placing || isPlaced) return null;
  const isNameless = who.trim() === '';
  const write = (act: DecalAct['act'], more: Partial<Pick<DecalAct, 'trouble' | 'soakS' | 'ofId'>> = {}) =>
    void log({ layerId, act, trouble: null, soakS: null, ofId: null, who: who.trim(), note: '', ...more });
  const last = acts.at(-1);
  return (
    <section aria-label={`Placing ${decal.name}`} className="space-y-3 border border-strong-line bg-sheet p-4">
      <p>
        {turn && sayTurn(turn.nth, turn.because)}It folds {placing.fold.word} (
        {`${Math.round(100 * placing.fold.chance)}\u00a0%`},{' '}
        {placing.fold.placed === 0
          ? 'planning estimate by its length'
          : `with ${placing.fold.placed} of such a shape placed here`}
        ).
      </p>
      {decal.panel && decal.fit && <MarginDrawing panel={decal.panel} fit={decal.fit} name={decal.name} />}
      {inHand === 1 && (
        <p>
          <Sign of="warning" /> <strong>It is the last one:</strong> there is no spare when it folds. Print another
          first.
        </p>
      )}
      {inHand === 0 && (
        <p>
          <Sign of="stop" /> None of it is printed here.
        </p>
      )}
      <ol className="list-decimal space-y-1 pl-6">
        {placing.steps.map(({ step, seconds }) => (
          <li key={step}>
            {PLACING_WORDS[step]}
            {step === 'soak' && (
              <WaterClock
                layerId={layerId}
                seconds={seconds!}
                sd={placing.soak.sd}
                learnedFrom={placing.soak.learnedFrom}
                isDisabled={isNameless || isLoading}
                onSlid={(soakS) => write('slid', { soakS })}
              />
            )}
            {step === 'leave it' && seconds !== null && ` ${formatMinutes(seconds / 60)} (planning estimate).`}
          </li>
        ))}
      </ol>
      <div className="space-y-2 border-t border-hairline pt-3">
        <p className="font-semibold">Something goes wrong? Keep it wet, and press it:</p>
        <Toggles aria-label="What goes wrong" value={trouble} options={DECAL_TROUBLES} onChange={setTrouble} isApart />
        {trouble && (
          <div role="status" className="space-y-2">
            <ol className="list-decimal space-y-1 pl-6 text-lead">
              {RESCUES[trouble].now.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ol>
            <p>
              <Sign of="never" /> <strong>{RESCUES[trouble].never}</strong>
            </p>
            <div className="flex flex-wrap gap-3">
              <button
                type="button"
                className="plain-button"
                disabled={isNameless || isLoading}
                onClick={() => write('trouble', { trouble })}
              >
                Write down: {trouble}
              </button>
              <button
                type="button"
                className="plain-button"
                disabled={isNameless || isLoading}
                onClick={() => {
                  write('lost');
                  setTrouble(undefined);
                }}
              >
                It is lost: {inHand > 1 ? 'take the spare' : 'another is to be printed'}
              </button>
            </div>
          </div>
        )}
        {last && (
          <p className="flex flex-wrap items-center gap-x-3">
            Written down last: {sayAct(last)}.
            <button
              type="button"
              className="quiet-button"
              disabled={isNameless || isLoading}
              onClick={() => write('taken back', { ofId: last.id })}
            >
              Take it back
            </button>
          </p>
        )}
        {isNameless && <p className="text-note">Say at the top who stands at the bench.</p>}
        {error !== undefined && <ErrorNote error={readAppError(error)} />}
      </div>
    </section>
  );
}

const sayAct = ({ act, trouble, soakS }: DecalAct): string => {
  if (act === 'slid') return soakS === null ? 'it slid' : `it slid after ${Math.round(soakS)} s`;
  return act === 'lost' ? 'one was lost' : (trouble ?? '');
};

const REASON_WORDS: Readonly<Record<OrderReason, string>> = {
  'under another': 'it lies under another',
  longest: 'it is the longest of those left',
  lowest: 'it lies lowest of those left',
  'seam is open': 'it crosses a joint that is open still: that is closed for good first',
};

function sayTurn(turn: number, because: OrderReason | null): string {
  if (because === 'seam is open') return `Last of all: ${REASON_WORDS[because]}. `;
  return because === null ? '' : `Number ${turn} on this model: ${REASON_WORDS[because]}. `;
}

interface WaterClockProps {
  readonly layerId: string;
  readonly seconds: number;
  readonly sd: number;
  readonly learnedFrom: number;
  readonly isDisabled: boolean;
  readonly onSlid: (seconds: number) => void;
}

/** When it went into the water: a page that is left or read anew takes nothing out of it. */
function useKeptStart(layerId: string) {
  const key = `sardonyx.water.${layerId}`;
  const [since, setSince] = useState<number | null>(() => Number(localStorage.getItem(key)) || null);
  return [
    since,
    (next: number | null) => {
      setSince(next);
      if (next === null) localStorage.removeItem(key);
      else localStorage.setItem(key, String(next));
    },
  ] as const;
}

/** Seconds in water: runs until it slides by itself, which is what is learned. */
function WaterClock({ layerId, seconds, sd, learnedFrom, isDisabled, onSlid }: WaterClockProps) {
  const [since, setSince] = useKeptStart(layerId);
  const [passed, setPassed] = useState(0);
  const timer = useRef<number | null>(null);
  useEffect(() => {
    if (since === null) return;
    timer.current = window.setInterval(() => setPassed(Math.floor((Date.now() - since) / 1000)), 250);
    return () => window.clearInterval(timer.current!);
  }, [since]);
  const from = learnedFrom === 0 ? 'planning estimate' : `learned from ${learnedFrom}`;
  return (
    <span className="my-2 flex flex-wrap items-center gap-3">
      {since === null ? (
        <button
          type="button"
          className="plain-button"
          onClick={() => {
            setPassed(0);
            setSince(Date.now());
          }}
        >
          Into the water
        </button>
      ) : (
        <button
          type="button"
          className="main-button"
          disabled={isDisabled}
          onClick={() => {
            setSince(null);
            onSlid(Math.max(1, (Date.now() - since) / 1000));
          }}
        >
          It slides
        </button>
      )}
      {since !== null && (
        <button type="button" className="quiet-button" onClick={() => setSince(null)}>
          Taken out again
        </button>
      )}
      <span role="timer" className="figure text-lead">
        {passed} s
      </span>
      <span className="text-note">
        about {seconds} ± {Math.round(sd)} s ({from})
      </span>
    </span>
  );
}
