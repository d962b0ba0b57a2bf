import {
  beginBits,
  convertProductToLayer,
  createLoggedWork,
  listMissingCoats,
  selectPlannedOf,
  STATIONS,
  type CoatingLayer,
  nameOfArea,
  type Area,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingRow } from '../entities/catalogue.ts';
import { PaintProductRow } from '../entities/paint.ts';
import { DecisionRow, JobRow, TaskRow } from '../entities/work.ts';
import { appendToLog } from '../modules/tasks/writeLog.ts';
import {
  AreaRow,
  CoatingLayerRow,
  FindingRow,
  ObservationRow,
  SpecimenPartRow,
  SpecimenRow,
  WantRow,
} from '../entities/workpiece.ts';
import { BLANK_AREA, BLANK_LAYER } from '../modules/coats/blankRows.ts';
import { takeForLayer } from '../modules/coats/takeForLayer.ts';
import { fitOutSpecimen } from '../modules/jobs/fitOutSpecimen.ts';
import { wantPart } from '../modules/jobs/wantWhatIsGone.ts';
import { readEvidence } from '../modules/tasks/readEvidence.ts';
import { recompilePlan } from '../modules/tasks/recompilePlan.ts';
import { seedColourPhoto } from './colourPhoto.ts';
import { seedPhotos } from './seedPhotos.ts';
import type { CoatNote, JobNote, SpecimenNote } from './jobNotes.ts';

const DAY_MS = 86_400_000;
const SIGNED_DAYS_AGO = 5;
const MASKS = new Set(['outside', 'inside', 'underside']);

/** One job of the demo in the stage its note asks for: rows, plan, what is done of it, coats and photographs. */
export async function seedJob(manager: EntityManager, folder: string, note: JobNote, now: Date): Promise<void> {
  const id = note.number.toLowerCase();
  const day = (offset: number) => new Date(now.getTime() + offset * DAY_MS);
  const intake = day(-note.cameInDaysAgo);
  await manager.insert(JobRow, {
    id,
    version: 1,
    number: note.number,
    title: note.title,
    scope: note.scope,
    target: 'as issued',
    why: note.why,
    station: 'identify',
    dueOn: note.dueInDays === null ? null : dateOf(day(note.dueInDays)),
    intakeOn: dateOf(intake),
    signedOffAt: null,
    signedOffBy: null,
  });
  for (const [school, option, reason] of note.decisions ?? []) {
    await manager.insert(DecisionRow, { id: `${id}.${school}`, version: 1, jobId: id, school, option, reason });
  }
  for (const specimen of note.specimens) await seedSpecimen(manager, id, specimen, day);
  if (note.photographed) await seedPhotos(manager, folder, id, note, 'before', intake);
  if (note.colourPhoto) await seedColourPhoto(manager, folder, id, note, intake);
  await recompilePlan(manager, id, intake);
  for (const specimen of note.specimens) await workThrough(manager, specimen, id, intake, now);
  // What was done are facts that the rest of the plan follows from.
  await recompilePlan(manager, id, now);
  await settleStation(manager, id, note, now);
  if (note.signedOff) await seedPhotos(manager, folder, id, note, 'after', day(-SIGNED_DAYS_AGO));
}

async function seedSpecimen(
  manager: EntityManager,
  jobId: string,
  note: SpecimenNote,
  day: (offset: number) => Date,
): Promise<void> {
  const specimen = manager.create(SpecimenRow, {
    id: note.id,
    version: 1,
    castingId: note.castingId,
    jobId,
    name: note.name,
    note: note.note ?? '',
    isDonor: false,
    settledVariantId: null,
    settledBy: null,
  });
  await manager.insert(SpecimenRow, specimen);
  await fitOutSpecimen(manager, specimen);
  const partId = (key: string) => `${note.id}.${key}`;
  for (const [key, { state = 'sound', material, origin = 'unknown', note: originNote = '' }] of Object.entries(
    note.partStates ?? {},
  )) {
    await manager.update(
      SpecimenPartRow,
      { id: partId(key) },
      { state, origin, originNote, ...(material ? { material } : {}) },
    );
  }
  const casting = await manager.findOneByOrFail(CastingRow, { id: note.castingId });
  for (const [feature, state, certainty = 'sure'] of note.looks ?? []) {
    const featureId = `${casting.rangeId}.${feature}`;
    await manager.insert(ObservationRow, {
      id: `${note.id}.${feature}`,
      version: 1,
      specimenId: note.id,
      featureId,
      stateId: state && `${featureId}.${state}`,
      certainty,
    });
  }
  for (const [i, [part, kind, severity, text]] of (note.findings ?? []).entries()) {
    await manager.insert(FindingRow, {
      id: `${note.id}.finding-${i + 1}`,
      version: 1,
      specimenPartId: partId(part),
      kind,
      severity,
      note: text,
      ...{ feature: '', carriesLoad: null, mend: null },
      ...{ pinnedTo: null, pinX: null, pinY: null, measuredValue: null, measuredUnit: null },
    });
  }
  for (const [i, want] of (note.wants ?? []).entries()) {
    const [part, what, state, text, dependentBits = '', dueInDays, kind = 'part', origin = null] = want;
    await manager.insert(WantRow, {
      id: `${note.id}.want-${i + 1}`,
      version: 1,
      specimenPartId: partId(part),
      ...{ kind, feature: '', what, state, origin, getBy: null, price: null, taken: null },
      bits: beginBits(dependentBits),
      solution: state === 'waived' ? '' : text,
      reason: state === 'waived' ? text : '',
      dueOn: dueInDays === undefined || dueInDays === null ? null : dateOf(day(dueInDays)),
    });
  }
  for (const part of await manager.findBy(SpecimenPartRow, { specimenId: note.id, state: 'missing' }))
    if (!(await manager.existsBy(WantRow, { specimenPartId: part.id })))
      await wantPart(manager, part, `${part.id}.want`);
  for (const coat of note.coats ?? []) await seedCoats(manager, note.id, coat);
}

