import type { StandingWork } from '../facts/standingWork.ts';
import { describeVerdict } from '../identify/describeVerdict.ts';
import { identifySpecimen } from '../identify/identifySpecimen.ts';
import { selectAnswers, selectGiven, selectStatements } from '../identify/selectAnswers.ts';
import type { Source } from '../model/catalogue.ts';
import { createPartRecord } from './createPartRecord.ts';
import type { RecordJoint, RecordLook, RecordModel, RecordSource } from './modelRecord.ts';
import type { RecordSpecimen } from './recordInput.ts';
import type { RecordNames } from './recordNames.ts';

/** What is known of one model of the job. */
export function createModelRecord(
  model: RecordSpecimen,
  names: RecordNames,
  standing: readonly StandingWork[],
): RecordModel {
  const { specimen, casting, catalogue, sources, measurements, parts } = model;
  const variants = casting?.variants ?? [];
  return {
    ...{ name: specimen.name, note: specimen.note },
    casting: casting && {
      ...{ maker: casting.maker.name, range: casting.range.name },
      ...{ number: casting.casting.number, name: casting.casting.name },
    },
    verdict: describeVerdict(
      identifySpecimen(catalogue, selectAnswers(catalogue, selectGiven(model)), undefined, selectStatements(sources)),
      catalogue,
    ),
    settledIssue: variants.find(({ id }) => id === specimen.settledVariantId)?.name ?? null,
    settledBy: specimen.settledBy,
    looks: listLooks(model, names),
    measurements: measurements.map(({ what, valueMm, spreadMm }) => ({ what, valueMm, spreadMm })),
    sources: [
      ...sources.map((source) => describeSource(source, 'this model')),
      ...(casting?.sources ?? []).map((source) =>
        describeSource(source, variants.find(({ id }) => id === source.variantId)?.name ?? 'the casting'),
      ),
    ],
    joints: listJoints(model, names),
    parts: parts.map((part) => createPartRecord(part, model, names, standing)),
  };
}

function listLooks({ observations, catalogue: { features } }: RecordSpecimen, names: RecordNames): RecordLook[] {
  return observations.map(({ featureId, stateId, certainty, size, captureIds }) => {
    const feature = features.find(({ id }) => id === featureId);
    return {
      feature: feature?.label ?? featureId,
      seen: stateId && (feature?.states.find(({ id }) => id === stateId)?.label ?? stateId),
      ...{ certainty, size },
      byColours: captureIds.flatMap((id) => names.capture(id) ?? []),
    };
  });
}

const describeSource = ({ statement, fromYear, toYear, origin, certainty }: Source, about: string): RecordSource => ({
  about,
  statement,
  fromYear,
  toYear,
  origin,
  certainty,
});

function listJoints(model: RecordSpecimen, names: RecordNames): RecordJoint[] {
  const { specimen, casting, foundJoints, jointConditions, jointWishes } = model;
  const partNames = (keys: readonly string[]) => keys.map((key) => names.partOfKey(specimen.id, key));
  const known = (casting?.joints ?? []).map(({ key, label, kind, partKeys }) => ({
    key,
    label,
    kind,
    partKeys,
    isFound: false,
  }));
  const found = foundJoints.map(({ id, label, kind, partKeys }) => ({ key: id, label, kind, partKeys, isFound: true }));
  return [...known, ...found].map(({ key, label, kind, partKeys, isFound }) => {
    const condition = jointConditions.find(({ jointKey }) => jointKey === key);
    const wish = jointWishes.find(({ jointKey }) => jointKey === key);
    return {
      ...{ label, kind, parts: partNames(partKeys), isFound },
      ...{ condition: condition?.condition ?? null, conditionNote: condition?.note ?? '' },
      ...{ wish: wish?.wish ?? null, wishReason: wish?.reason ?? '' },
    };
  });
}
