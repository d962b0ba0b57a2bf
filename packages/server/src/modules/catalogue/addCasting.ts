import { randomUUID } from 'node:crypto';
import type { CreateCasting } from '@sardonyx/contract';
import { checkBuild, completeBuild, drawCasting, type Build } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow, JointRow, MakerRow, ToyRangeRow } from '../../entities/catalogue.ts';
import { badInput } from '../../http/errors.ts';

/** A casting of one's own: parts and joints as given, its drawing laid out from them. */
export async function addCasting(manager: EntityManager, body: CreateCasting): Promise<CastingRow> {
  if (!(await manager.existsBy(ToyRangeRow, { id: body.rangeId }))) await addOwnRange(manager, body.rangeId);
  assertBuildFits(body);
  if (await manager.existsBy(CastingRow, { rangeId: body.rangeId, number: body.number }))
    throw badInput(`Number ${body.number} is in this range already.`, { number: 'This number is taken.' });
  const { rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction, builtAs = null, listed = null } = body;
  const build = completeBuild(body.parts, body.joints);
  const casting = manager.create(CastingRow, {
    ...{ id: randomUUID(), version: 1, rangeId, number, name, bodyType, lengthMm, wheelbaseMm },
    ...{ construction, builtAs, listed, history: '' },
    drawing: drawCasting({ bodyType, lengthMm, wheelbaseMm }, build.parts),
  });
  await manager.insert(CastingRow, casting);
  await insertParts(manager, casting.id, build.parts);
  await insertJoints(manager, casting.id, build.joints);
  return casting;
}

export function assertBuildFits({ parts, joints }: Pick<CreateCasting, 'parts' | 'joints'>): void {
  const [first, ...more] = checkBuild(parts, joints);
  if (!first) return;
  const fields = Object.fromEntries([first, ...more].map(({ path, message }) => [path, message]));
  throw badInput(first.message, fields);
}

export async function insertParts(manager: EntityManager, castingId: string, parts: Build['parts']): Promise<void> {
  for (const part of parts)
    await manager.insert(CastingPartRow, {
      ...part,
      ...{ id: `${castingId}.${part.key}`, version: 1, castingId, dependentBits: '' },
    });
}

export async function insertJoints(manager: EntityManager, castingId: string, joints: Build['joints']): Promise<void> {
  for (const { partKeys, ways, behind, ...joint } of joints)
    await manager.insert(JointRow, {
      ...{ ...joint, id: `${castingId}.${joint.key}`, version: 1, castingId },
      ...{ partKeys: [...partKeys], ways: [...ways], behind: behind && [...behind] },
    });
}

/** A bench without a catalogue begins one of its own. */
async function addOwnRange(manager: EntityManager, rangeId: string): Promise<void> {
  if (rangeId !== 'own')
    throw badInput('This range is not in the catalogue.', { rangeId: 'Choose one from the list.' });
  await manager.insert(MakerRow, {
    ...{ id: 'own', version: 1, name: 'Not sorted by maker', fromYear: null, toYear: null, about: '' },
  });
  await manager.insert(ToyRangeRow, { id: 'own', version: 1, makerId: 'own', name: 'My own castings', about: '' });
}
