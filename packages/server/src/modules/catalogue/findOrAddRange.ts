import { randomUUID } from 'node:crypto';
import type { CreateCasting } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { MakerRow, ToyRangeRow } from '../../entities/catalogue.ts';
import { badInput } from '../../http/errors.ts';

/** Where castings go of which nobody says more; made when the first one comes. */
const OWN = 'own';
const NO_MAKER = 'Not sorted by maker';

/** The range that a new casting is of: a known one, or one by its name, made with its maker where it is new. */
export async function findOrAddRange(
  manager: EntityManager,
  { rangeId, rangeName, makerName }: Pick<CreateCasting, 'rangeId' | 'rangeName' | 'makerName'>,
): Promise<string> {
  if (rangeId !== null) {
    if (await manager.existsBy(ToyRangeRow, { id: rangeId })) return rangeId;
    if (rangeId !== OWN)
      throw badInput('This range is not in the catalogue.', { rangeId: 'Choose one from the list.' });
    await manager.insert(ToyRangeRow, { ...(await makeRange(manager, '', 'My own castings')), id: OWN });
    return OWN;
  }
  const name = rangeName?.trim();
  if (!name) throw badInput('A range that is new needs a name.', { rangeName: 'Name the range.' });
  const range = await makeRange(manager, makerName ?? '', name);
  const known = (await manager.findBy(ToyRangeRow, { makerId: range.makerId })).find((one) => isSame(one.name, name));
  if (known) return known.id;
  await manager.insert(ToyRangeRow, range);
  return range.id;
}

/** A range of this maker, who is made where nobody of that name is known. */
async function makeRange(manager: EntityManager, makerName: string, name: string) {
  const called = makerName.trim() || NO_MAKER;
  const known = (await manager.find(MakerRow)).find((maker) => isSame(maker.name, called));
  const makerId = known?.id ?? (called === NO_MAKER ? OWN : randomUUID());
  if (!known)
    await manager.insert(MakerRow, { id: makerId, version: 1, name: called, fromYear: null, toYear: null, about: '' });
  return { id: randomUUID(), version: 1, makerId, name, about: '' };
}

/** Typed twice, with another capital or a blank more, it is the same. */
const isSame = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
