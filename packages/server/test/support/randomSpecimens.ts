import { BLANK_AREA, BLANK_LAYER } from '../../src/modules/coats/blankRows.ts';
import type { JobView } from '@sardonyx/contract';
import {
  chooseOpening,
  createOpeningQuestion,
  createSeededRandom,
  createSpecimenFacts,
  FINDING_KINDS,
  JOINT_KINDS,
  MATERIALS,
  pickOne,
  SCHOOLS,
  type RandomSource,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { FoundJointRow } from '../../src/entities/opening.ts';
import { DecisionRow, JobRow } from '../../src/entities/work.ts';
import {
  AreaRow,
  CoatingLayerRow,
  FindingRow,
  SpecimenPartRow,
  SpecimenRow,
  WantRow,
} from '../../src/entities/workpiece.ts';
import { readJobView } from '../../src/modules/jobs/readJobView.ts';
import { PaintProductRow } from '../../src/entities/paint.ts';
import { readHouseRows } from '../../src/modules/tasks/readFacts.ts';
import { recompilePlan } from '../../src/modules/tasks/recompilePlan.ts';

const NOW = new Date('2026-11-25T18:30:00Z');
const ROLES = ['body', 'base', 'glazing', 'interior', 'trim', 'wheel', 'axle'] as const;

/**
 * A job with a random specimen, straight into the tables and compiled by the server; then what the page makes of the answer
 * it gets. null where they agree, else what differs. Rows are made here by a hand of its own, stranger than the demo's.
 */
export async function comparePageWithServer(manager: EntityManager, seed: number): Promise<string | null> {
  const random = createSeededRandom(seed);
  const id = `random-${seed}`;
  await insertJob(manager, id, random);
  await recompilePlan(manager, id, NOW);
  // As it comes over the wire.
  const view = JSON.parse(JSON.stringify(await readJobView(manager, id, NOW))) as JobView;
  const [specimen] = view.specimens;
  const page = chooseOpening(createOpeningQuestion(specimen!.facts));
  const say = (joints: readonly { readonly key: string; readonly way?: { readonly key: string } }[]) =>
    joints.map(({ key, way }) => `${key} ${way?.key ?? ''}`).join(', ');
  const [mine, theirs] = [say(page.opening), say(specimen!.opening.opening)];
  if (mine !== theirs) return `seed ${seed}: the page opens ${mine}, the server ${theirs}`;
  if (say(page.closed) !== say(specimen!.opening.closed)) return `seed ${seed}: other joints stay closed`;
  const shown = createSpecimenFacts(
    {
      ...specimen!,
      paints: await manager.find(PaintProductRow),
      joints: specimen!.casting?.joints ?? [],
      drawing: specimen!.casting?.casting.drawing ?? null,
      log: view.log,
      hasSecondWheels: specimen!.facts.hasSecondWheels,
    },
    await readHouseRows(manager),
    { scope: view.job.scope, target: view.job.target, decisions: view.decisions },
  );
  return JSON.stringify(shown) === JSON.stringify(specimen!.facts)
    ? null
    : `seed ${seed}: the rows that are shown say something else than the facts of the plan`;
}

async function insertJob(manager: EntityManager, id: string, random: RandomSource): Promise<void> {
  await manager.insert(JobRow, {
    ...{ id, version: 1, number: id, title: id, scope: random() < 0.1 ? 'clean only' : 'full', target: 'as issued' },
    ...{ why: '', station: 'identify', dueOn: null, intakeOn: '2026-11-01', signedOffAt: null, signedOffBy: null },
  });
  await manager.insert(SpecimenRow, {
    ...{ id: `${id}-1`, version: 1, castingId: null, jobId: id, name: id, note: '', isDonor: false },
    ...{ settledVariantId: null, settledBy: null },
  });
  for (const { key, options } of SCHOOLS.filter(() => random() < 0.3))
    await manager.insert(DecisionRow, {
      ...{ id: `${id}.${key}`, version: 1, jobId: id, school: key, option: pickOne(options, random), reason: 'so' },
    });
  const roles = ROLES.filter((role) => role === 'body' || role === 'base' || random() < 0.7);
  for (const role of roles) await insertPart(manager, `${id}-1`, role, random);
  for (let i = 0; i < Math.floor(random() * 5); i++)
    await manager.insert(FoundJointRow, {
      ...{ id: `${id}.joint-${i}`, version: 1, specimenId: `${id}-1`, kind: pickOne(JOINT_KINDS, random) },
      ...{ label: `joint ${i}`, partKeys: ['body', pickOne(roles.slice(1), random)] },
    });
}

async function insertPart(
  manager: EntityManager,
  specimenId: string,
  role: (typeof ROLES)[number],
  random: RandomSource,
): Promise<void> {
  const id = `${specimenId}.${role}`;
  await manager.insert(SpecimenPartRow, {
    ...{
      id,
      version: 1,
      specimenId,
      key: role,
      name: role,
      role,
      originNote: '',
      takenFromId: null,
      origin: 'unknown',
    },
    material: random() < 0.4 ? 'zinc alloy' : pickOne(MATERIALS, random),
    materialCertainty: pickOne(['sure', 'likely', 'unsure'] as const, random),
    state: pickOne(['sound', 'worn', 'damaged', 'missing'] as const, random),
  });
  const areaId = `${id}.outside`;
  await manager.insert(AreaRow, {
    ...{ id: areaId, version: 1, specimenPartId: id, kind: 'outside', name: 'outside' },
    ...BLANK_AREA,
    crossesSeam: random() < 0.2,
  });
  const stages = [
    ...(random() < 0.6 ? (['found', 'found'] as const) : []),
    ...(random() < 0.6 ? (['planned', 'planned'] as const) : []),
  ];
  for (const [seq, stage] of stages.entries())
    await manager.insert(CoatingLayerRow, {
      ...{
        id: `${areaId}.${seq}`,
        version: 1,
        areaId,
        stage,
        seq,
        whose: random() < 0.5 ? 'factory' : 'owner',
        thicknessUm: 20,
      },
      ...{ kind: pickOne(['primer', 'colour', 'colour', 'decal', 'clear'] as const, random), name: `layer ${seq}` },
      ...{ colourHex: pickOne(['#6a2330', '#222222'], random), thicknessOrigin: 'measured' },
      ...BLANK_LAYER,
    });
  for (const kind of FINDING_KINDS.filter(() => random() < 0.1))
    await manager.insert(FindingRow, {
      ...{ id: `${id}.${kind}`, version: 1, specimenPartId: id, kind, severity: 1 + Math.floor(random() * 3) },
      ...{ note: '', pinnedTo: null, pinX: null, pinY: null, measuredValue: null, measuredUnit: null },
    });
  if (random() < 0.2)
    await manager.insert(WantRow, {
      ...{ id: `${id}.want`, version: 1, specimenPartId: id, kind: 'part', what: role, bits: [] },
      ...{ state: pickOne(['open', 'ordered', 'waived'] as const, random), solution: '', origin: null, reason: 'so' },
      dueOn: null,
    });
}