function outlineOf({ outline }: CoatNote): Area['outline'] {
  if (!outline) return null;
  const [x, y, width, height] = outline as [number, number, number, number];
  const corners = [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ] as const;
  return { view: 'side', points: corners.map(([across, down]) => ({ x: across, y: down })) };
}

async function seedCoats(manager: EntityManager, specimenId: string, note: CoatNote): Promise<void> {
  const specimenPartId = `${specimenId}.${note.part}`;
  const name = note.area;
  const existing = await manager.findOneBy(AreaRow, { specimenPartId, name });
  const areaId = existing?.id ?? `${specimenPartId}.${name}`;
  if (!existing)
    await manager.insert(AreaRow, {
      id: areaId,
      version: 1,
      specimenPartId,
      kind: MASKS.has(name) ? (name as 'outside') : 'mask',
      name,
      ...BLANK_AREA,
      ...{ crossesSeam: note.crossesSeam ?? false, reliefUm: note.reliefUm ?? null, outline: outlineOf(note) },
    });
  else if (note.crossesSeam) await manager.update(AreaRow, { id: areaId }, { crossesSeam: true });
  for (const [seq, [kind, layerName, colourHex, thicknessUm, whose = 'unknown']] of (note.found ?? []).entries()) {
    await insertLayer(manager, areaId, 'found', seq, {
      kind,
      name: layerName,
      colourHex,
      thicknessUm,
      whose,
      thicknessOrigin: 'planning estimate',
    });
  }
  for (const [seq, planned] of (note.planned ?? []).entries()) {
    if (typeof planned !== 'string') {
      const [kind, layerName, colourHex] = planned;
      await insertLayer(manager, areaId, 'planned', seq, {
        kind,
        name: layerName,
        colourHex,
        thicknessUm: 18,
        thicknessOrigin: 'planning estimate',
      });
      continue;
    }
    await insertLayer(manager, areaId, 'planned', seq, await layerFromPot(manager, planned));
  }
}

async function layerFromPot(manager: EntityManager, productId: string) {
  const product = await manager.findOneByOrFail(PaintProductRow, { id: productId });
  return convertProductToLayer(product);
}

function insertLayer(
  manager: EntityManager,
  areaId: string,
  stage: CoatingLayer['stage'],
  seq: number,
  layer: Partial<CoatingLayer>,
) {
  return manager.insert(CoatingLayerRow, {
    id: `${areaId}.${stage}-${seq}`,
    version: 1,
    areaId,
    stage,
    seq,
    whose: stage === 'found' ? 'unknown' : 'restorer',
    ...BLANK_LAYER,
    ...layer,
  });
}

/** Where the demo shows no picture or reading, its restorers say what they did instead. */
const DONE_OTHERWISE: Partial<Record<TaskRow['act'], string>> = {
  photograph: 'Four sides: nothing is painted on the rear or the top that the others do not show.',
  'capture-colour': 'Flakes from under the base in a labelled bag, not measured.',
};

const CLEAR_POT = 'paint-lanthorn-clear-gloss';

const AXLE_MEASURES = [
  { what: 'length', valueMm: 31.2 },
  { what: 'diameter', valueMm: 1.6 },
  { what: 'over the wheels', valueMm: 27.2 },
] as const;

