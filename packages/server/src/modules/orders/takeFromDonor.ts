import type { TakeFromDonor } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { FindingRow, SpecimenPartRow, SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { takePart } from '../jobs/takePart.ts';
import { findRow } from '../rows/versionedRows.ts';
import { answerWant } from './answerWant.ts';
import { readDonors } from './readDonors.ts';

/**
 * A donor's part meets a want. Of the same casting it moves as it is, with its findings, coats and history; of the same size it
 * takes the place of the one that is missing, with its findings, and is gone from the donor.
 */
export async function takeFromDonor(
  manager: EntityManager,
  wantId: string,
  { partId, who }: TakeFromDonor,
  now: Date,
): Promise<WantRow> {
  const want = await findRow(manager, WantRow, wantId, 'This want');
  const { offers } = await readDonors(manager);
  const part = await findRow(manager, SpecimenPartRow, partId, 'This part');
  const offer = offers.find((one) => one.wantId === wantId && one.part.id === partId);
  if (!offer) throw refused('no-match', `${part.name} does not serve “${want.what}”, or serves another want better.`);
  const own = await findRow(manager, SpecimenPartRow, want.specimenPartId, 'This part');
  const from = `from ${offer.part.donor}`;
  if (offer.why === 'same part') {
    // The want stays with the model: what goes to the donor in exchange is wanted by nobody.
    await manager.update(WantRow, { specimenPartId: own.id }, { specimenPartId: part.id });
    await takePart(manager, part.id, own.specimenId, now);
  } else {
    const donor = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
    await manager.update(FindingRow, { specimenPartId: part.id }, { specimenPartId: own.id });
    await manager.update(
      SpecimenPartRow,
      { id: own.id },
      {
        ...{ state: part.state, material: part.material, origin: 'donor', originNote: from, takenFromId: donor.id },
        version: own.version + 1,
      },
    );
    await manager.update(SpecimenPartRow, { id: part.id }, { state: 'missing', version: part.version + 1 });
  }
  await answerWant(manager, wantId, { origin: 'donor', from, who, price: null }, now);
  return findRow(manager, WantRow, wantId, 'This want');
}
