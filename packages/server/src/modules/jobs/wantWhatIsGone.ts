import { beginBits, convertFindingToState } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { In } from 'typeorm';
import { CastingPartRow } from '../../entities/catalogue.ts';
import type { FindingRow } from '../../entities/workpiece.ts';
import { SpecimenPartRow, SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';

const wantOf = (findingId: string) => `${findingId}.want`;
const pieceOf = (findingId: string) => `${findingId}.piece`;

/** A part that is missing or broke is marked so, and wanted with its small bits until somebody settles it. */
export async function wantWhatIsGone(manager: EntityManager, finding: FindingRow, before: FindingRow | null) {
  if (finding.mend === 'new piece') await wantPiece(manager, finding);
  else if (before?.mend === 'new piece') await dropUntouchedPiece(manager, finding);
  const state = convertFindingToState(finding);
  const was = before && convertFindingToState(before);
  if (state === was) return;
  if (state === null) return was ? dropUntouchedWant(manager, finding) : undefined;
  const part = await findRow(manager, SpecimenPartRow, finding.specimenPartId, 'This part');
  if (part.state !== state && part.state !== 'missing')
    await manager.update(SpecimenPartRow, { id: part.id }, { state, version: part.version + 1 });
  await wantPart(manager, part, wantOf(finding.id));
}

/** Somebody thought better of it, and nobody has sent for it yet. */
const dropUntouchedPiece = (manager: EntityManager, { id }: FindingRow) =>
  manager.delete(WantRow, { id: pieceOf(id), version: 1, state: 'open' });

/** A piece to set in is on the list once for its part. */
async function wantPiece(manager: EntityManager, { id, specimenPartId, feature }: FindingRow): Promise<void> {
  if (await manager.existsBy(WantRow, { specimenPartId, kind: 'feature', feature })) return;
  const what = feature || 'new piece';
  await insertWant(manager, { id: pieceOf(id), specimenPartId, kind: 'feature', feature, what });
}

export const insertWant = (
  manager: EntityManager,
  want: Pick<WantRow, 'id' | 'specimenPartId' | 'kind' | 'what'> & Partial<WantRow>,
) =>
  manager.insert(WantRow, {
    ...{
      version: 1,
      origin: null,
      getBy: null,
      feature: '',
      bits: [],
      price: null,
      taken: null,
      state: 'open',
      solution: '',
      reason: '',
      dueOn: null,
    },
    ...want,
  });

/** One open want a part is enough. */
export async function wantPart(manager: EntityManager, part: SpecimenPartRow, id: string): Promise<void> {
  const isWanted = { specimenPartId: part.id, kind: 'part' as const, state: In(['open', 'ordered']) };
  if ((await manager.existsBy(WantRow, isWanted)) || (await manager.existsBy(WantRow, { id }))) return;
  const { castingId } = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  const known = castingId ? await manager.findOneBy(CastingPartRow, { castingId, key: part.key }) : null;
  await insertWant(manager, {
    id,
    specimenPartId: part.id,
    kind: 'part',
    what: part.name.toLowerCase(),
    bits: beginBits(known?.dependentBits ?? ''),
  });
}

/**
 * A finding that was a mistake takes its want along, unless somebody has worked on that. The part counts as worn again:
 * what it was called before is not known any more.
 */
export async function dropUntouchedWant(manager: EntityManager, finding: FindingRow): Promise<void> {
  await dropUntouchedPiece(manager, finding);
  const dropped = await manager.delete(WantRow, { id: wantOf(finding.id), version: 1, state: 'open' });
  if (!dropped.affected) return;
  const part = await findRow(manager, SpecimenPartRow, finding.specimenPartId, 'This part');
  await manager.update(SpecimenPartRow, { id: part.id }, { state: 'worn', version: part.version + 1 });
}
