import { randomUUID } from 'node:crypto';
import type { CreateCasting } from '@sardonyx/contract';
import { checkBuild, completeBuild, drawCasting, type Build } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow, JointRow } from '../../entities/catalogue.ts';
import { badInput } from '../../http/errors.ts';
import { findOrAddRange } from './findOrAddRange.ts';

/** A casting of one's own: parts and joints as given, its drawing laid out from them. */
export async function addCasting(manager: EntityManager, body: CreateCasting): Promise<CastingRow> {
  assertBuildFits(body);
  const rangeId = await findOrAddRange(manager, body);
  if (await manager.existsBy(CastingRow, { rangeId, number: body.number }))
    throw badInput(`Number ${body.number} is in this range already.`, { number: 'This number is taken.' });
  const { number, name, bodyType, lengthMm, wheelbaseMm, construction, builtAs = null, listed = null } = body;
  const build = completeBuild(body.parts, body.joints);
  const casting = manager.create(CastingRow, {
    ...{ id: randomUUID(), version: 1, rangeId, number, name, bodyType, lengthMm, wheelbaseMm },
    ...{ construction, builtAs, listed, history: '', traces: {} },
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
