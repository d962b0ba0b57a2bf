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
  const number = body.number.trim() || (await callNumberless(manager, rangeId));
  if (await manager.existsBy(CastingRow, { rangeId, number }))
    throw badInput(`Number ${number} is in this range already.`, { number: 'This number is taken.' });
  const { name, bodyType, lengthMm, wheelbaseMm, construction, builtAs = null, listed = null } = body;
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

/** Castings without a number are told apart all the same: "no number", "no number 2". */
async function callNumberless(manager: EntityManager, rangeId: string): Promise<string> {
  const taken = new Set((await manager.findBy(CastingRow, { rangeId })).map(({ number }) => number));
  const names = Array.from({ length: taken.size + 1 }, (_, i) => (i === 0 ? NUMBERLESS : `${NUMBERLESS} ${i + 1}`));
  return names.find((name) => !taken.has(name))!;
}

const NUMBERLESS = 'no number';

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
