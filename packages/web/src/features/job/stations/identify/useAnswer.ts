import type { Certainty, IdentifyFeature } from '@sardonyx/core';
import { changeRow, createRow } from '../../../../shared/edits/editRow.ts';
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
}

/** Saves what was seen of a feature. A state alone is taken as sure; a certainty alone keeps the state. */
export function useAnswer(): (feature: IdentifyFeature, change: AnswerChange) => void {
  const { specimen } = useJob();
  const dispatch = useAppDispatch();
  return (feature, { stateId, certainty }) => {
    const before = specimen.observations.find((one) => one.featureId === feature.id);
    const isSilent = certainty !== undefined && SILENT.includes(certainty);
    const changes = {
      stateId: isSilent ? null : (stateId ?? before?.stateId ?? null),
      certainty: certainty ?? (before && !SILENT.includes(before.certainty) ? before.certainty : 'sure'),
    };
    // "Likely" of nothing says nothing.
    if (changes.stateId === null && !isSilent && changes.certainty !== 'replaced') return;
    const seen = feature.states.find((state) => state.id === changes.stateId)?.label;
    const label = `${feature.label}: ${seen ?? changes.certainty}`;
    if (before) void dispatch(changeRow({ kind: 'observations', row: before, changes, label }));
    else
      void dispatch(
        createRow({
          kind: 'observations',
          body: { specimenId: specimen.specimen.id, featureId: feature.id, ...changes },
          label,
        }),
      );
  };
}