/** Does the tasks of the stations before, and `further` of the one it stands at, in plan order; each goes into the log. */
async function workThrough(
  manager: EntityManager,
  note: SpecimenNote,
  jobId: string,
  intake: Date,
  now: Date,
): Promise<void> {
  const tasks = await manager.find(TaskRow, { where: { specimenId: note.id }, order: { seq: 'ASC' } });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: note.id });
  const target = STATIONS.indexOf(note.station);
  const isSolved = async ({ act, of }: TaskRow) =>
    act !== 'get' || (await manager.findOneByOrFail(WantRow, { id: of.wantId! })).state === 'solved';
  let further = note.station === 'sign-off' ? Infinity : (note.further ?? 0);
  const chosen: TaskRow[] = [];
  for (const task of tasks) {
    if (note.minutesAgo?.[task.key] !== undefined) {
      chosen.push(task);
      continue;
    }
    const rank = STATIONS.indexOf(task.station);
    const isReady = task.after.every((link) => chosen.some((done) => done.key === link.key));
    if (rank > target || !isReady || !(await isSolved(task))) continue;
    if (rank === target && further-- <= 0) continue;
    chosen.push(task);
  }
  const span = now.getTime() - intake.getTime() - DAY_MS / 2;
  const timed = chosen.map((task, i) => {
    const ago = note.minutesAgo?.[task.key];
    const evenly = intake.getTime() + (span * (i + 1)) / (chosen.length + 1);
    return { task, at: new Date(ago === undefined ? evenly : now.getTime() - ago * 60_000).toISOString() };
  });
  for (const { task, at } of timed.sort((a, b) => a.at.localeCompare(b.at))) {
    const who = task.tags.includes('paint') ? 'Imke Varga' : 'Osric Bell';
    await manager.update(TaskRow, { id: task.id }, { state: 'done', doneAt: at });
    const coats = await applyPlanned(manager, task, at, who);
    const otherwise = DONE_OTHERWISE[task.act];
    const measures = task.act === 'axle-in-hand' ? AXLE_MEASURES : [];
    await appendToLog(manager, {
      ...{ id: `${task.id}.log`, taskId: task.id, jobId, who, at },
      ...{ act: otherwise ? 'done otherwise' : 'done', note: otherwise ?? '' },
      work: createLoggedWork(task, { parts, coats, measures }),
    });
  }
}

/** A painting task that is done has left its coats on the part, a decal itself. Returns their names. */
async function applyPlanned(manager: EntityManager, task: TaskRow, at: string, who: string): Promise<string[]> {
  const names: string[] = [];
  if (task.act === 'decal') names.push(...(await applyDecals(manager, task, at, who)));
  for (;;) {
    const evidence = await readEvidence(manager, task);
    const [missing] = listMissingCoats(task, evidence);
    if (!missing) return names;
    const layer = selectPlannedOf(task, missing, evidence.layers);
    // Clear under or over a decal is in no plan of coats.
    const pot = layer ? layer.productId : CLEAR_POT;
    const product = pot === null ? null : await manager.findOneByOrFail(PaintProductRow, { id: pot });
    const left = product ? convertProductToLayer(product, missing.isMist) : layer!;
    const seq = await manager.countBy(CoatingLayerRow, { areaId: missing.areaId, stage: 'applied' });
    await insertLayer(manager, missing.areaId, 'applied', seq, {
      ...left,
      ...{ id: `${missing.areaId}.applied-${seq}`, stage: 'applied', seq, isMist: missing.isMist },
      ...{ tempC: 19, appliedAt: at, appliedBy: who },
    });
    if (product) await takeAsReckoned(manager, `${missing.areaId}.applied-${seq}`, task, product, at);
    if (!names.includes(left.name)) names.push(left.name);
  }
}

/** Nobody wrote down what was poured: as is reckoned. */
async function takeAsReckoned(
  manager: EntityManager,
  layerId: string,
  { id: taskId, specimenId }: TaskRow,
  product: PaintProductRow,
  at: string,
): Promise<void> {
  const layer = await manager.findOneByOrFail(CoatingLayerRow, { id: layerId });
  const area = await manager.findOneByOrFail(AreaRow, { id: layer.areaId });
  const part = await manager.findOneByOrFail(SpecimenPartRow, { id: area.specimenPartId });
  const specimen = await manager.findOneByOrFail(SpecimenRow, { id: specimenId });
  await takeForLayer(manager, layer, { area, part, specimen, product, ml: null, taskId }, new Date(at));
}

async function applyDecals(manager: EntityManager, task: TaskRow, at: string, who: string): Promise<string[]> {
  const areas = await manager.findBy(AreaRow, { specimenPartId: `${task.specimenId}.${task.partKeys[0]}` });
  const area = areas.find((one) => nameOfArea(one) === task.of.area);
  if (!area) return [];
  const seq = await manager.countBy(CoatingLayerRow, { areaId: area.id, stage: 'applied' });
  const decals = await manager.find(CoatingLayerRow, {
    where: { areaId: area.id, stage: 'planned', kind: 'decal' },
    order: { seq: 'ASC' },
  });
  const decal = decals[(task.of.nth ?? 1) - 1];
  if (!decal) return [];
  await insertLayer(manager, area.id, 'applied', seq, {
    ...decal,
    ...{ id: `${area.id}.applied-${seq}`, stage: 'applied', seq, tempC: 19, appliedAt: at, appliedBy: who },
  });
  return [decal.name];
}

async function settleStation(manager: EntityManager, jobId: string, note: JobNote, now: Date): Promise<void> {
  const ranks = note.specimens.map((specimen) => STATIONS.indexOf(specimen.station));
  const station = STATIONS[Math.min(...ranks)]!;
  // Signed before the house is filled: a closed job wants nothing. Its record is kept when all is there (signJob).
  const signed = note.signedOff
    ? { signedOffAt: new Date(now.getTime() - SIGNED_DAYS_AGO * DAY_MS).toISOString(), signedOffBy: note.signedOff }
    : {};
  await manager.update(JobRow, { id: jobId }, { station, ...signed });
}

const dateOf = (date: Date) => date.toISOString().slice(0, 10);
