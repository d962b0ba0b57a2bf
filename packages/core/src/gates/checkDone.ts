import { checkWheels, refuseWheels } from '../fit/checkWheels.ts';
import { checkAxle, type AxleQuestion } from '../fit/checkAxle.ts';
import type { Refusal } from '../model/refusal.ts';
import type { Task, TaskMeasure } from '../model/task.ts';
import type { StripPass } from '../model/workshop.ts';
import type { Photo, Want } from '../model/workpiece.ts';
import { findMissingSides } from '../photo/findMissingSides.ts';
import { listNames } from '../words/names.ts';
import { listMissingCoats, type CoatEvidence } from './coatsOfTask.ts';
import { refuseShortAxle } from './refuseShortAxle.ts';

/** What there is of a specimen that can show that a step was done. */
export interface Evidence extends CoatEvidence {
  readonly wants: readonly Pick<Want, 'id' | 'specimenPartId' | 'what' | 'state' | 'origin'>[];
  readonly photos: readonly Pick<Photo, 'stage' | 'side'>[];
  readonly hasColour: boolean;
  readonly passes: readonly Pick<StripPass, 'taskId' | 'endedAt'>[];
  /** What an axle is measured against: how its ends will be formed, how many there are, and what lies in the drawers. */
  readonly axles: Omit<AxleQuestion, 'measures'>;
  /** Given with the act itself. */
  readonly measures: readonly TaskMeasure[];
}

/**
 * Why a step is not done yet although somebody says so: a coat that is not logged, an order that was not sent, a part without
 * its origin, a measure or photo that is missing. Whoever did it otherwise says how, and that goes into the record.
 */
export function checkDone(task: Task, evidence: Evidence): Refusal[] {
  switch (task.act) {
    case 'photograph':
      return refusePhotos(findMissingSides(evidence.photos, 'before'));
    case 'sign-off-photos':
      return refusePhotos(listUnmatchedSides(evidence.photos));
    case 'capture-colour':
      return evidence.hasColour
        ? []
        : [
            {
              code: 'no-colour',
              message: 'No colour of this model is kept yet, and once it is stripped there is none to keep.',
            },
          ];
    case 'order-wants':
      return refuseUnordered(evidence);
    case 'get':
      return refuseUnsolved(evidence.wants.find((want) => want.id === task.of.wantId));
    case 'axle-in-hand':
      return refuseAxles(evidence);
    case 'check':
      return refuseWheels(checkWheels(evidence.measures, null));
    default:
      return [...refuseSoaking(task, evidence.passes), ...refuseUncoated(task, evidence)];
  }
}

/** A part that is still in the bath is neither done nor left out. */
export const refuseSoaking = (task: Pick<Task, 'id' | 'title'>, passes: Evidence['passes']): Refusal[] =>
  passes.some((pass) => pass.taskId === task.id && pass.endedAt === null)
    ? [
        {
          code: 'soaking',
          message: `A pass of "${task.title}" is under way: take it out and say what came of it.`,
        },
      ]
    : [];

function refusePhotos(sides: readonly string[]): Refusal[] {
  return sides.length
    ? [{ code: 'no-photo', message: `Still to be photographed: ${listNames(sides)}. Add the pictures first.` }]
    : [];
}

/** The sides that were photographed before, so far as there is no picture of them after the work. */
function listUnmatchedSides(photos: Evidence['photos']): string[] {
  const sidesOf = (stage: Photo['stage']) =>
    new Set(photos.filter((photo) => photo.stage === stage).map(({ side }) => side));
  const after = sidesOf('after');
  const wanted = [...sidesOf('before')].filter((side) => side !== 'detail');
  if (wanted.length === 0) return after.size ? [] : ['one side at least'];
  return wanted.filter((side) => !after.has(side));
}

function refuseUnordered({ wants, parts, areas, layers }: Evidence): Refusal[] {
  const open = wants.filter((want) => want.state === 'open').map(({ what }) => what);
  // A decal that is planned and that nobody wrote down is not on order.
  const unwanted = layers.filter(({ areaId, stage, kind }) => {
    const partId = areas.find((area) => area.id === areaId)?.specimenPartId;
    const isHere = parts.some((part) => part.id === partId);
    return stage === 'planned' && kind === 'decal' && isHere && !wants.some((want) => want.specimenPartId === partId);
  });
  const missing = [...open, ...unwanted.map(({ name }) => name)];
  return missing.length
    ? [
        {
          code: 'not-ordered',
          message: `Not on order yet: ${listNames(missing)}. Each is a want that is ordered, solved or waived.`,
        },
      ]
    : [];
}

function refuseUnsolved(want: Evidence['wants'][number] | undefined): Refusal[] {
  if (!want || want.state === 'waived') return [];
  if (want.state !== 'solved')
    return [
      {
        code: 'want-open',
        message: `"${want.what}" is ${want.state}: mark the want solved when it lies on the bench.`,
      },
    ];
  return want.origin === null
    ? [{ code: 'no-origin', message: `Say where "${want.what}" came from: it goes into the record.` }]
    : [];
}

const AXLE_MEASURES: readonly TaskMeasure['what'][] = ['diameter', 'length', 'over the wheels'];

function refuseAxles({ measures, axles }: Pick<Evidence, 'measures' | 'axles'>): Refusal[] {
  const missing = AXLE_MEASURES.filter((what) => !measures.some((one) => one.what === what && one.valueMm > 0));
  const check = checkAxle({ measures, ...axles });
  if (check) return refuseShortAxle(check);
  return missing.length
    ? [{ code: 'no-measure', message: `Give the ${listNames(missing)} in mm.`, field: 'measures' }]
    : [];
}

function refuseUncoated(task: Task, evidence: Evidence): Refusal[] {
  const missing = listMissingCoats(task, evidence);
  if (missing.length === 0) return [];
  const names = listNames([...new Set(missing.map(({ kind, areaName }) => `${kind} on the ${areaName}`))]);
  return [{ code: 'no-coat', message: `Not logged yet: ${names}. Log the coat: that ends the step.` }];
}
