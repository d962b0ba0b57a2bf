import type { DonorsView } from '@sardonyx/contract';
import { matchDonors, type DonorPart, type PartSizes, type PartWish } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';

type Stored<T> = Omit<T, 'sizes'> & { readonly sizes: string | null };

interface NamedPart extends DonorPart {
  readonly name: string;
  readonly donor: string;
}

interface NamedWish extends PartWish {
  readonly what: string;
  readonly partName: string;
  readonly jobId: string;
  readonly jobNumber: string;
  readonly isByDonor: 0 | 1;
}

const SIZES = `LEFT JOIN casting_part ON casting_part.castingId = specimen.castingId AND casting_part.key = part.key`;

/**
 * Which part of which donor serves which open want, over all jobs at once; and what is wanted of donors that none of them has.
 * A want that is to be bought is offered a donor's part too: it lies here already.
 */
export async function readDonors(manager: EntityManager): Promise<DonorsView> {
  const parts = (
    await manager.query<Stored<NamedPart>[]>(
      `SELECT part.id, specimen.castingId, part.key AS partKey, part.role, part.state, part.name, specimen.name AS donor, casting_part.sizes
       FROM specimen_part AS part JOIN specimen ON specimen.id = part.specimenId ${SIZES}
       WHERE specimen.isDonor = 1 ORDER BY part.id`,
    )
  ).map(readSizes);
  const wishes = (
    await manager.query<Stored<NamedWish>[]>(
      `SELECT want.id AS wantId, want.what, specimen.castingId, part.key AS partKey, part.role, part.name AS partName,
         job.id AS jobId, job.number AS jobNumber, casting_part.sizes,
         coalesce(want.getBy, 'donor') = 'donor' AS isByDonor
       FROM want JOIN specimen_part AS part ON part.id = want.specimenPartId
       JOIN specimen ON specimen.id = part.specimenId JOIN job ON job.id = specimen.jobId ${SIZES}
       WHERE want.state = 'open' AND want.kind = 'part' AND job.signedOffAt IS NULL AND specimen.isDonor = 0
       ORDER BY job.number, want.id`,
    )
  ).map(readSizes);
  const matches = matchDonors(wishes, parts);
  const say = ({ wantId, what, partName, jobId, jobNumber }: NamedWish) => ({
    wantId,
    what,
    partName,
    jobId,
    jobNumber,
  });
  return {
    offers: matches.map(({ wantId, partId, why }) => {
      const { id, name, donor, state } = parts.find((part) => part.id === partId)!;
      return { ...say(wishes.find((wish) => wish.wantId === wantId)!), why, part: { id, name, donor, state } };
    }),
    unmet: wishes
      .filter(({ wantId, isByDonor }) => isByDonor && !matches.some((match) => match.wantId === wantId))
      .map(say),
  };
}

const readSizes = <T extends { readonly sizes: string | null }>(row: T): Omit<T, 'sizes'> & { sizes: PartSizes } => ({
  ...row,
  sizes: row.sizes ? (JSON.parse(row.sizes) as PartSizes) : {},
});
