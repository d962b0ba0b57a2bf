import { CERTAINTIES, type IdentifyFeature } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { CERTAINTY_KEYS, SILENT, useAnswer } from './useAnswer.ts';
import { WhereToLook } from './WhereToLook.tsx';

interface LookInHandProps {
  readonly feature: IdentifyFeature;
  readonly hasNext: boolean;
  readonly onNext: () => void;
}

/** The look in hand: where and how, what can be seen there, and how sure the eye is. One press answers. */
export function LookInHand({ feature, hasNext, onNext }: LookInHandProps) {
  const { specimen, isClosed } = useJob();
  const answer = useAnswer();
  const dispatch = useAppDispatch();
  const given = specimen.observations.find((one) => one.featureId === feature.id);
  const hexOf = new Map(specimen.casting?.states.map((state) => [state.id, state.colourHex]));
  const keyOf = Object.fromEntries(Object.entries(CERTAINTY_KEYS).map(([key, certainty]) => [certainty, key]));
  return (
    <section aria-label={`Look in hand: ${feature.label}`} className="border-2 border-ink bg-sheet p-3">
      <div className="flex gap-3">
        <WhereToLook feature={feature} />
        <div className="min-w-0">
          <h2 className="text-lead!">{feature.label}</h2>
          <p className="text-soft-ink">{feature.howToLook}</p>
          {feature.destroys && (
            <p className="font-semibold">
              <Sign of="warning" />
              Destroys {feature.destroys}. Every harmless look comes first.
            </p>
          )}
        </div>
      </div>
      <div role="group" aria-label={`${feature.label}: what do you see?`} className="mt-3 flex flex-wrap gap-2">
        {feature.states.map((state, i) => {
          const isSeen = given?.stateId === state.id;
          return (
            <button
              key={state.id}
              type="button"
              disabled={isClosed}
              aria-pressed={isSeen}
              className={`plain-button ${isSeen ? 'border-2 border-ink font-bold' : ''}`}
              onClick={() => answer(feature, { stateId: state.id })}
            >
              {i < 10 && (
                <span aria-hidden className="figure text-note text-soft-ink">
                  {(i + 1) % 10}
                </span>
              )}
              {hexOf.get(state.id) && (
                <span aria-hidden className="size-4 border border-ink" style={{ background: hexOf.get(state.id)! }} />
              )}
              {state.label}
            </button>
          );
        })}
      </div>
      <div
        role="group"
        aria-label={`${feature.label}: how sure are you?`}
        className="mt-3 grid grid-cols-3 border border-strong-line sm:grid-cols-6"
      >
        {CERTAINTIES.map((certainty) => {
          const isGiven = given?.certainty === certainty;
          const needsState = !SILENT.includes(certainty) && certainty !== 'replaced';
          return (
            <button
              key={certainty}
              type="button"
              disabled={isClosed || (needsState && !given?.stateId)}
              aria-pressed={isGiven}
              className={`min-h-11 border-hairline px-1 not-last:border-r disabled:text-soft-ink ${isGiven ? 'bg-ink font-bold text-sheet' : ''}`}
              onClick={() => answer(feature, { certainty })}
            >
              {certainty}
              <span aria-hidden className="figure block text-note">
                {keyOf[certainty]}
              </span>
            </button>
          );
        })}
      </div>
      <div className="mt-2 flex min-h-11 flex-wrap items-center gap-4">
        {hasNext && (
          <button type="button" className="main-button" onClick={onNext}>
            Next look <span className="figure text-note">n</span>
          </button>
        )}
        {given && !isClosed && (
          <button
            type="button"
            className="quiet-button"
            onClick={() =>
              void dispatch(
                deleteRow({
                  ...{ kind: 'observations', row: given, label: `${feature.label}: not looked at` },
                }),
              )
            }
          >
            Take this answer back
          </button>
        )}
      </div>
    </section>
  );
}
