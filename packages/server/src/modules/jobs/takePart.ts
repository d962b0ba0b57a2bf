import type { EntityManager } from 'typeorm';
import { SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';

/**
 * A part of another example comes to this one, with its findings, coats and history; the one in its place goes there, so that
 * nothing is lost and it can be taken back. Answers with the piece as it stands then.
 */
export async function takePart(
  manager: EntityManager,
  partId: string,
  intoSpecimenId: string,
  now: Date,
): Promise<SpecimenPartRow> {
  const part = await findRow(manager, SpecimenPartRow, partId, 'This part');
  const from = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  const into = await findRow(manager, SpecimenRow, intoSpecimenId, 'This model');
  if (from.id === into.id) throw refused('same-model', `${part.name} is on ${into.name} already.`);
  if (from.castingId === null || from.castingId !== into.castingId)
    throw refused(
      'other-casting',
      `${from.name} is of another casting than ${into.name}: its ${part.name} has no place there.`,
    );
  if (part.state === 'missing') throw refused('nothing-there', `${from.name} has no ${part.name} to give.`);
  for (const { jobId } of [from, into]) await assertJobIsOpen(manager, jobId);
  const own = await manager.findOneBy(SpecimenPartRow, { specimenId: into.id, key: part.key });
  if (own) await move(manager, own, into, from);
  await move(manager, part, from, into);
  for (const jobId of new Set([from.jobId, into.jobId])) if (jobId) await recompilePlan(manager, jobId, now);
  return findRow(manager, SpecimenPartRow, partId, 'This part');
}

/** What came from where is written on the piece; one that goes back home is what it was. What is missing came from nowhere. */
async function move(
  manager: EntityManager,
  part: SpecimenPartRow,
  from: SpecimenRow,
  into: SpecimenRow,
): Promise<void> {
  const isHome = part.takenFromId === into.id;
  const written: Pick<SpecimenPartRow, 'origin' | 'originNote' | 'takenFromId'> = isHome
    ? { origin: 'unknown', originNote: '', takenFromId: null }
    : { origin: 'donor', originNote: `from ${from.name}`, takenFromId: part.takenFromId ?? from.id };
  await manager.update(
    SpecimenPartRow,
    { id: part.id },
    { specimenId: into.id, version: part.version + 1, ...(part.state === 'missing' ? {} : written) },
  );
}
