import type { Refusal } from '../model/refusal.ts';
import type { Task, TaskMeasure } from '../model/task.ts';
import type { StripPass } from '../model/workshop.ts';
import type { Area, CoatingLayer, Photo, SpecimenPart, Want } from '../model/workpiece.ts';
import { isStanding } from '../facts/selectPartDone.ts';
import { findMissingSides } from '../photo/findMissingSides.ts';
import { listNames } from '../words/names.ts';

/** What there is of a specimen that can show that a step was done. */
export interface Evidence {
  readonly parts: readonly Pick<SpecimenPart, 'id' | 'key' | 'name'>[];
  readonly areas: readonly Pick<Area, 'id' | 'specimenPartId' | 'kind' | 'name'>[];
  readonly layers: readonly Pick<
    CoatingLayer,
    'areaId' | 'stage' | 'kind' | 'name' | 'rejection' | 'removedAt' | 'seq'
  >[];
  readonly wants: readonly Pick<Want, 'id' | 'specimenPartId' | 'what' | 'state' | 'origin'>[];
  readonly photos: readonly Pick<Photo, 'stage' | 'side'>[];
  readonly hasColour: boolean;
  readonly passes: readonly Pick<StripPass, 'taskId' | 'endedAt'>[];
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
      return refuseUnmeasured(evidence.measures);
    default:
      return [
        ...(evidence.passes.some((pass) => pass.taskId === task.id && pass.endedAt === null)
          ? [
              {
                code: 'soaking' as const,
                message: `A pass of "${task.title}" is under way: take it out and say what came of it.`,
              },
            ]
          : []),
        ...refuseUncoated(task, evidence),
      ];
  }
}

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

const AXLE_MEASURES: readonly TaskMeasure['what'][] = ['diameter', 'length'];

function refuseUnmeasured(measures: readonly TaskMeasure[]): Refusal[] {
  const missing = AXLE_MEASURES.filter((what) => !measures.some((one) => one.what === what && one.valueMm > 0));
  return missing.length
    ? [{ code: 'no-measure', message: `Give the ${listNames(missing)} in mm.`, field: 'measures' }]
    : [];
}

/** The kinds of layer that a step of painting leaves on the part. */
const LEAVES: Partial<Record<Task['act'], readonly CoatingLayer['kind'][]>> = {
  prime: ['primer'],
  reprime: ['primer'],
  colour: ['colour', 'clear'],
  bright: ['brightwork'],
  chrome: ['brightwork'],
  gloss: ['clear'],
  powder: ['colour'],
  seal: ['clear'],
};

/** How many standing coats of its kinds a step must find: planned ones, and one more where it is put on over another. */
export interface WantedCoat {
  readonly areaId: string;
  readonly areaName: string;
  readonly kind: CoatingLayer['kind'];
  readonly count: number;
}

/** The coats that a step of painting leaves; empty for every other step. */
export function listCoatsOf(task: Pick<Task, 'act' | 'of' | 'partKeys'>, evidence: CoatEvidence): WantedCoat[] {
  const kinds = LEAVES[task.act];
  const part = evidence.parts.find((one) => one.key === task.partKeys[0]);
  if (!kinds || !part) return [];
  const areas = evidence.areas
    .filter((area) => area.specimenPartId === part.id)
    .map((area) => ({ ...area, areaName: area.name || area.kind }))
    .filter(({ areaName, kind }) => isMeant(task, areaName, kind));
  const plannedIn = areas.flatMap((area) =>
    kinds.flatMap((kind): WantedCoat[] => {
      const count = evidence.layers.filter(
        (layer) => layer.areaId === area.id && layer.stage === 'planned' && layer.kind === kind,
      ).length;
      return count ? [{ areaId: area.id, areaName: area.areaName, kind, count: countOver(task, count) }] : [];
    }),
  );
  if (plannedIn.length > 0 || areas.length === 0) return plannedIn;
  // Clear under or over a decal is in no plan of coats; it goes on the outside.
  const outside = areas.find((area) => area.kind === 'outside') ?? areas[0]!;
  const over = task.act === 'seal' ? 2 : 1;
  return [{ areaId: outside.id, areaName: outside.areaName, kind: kinds[0]!, count: over }];
}

export type CoatEvidence = Pick<Evidence, 'parts' | 'areas' | 'layers'>;

function isMeant({ act, of }: Pick<Task, 'act' | 'of'>, areaName: string, kind: Area['kind']): boolean {
  if (of.area !== undefined) return areaName === of.area;
  return act === 'powder' ? kind === 'outside' : kind !== 'mask' || act === 'prime' || act === 'reprime';
}

/** A part that is primed again has one primer more than planned. */
const countOver = ({ act }: Pick<Task, 'act'>, planned: number) => (act === 'reprime' ? planned + 1 : planned);

/** What of a step's coats is not on the part yet, in the order in which it goes on. */
export const listMissingCoats = (task: Pick<Task, 'act' | 'of' | 'partKeys'>, evidence: CoatEvidence): WantedCoat[] =>
  listCoatsOf(task, evidence).filter((coat) => countStanding(coat, evidence.layers) < coat.count);

function refuseUncoated(task: Task, evidence: Evidence): Refusal[] {
  const missing = listMissingCoats(task, evidence);
  if (missing.length === 0) return [];
  const names = listNames([...new Set(missing.map(({ kind, areaName }) => `${kind} on the ${areaName}`))]);
  return [{ code: 'no-coat', message: `Not logged yet: ${names}. Log the coat: that ends the step.` }];
}

const countStanding = ({ areaId, kind }: Pick<WantedCoat, 'areaId' | 'kind'>, layers: Evidence['layers']): number =>
  layers.filter((layer) => layer.areaId === areaId && layer.kind === kind && isStanding(layer)).length;
