import { listNotOn } from './listNotOn.ts';
import type { StandingWork } from '../facts/standingWork.ts';
import type { TaskAct } from '../model/taskActs.ts';
import { nameOfArea, type Area, type CoatingLayer, type SpecimenPart, type Want } from '../model/workpiece.ts';
import type { RecordCoat, RecordMending, RecordPart, RecordWant } from './modelRecord.ts';
import type { RecordSpecimen } from './recordInput.ts';
import type { RecordNames } from './recordNames.ts';

const MENDS: ReadonlySet<TaskAct> = new Set<TaskAct>(['hold-crack', 'straighten', 'mend', 'refill', 'recover-post']);

/** One part: what it is, what was found on it, what was wanted for it, and what lies on it. */
export function createPartRecord(
  part: SpecimenPart,
  model: RecordSpecimen,
  names: RecordNames,
  standing: readonly StandingWork[],
): RecordPart {
  const own = <T extends { readonly specimenPartId: string }>(rows: readonly T[]) =>
    rows.filter(({ specimenPartId }) => specimenPartId === part.id);
  const areas = own(model.areas);
  const coats = (of: (area: Area) => readonly CoatingLayer[]) =>
    areas.flatMap((area) => of(area).map((layer) => describeCoat(layer, nameOfArea(area), model, names)));
  const layersOf = (area: Area, stage: CoatingLayer['stage']) =>
    model.layers.filter((layer) => layer.areaId === area.id && layer.stage === stage);
  const { name, role, material, materialCertainty, state, origin, originNote, isKept } = part;
  return {
    ...{ name, role, material, materialCertainty, state, origin, originNote, isKept },
    takenFrom: names.other(part.takenFromId),
    stripped: model.facts.parts.find(({ key }) => key === part.key)?.done.stripped ?? null,
    mended: standing.filter(({ work }) => MENDS.has(work.act) && work.partKeys.includes(part.key)).map(describeMending),
    findings: own(model.findings).map(({ id: _id, version: _version, specimenPartId: _part, ...finding }) => finding),
    wants: own(model.wants).map((want) => describeWant(want, names)),
    cameOff: own(model.comingsOff).map(({ fromSide, note, photoId }) => ({
      ...{ fromSide, note, photo: names.photo(photoId) },
    })),
    areas: areas.map(({ kind, name: called, crossesSeam, reliefUm, size, outline }) => ({
      ...{ kind, name: called, crossesSeam, reliefUm, size, outline },
    })),
    coatsFound: coats((area) => layersOf(area, 'found')),
    coatsNotOn: coats((area) => listNotOn(model.layers.filter(({ areaId }) => areaId === area.id))),
    coatsApplied: coats((area) => layersOf(area, 'applied')),
  };
}

function describeCoat(
  { id, version: _version, areaId: _area, stage: _stage, seq: _seq, productId, ...layer }: CoatingLayer,
  area: string,
  { touches }: RecordSpecimen,
  names: RecordNames,
): RecordCoat {
  return {
    ...{ area, product: names.other(productId) },
    ...layer,
    touches: touches
      .filter(({ layerId }) => layerId === id)
      .map(({ test, isReady, at, who }) => ({ test, isReady, at, who })),
  };
}

function describeWant(want: Want, names: RecordNames): RecordWant {
  const { kind, feature, what, getBy, state, solution, origin, reason, dueOn, price, taken } = want;
  return {
    ...{ kind, feature, what, getBy, state, solution, origin, reason, dueOn, price },
    bits: want.bits.map(({ id: _id, thingId, ...bit }) => ({ ...bit, thing: names.other(thingId) })),
    taken: taken && { thing: names.other(taken.thingId) ?? '', amount: taken.amount },
  };
}

const describeMending = ({ entry, work }: StandingWork): RecordMending => ({
  ...{ task: work.title, by: work.method ?? '', who: entry.who, at: entry.at, note: entry.note },
});
