import { selectStandingWork } from '../facts/standingWork.ts';
import { NOTHING_DONE } from '../facts/selectPartDone.ts';
import { nameOfArea } from '../model/workpiece.ts';
import type { Job } from '../model/work.ts';
import type { StripPass } from '../model/workshop.ts';
import { createColourRecord, createMixRecord } from './createColourRecord.ts';
import { createDecalRecords } from './createDecalRecords.ts';
import { createModelRecord } from './createModelRecord.ts';
import { createUses } from './createUses.ts';
import { describeDisclosure } from './describeDisclosure.ts';
import type { JobRecord, RecordPass, RecordPhoto } from './jobRecord.ts';
import { listDecided } from './listDecided.ts';
import { describeEntry, listExceptions, listNotDone } from './listWork.ts';
import type { DisclosedPart, RecordInput, RecordSpecimen } from './recordInput.ts';
import { createRecordNames, type RecordNames } from './recordNames.ts';
import { sumHours } from './sumHours.ts';

/**
 * The record of a job as plain data: what was found, decided, done by whom and used, what is on it now, what was planned and not
 * done, and an honest disclosure. What it says was done follows from the log, never from the plan.
 */
export function createRecord(input: RecordInput): JobRecord {
  const names = createRecordNames(input);
  const standing = selectStandingWork(input.log);
  const modelOf = new Map(input.tasks.map((task) => [task.id, task.specimenId]));
  return {
    ...{ format: 'sardonyx-record', formatVersion: 6, job: describeJob(input.job) },
    disclosure: describeDisclosure(listDisclosed(input.specimens), input.log, input.job.signedOffAt !== null),
    models: input.specimens.map((model) =>
      createModelRecord(
        model,
        names,
        standing.filter(({ entry }) => modelOf.get(entry.taskId) === model.specimen.id),
      ),
    ),
    decisions: listDecided(input),
    colours: input.specimens.flatMap(({ captures }) => captures.map((capture) => createColourRecord(capture, names))),
    mixes: input.mixes.map((mix) => createMixRecord(mix, names)),
    work: input.log.map(describeEntry),
    notDone: listNotDone(input.tasks, names),
    exceptions: listExceptions(input.log),
    passes: input.passes.map((pass) => describePass(pass, input.baths, names)),
    clocks: input.timers.map(({ label, kind, startedAt, endsAt, acknowledgedAt, taskId }) => ({
      ...{ label, kind, startedAt, endsAt, acknowledgedAt, task: taskId && names.task(taskId) },
    })),
    decals: createDecalRecords(input),
    ...createUses(input, names),
    hours: sumHours(input.tasks, input.log),
    cost: input.cost,
    planChanges: input.planChanges.map(({ at, specimenId, because, added, dropped, keptAside }) => ({
      ...{ at, model: names.model(specimenId) ?? '', because, added, dropped, keptAside },
    })),
    photos: input.photos.map((photo) => describePhoto(photo, input.photoMeasures, names.model(photo.specimenId ?? ''))),
    signings: input.signings.map(({ id: _id, version: _version, jobId: _job, ...signing }) => signing),
  };
}

/** All parts as the disclosure asks for them. */
const listDisclosed = (models: readonly RecordSpecimen[]): DisclosedPart[] =>
  models.flatMap(({ specimen, parts, wants, areas, layers, facts }) =>
    parts.map((part) => ({
      part,
      of: models.length > 1 ? specimen.name : '',
      wants: wants.filter((want) => want.specimenPartId === part.id),
      done: facts.parts.find(({ key }) => key === part.key)?.done ?? NOTHING_DONE,
      layers: areas
        .filter((area) => area.specimenPartId === part.id)
        .flatMap((area) =>
          layers.filter(({ areaId }) => areaId === area.id).map((layer) => ({ ...layer, area: nameOfArea(area) })),
        ),
    })),
  );

function describePhoto(
  { id, stage, side, caption, hash, widthPx, heightPx, takenAt, control }: RecordInput['photos'][number],
  measures: RecordInput['photoMeasures'],
  model: string | null,
): RecordPhoto {
  return {
    ...{ stage, side, caption, sha256: hash, widthPx, heightPx, takenAt, control, model },
    measures: measures
      .filter(({ photoId }) => photoId === id)
      .map(({ id: _id, version: _version, photoId: _photoId, ...measure }) => measure),
  };
}

function describePass(
  { method, layers, who, startedAt, endedAt, result, size, ...of }: StripPass,
  baths: RecordInput['baths'],
  names: RecordNames,
): RecordPass {
  const bath = baths.find(({ id }) => id === of.bathId);
  return {
    ...{ part: names.part(of.specimenPartId), task: names.task(of.taskId) ?? '' },
    ...{ method, layers, who, startedAt, endedAt, result, size, bath: bath ? describeBath(bath) : null },
  };
}

const describeBath = ({
  id: _id,
  version: _version,
  vesselId: _vessel,
  ...bath
}: RecordInput['baths'][number]): RecordPass['bath'] => bath;

const describeJob = ({ id: _id, version: _version, ...job }: Job): JobRecord['job'] => job;
