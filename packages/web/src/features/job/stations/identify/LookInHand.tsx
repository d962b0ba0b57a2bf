import { CERTAINTIES, type IdentifyFeature, type MeasuredState } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { Toggles } from '../../../../shared/ui/Toggles.tsx';
import { deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { ByMeasuring } from './ByMeasuring.tsx';
import { CERTAINTY_KEYS, SILENT, useAnswer } from './useAnswer.ts';
import { WhereToLook } from './WhereToLook.tsx';

interface LookInHandProps {
  readonly feature: IdentifyFeature;
  readonly measured: readonly MeasuredState[] | undefined;
  readonly hasNext: boolean;
  readonly onNext: () => void;
}

/** The look in hand: where and how, what can be seen there, and how sure the eye is. One press answers. */
export function LookInHand({ feature, measured, hasNext, onNext }: LookInHandProps) {
  const { specimen, isClosed } = useJob();
  const answer = useAnswer();
  const dispatch = useAppDispatch();
  const given = specimen.observations.find((one) => one.featureId === feature.id);
  // What was measured answers by itself; nobody said how sure the eye is.
  const isMeasuredOnly = given?.certainty === 'cannot see' && (given.captureIds.length > 0 || given.size !== null);
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
      <div className="mt-3 space-y-3">
        <Toggles
          aria-label={`${feature.label}: what do you see?`}
          isApart
          disabled={isClosed}
          value={given?.stateId ?? undefined}
          options={feature.states.map((state, i) => ({
            value: state.id,
            label: state.label,
            swatch: hexOf.get(state.id) ?? null,
            ...(i < 10 ? { note: String((i + 1) % 10) } : {}),
          }))}
          onChange={(stateId) => answer(feature, { stateId })}
        />
        <Toggles
          aria-label={`${feature.label}: how sure are you?`}
          disabled={isClosed}
          isWide
          size="px-1 flex-col-reverse gap-0!"
          value={isMeasuredOnly ? undefined : given?.certainty}
          options={CERTAINTIES.map((certainty) => ({
            value: certainty,
            label: certainty,
            note: keyOf[certainty] ?? '',
            isDisabled: !SILENT.includes(certainty) && certainty !== 'replaced' && !given?.stateId,
          }))}
          onChange={(certainty) => answer(feature, { certainty })}
        />
      </div>
      <ByMeasuring feature={feature} states={measured} />
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
