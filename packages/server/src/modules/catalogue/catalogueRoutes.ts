import { randomUUID } from 'node:crypto';
import type { CatalogueView } from '@sardonyx/contract';
import { CreateCasting } from '@sardonyx/contract';
import { createBodyTypeDrawing, type JointKind, type JointWay } from '@sardonyx/core';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow, JointRow, MakerRow, ToyRangeRow, VariantRow } from '../../entities/catalogue.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { badInput } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { readCastingView } from './readCastingView.ts';

export function createCatalogueRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/castings', async (_request, response) => {
    response.json(await look(room, readCatalogue));
  });
  router.get('/castings/:id', async (request, response) => {
    response.json(await look(room, (manager) => readCastingView(manager, request.params.id)));
  });
  router.post('/castings', async (request, response) => {
    const body = await validateBody(CreateCasting, request.body);
    const casting = await change(room, (manager) => addCasting(manager, body));
    response.status(201).json(casting);
  });
  return router;
}

async function readCatalogue(manager: EntityManager): Promise<CatalogueView> {
  const makers = new Map((await manager.find(MakerRow)).map((maker) => [maker.id, maker]));
  const ranges = await manager.find(ToyRangeRow, { order: { name: 'ASC' } });
  const castings = await manager.find(CastingRow);
  const variants = await manager.find(VariantRow);
  const specimens = await manager.find(SpecimenRow);
  return {
    ranges: ranges.map((range) => ({ ...range, makerName: makers.get(range.makerId)?.name ?? '' })),
    castings: castings
      .map((casting) => {
        const range = ranges.find((candidate) => candidate.id === casting.rangeId)!;
        const own = variants.filter((variant) => variant.castingId === casting.id);
        const { id, number, name, bodyType, lengthMm, wheelbaseMm, drawing } = casting;
        return {
          id,
          number,
          name,
          bodyType,
          lengthMm,
          wheelbaseMm,
          drawing,
          rangeName: range.name,
          makerName: makers.get(range.makerId)?.name ?? '',
          fromYear: own.length ? Math.floor(Math.min(...own.map((variant) => variant.startEarliest))) : null,
          toYear: own.length ? Math.floor(Math.max(...own.map((variant) => variant.endLatest))) : null,
          variantCount: own.length,
          onShelf: specimens.filter((specimen) => specimen.castingId === id).length,
        };
      })
      .sort(
        (a, b) => a.makerName.localeCompare(b.makerName) || a.number.localeCompare(b.number, 'en', { numeric: true }),
      ),
  };
}

async function addCasting(manager: EntityManager, body: CreateCasting): Promise<CastingRow> {
  if (!(await manager.existsBy(ToyRangeRow, { id: body.rangeId }))) await addOwnRange(manager, body.rangeId);
  const keys = new Set(body.parts.map((part) => part.key));
  if (keys.size < body.parts.length)
    throw badInput('Not saved: two parts have the same key.', { parts: 'Each part needs its own key.' });
  body.joints.forEach((joint, i) => {
    const unknown = joint.partKeys.find((key) => !keys.has(key));
    if (unknown)
      throw badInput(`Not saved: the joint "${joint.label}" names a part "${unknown}" that is not on the list.`, {
        [`joints.${i}.partKeys`]: 'Choose parts of this casting.',
      });
  });
  if (await manager.existsBy(CastingRow, { rangeId: body.rangeId, number: body.number }))
    throw badInput(`Not saved: number ${body.number} is in this range already.`, { number: 'This number is taken.' });
  const { rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction } = body;
  const drawing = createBodyTypeDrawing(bodyType, lengthMm, wheelbaseMm);
  const casting = manager.create(CastingRow, {
    id: randomUUID(),
    version: 1,
    rangeId,
    number,
    name,
    bodyType,
    lengthMm,
    wheelbaseMm,
    construction,
    drawing,
  });
  await manager.insert(CastingRow, casting);
  for (const part of body.parts) {
    await manager.insert(CastingPartRow, {
      ...part,
      id: `${casting.id}.${part.key}`,
      version: 1,
      castingId: casting.id,
      dependentBits: '',
    });
  }
  for (const [i, joint] of body.joints.entries()) {
    const key = `joint-${i + 1}`;
    await manager.insert(JointRow, {
      ...joint,
      id: `${casting.id}.${key}`,
      key,
      version: 1,
      castingId: casting.id,
      ways: [USUAL_WAYS[joint.kind]],
    });
  }
  return casting;
}

/** A bench without a catalogue begins one of its own. */
async function addOwnRange(manager: EntityManager, rangeId: string): Promise<void> {
  if (rangeId !== 'own')
    throw badInput('This range is not in the catalogue.', { rangeId: 'Choose one from the list.' });
  await manager.insert(MakerRow, {
    id: 'own',
    version: 1,
    name: 'Not sorted by maker',
    fromYear: null,
    toYear: null,
    about: '',
  });
  await manager.insert(ToyRangeRow, { id: 'own', version: 1, makerId: 'own', name: 'My own castings', about: '' });
}

const usual = (label: string, tool: JointWay['tool'], minutes: number, risk: number, destroys = ''): JointWay => ({
  key: 'usual',
  label,
  tool,
  minutes,
  risk,
  destroys,
  behindJoints: [],
});

/** How such a joint is usually opened; minutes and risk are planning estimates. */
const USUAL_WAYS: Readonly<Record<JointKind, JointWay>> = {
  'rivet post': usual('Drill the head off', 'drill', 10, 0.05, 'the rivet head'),
  screw: usual('Undo the screw', 'hand', 2, 0.01),
  'bent tab': usual('Lift the tabs', 'hand', 6, 0.1),
  'formed axle': usual('Grind one head off', 'rotary', 10, 0.05, 'one axle end'),
  snap: usual('Ease the snap', 'hand', 4, 0.15),
  glue: usual('Part the glue', 'hand', 15, 0.2),
  solder: usual('Unsolder', 'iron', 15, 0.15),
  'peened pin': usual('Drill the pin', 'drill', 12, 0.1, 'the pin'),
  'sprung pin': usual('Push the pin out', 'hand', 5, 0.05),
  'push fit': usual('Pull it out straight', 'hand', 2, 0.03),
};
