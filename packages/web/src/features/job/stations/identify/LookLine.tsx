import { CERTAINTIES, type Certainty, type IdentifyFeature } from '@sardonyx/core';
import { changeRow, createRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

interface LookLineProps {
  readonly feature: IdentifyFeature;
  readonly number: number;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

const SILENT: readonly Certainty[] = ['cannot see', 'missing'];

/** One thing to look at: where and how, what can be seen there, and how sure the eye is. One press answers. */
export function LookLine({ feature, number, isChosen, onChoose }: LookLineProps) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const answer = specimen.observations.find((one) => one.featureId === feature.id);
  const seen = feature.states.find((state) => state.id === answer?.stateId);
  const hexOf = new Map(specimen.casting?.states.map((state) => [state.id, state.colourHex]));
  const save = (changes: { stateId?: string | null; certainty?: Certainty }) => {
    const label = `${feature.label}: ${feature.states.find((state) => state.id === (changes.stateId ?? answer?.stateId))?.label ?? changes.certainty ?? ''}`;
    if (answer) void dispatch(changeRow({ kind: 'observations', row: answer, changes, label }));
    else
      void dispatch(
        createRow({
          kind: 'observations',
          body: {
            specimenId: specimen.specimen.id,
            featureId: feature.id,
            stateId: null,
            certainty: 'sure',
            ...changes,
          },
          label,
        }),
      );
  };
  return (
    <li
      className={`border-b border-hairline last:border-b-0 ${isChosen ? 'border-l-4 border-l-sard' : 'border-l-4 border-l-transparent'}`}
    >
      <button
        type="button"
        aria-expanded={isChosen}
        className="flex min-h-11 w-full items-center gap-3 px-3 text-left"
        onClick={onChoose}
      >
        <span
          className={`figure inline-grid size-7 shrink-0 place-items-center border border-ink ${answer ? 'bg-ink text-sheet' : ''}`}
        >
          {number}
        </span>
        <span className="font-semibold">{feature.label}</span>
        <span className="ml-auto text-soft-ink">
          {answer ? `${seen ? seen.label : ''}${seen ? ', ' : ''}${answer.certainty}` : describeEffort(feature.effort)}
        </span>
      </button>
      {isChosen && (
        <div className="space-y-3 px-3 pb-3">
          <p className="text-soft-ink">{feature.howToLook}</p>
          <div role="group" aria-label={`${feature.label}: what do you see?`} className="flex flex-wrap gap-2">
            {feature.states.map((state) => (
              <button
                key={state.id}
                type="button"
                disabled={isClosed}
                aria-pressed={answer?.stateId === state.id}
                className={`plain-button ${answer?.stateId === state.id ? 'border-2 border-ink font-bold' : ''}`}
                onClick={() =>
                  save({
                    stateId: state.id,
                    ...(answer && SILENT.includes(answer.certainty) ? { certainty: 'sure' } : {}),
                  })
                }
              >
                {hexOf.get(state.id) && (
                  <span aria-hidden className="size-4 border border-ink" style={{ background: hexOf.get(state.id)! }} />
                )}
                {state.label}
              </button>
            ))}
          </div>
          <div
            role="group"
            aria-label={`${feature.label}: how sure are you?`}
            className="flex flex-wrap gap-x-3 gap-y-1"
          >
            {CERTAINTIES.map((certainty) => (
              <button
                key={certainty}
                type="button"
                disabled={isClosed || (!answer?.stateId && !SILENT.includes(certainty))}
                aria-pressed={answer?.certainty === certainty}
                className={`quiet-button disabled:no-underline disabled:opacity-60 ${answer?.certainty === certainty ? 'font-bold text-ink' : ''}`}
                onClick={() => save(SILENT.includes(certainty) ? { stateId: null, certainty } : { certainty })}
              >
                {certainty}
              </button>
            ))}
          </div>
        </div>
      )}
    </li>
  );
}

function describeEffort(effort: number): string {
  if (effort <= 1) return 'a glance';
  if (effort <= 2) return 'a magnifier';
  return effort <= 4 ? 'a torch, some patience' : 'needs opening';
}
