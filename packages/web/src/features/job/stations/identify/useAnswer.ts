import type { Certainty, IdentifyFeature, MeasuredSize, Observation } from '@sardonyx/core';
import { changeRow, createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

/** Certainties that name no state. */
export const SILENT: readonly Certainty[] = ['cannot see', 'missing'];

export const CERTAINTY_KEYS: Readonly<Record<string, Certainty>> = {
  s: 'sure',
  l: 'likely',
  u: 'unsure',
  c: 'cannot see',
  r: 'replaced',
  m: 'missing',
};

interface AnswerChange {
  readonly stateId?: string;
  readonly certainty?: Certainty;
  readonly captureIds?: readonly string[];
  readonly size?: MeasuredSize | null;
}

/**
 * Saves what was seen of a feature. A state alone is taken as sure; a certainty alone keeps the state; what was measured alone
 * says that the eye has not judged.
 */
export function useAnswer(): (feature: IdentifyFeature, change: AnswerChange) => void {
  const { specimen } = useJob();
  const dispatch = useAppDispatch();
  return (feature, change) => {
    const before = specimen.observations.find((one) => one.featureId === feature.id);
    const isByMeasuring = change.captureIds !== undefined || change.size !== undefined;
    const changes = isByMeasuring ? answerByMeasuring(change, before) : answerByEye(change, before);
    if (!changes) return;
    if (before && isByMeasuring && saysNothing({ ...before, ...changes })) {
      void dispatch(deleteRow({ kind: 'observations', row: before, label: `${feature.label}: not looked at` }));
      return;
    }
    const seen = feature.states.find((state) => state.id === changes.stateId)?.label;
    const label = `${feature.label}: ${isByMeasuring ? 'measured' : (seen ?? changes.certainty)}`;
    const body = { specimenId: specimen.specimen.id, featureId: feature.id, ...changes };
    if (before) void dispatch(changeRow({ kind: 'observations', row: before, changes, label }));
    else void dispatch(createRow({ kind: 'observations', body, label }));
  };
}

/** Only measuring answered, and that was taken back. */
const saysNothing = ({ stateId, certainty, captureIds, size }: Observation): boolean =>
  stateId === null && certainty === 'cannot see' && captureIds.length === 0 && size === null;

/** null for "likely" of nothing, which says nothing. */
function answerByEye({ stateId, certainty }: AnswerChange, before: Observation | undefined) {
  const isSilent = certainty !== undefined && SILENT.includes(certainty);
  const changes = {
    stateId: isSilent ? null : (stateId ?? before?.stateId ?? null),
    certainty: certainty ?? (before && !SILENT.includes(before.certainty) ? before.certainty : ('sure' as const)),
  };
  return changes.stateId === null && !isSilent && changes.certainty !== 'replaced' ? null : changes;
}

/** What the eye said stands beside it. */
const answerByMeasuring = ({ captureIds, size }: AnswerChange, before: Observation | undefined) => ({
  stateId: before?.stateId ?? null,
  certainty: before?.certainty ?? ('cannot see' as const),
  ...(captureIds ? { captureIds } : {}),
  ...(size === undefined ? {} : { size }),
});
