import { randomUUID } from 'node:crypto';
import type { WriteIssueDown } from '@sardonyx/contract';
import { createKey, identifySpecimen, type Identification } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { VariantRow, VariantStateRow } from '../../entities/catalogue.ts';
import { SourceRow, SpecimenRow } from '../../entities/workpiece.ts';
import { badInput, refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readIdentified } from './readIdentified.ts';

/**
 * What a model shows goes into the catalogue, with the model as its source: as a new issue, and the model is settled as the
 * first of it; or into an issue that was listed without it.
 */
export async function writeIssueDown(
  manager: EntityManager,
  specimenId: string,
  { name, variantId, who }: WriteIssueDown,
): Promise<VariantRow> {
  if ((name === null) === (variantId === null))
    throw badInput('Say either the name of a new issue or which issue it is.', { name: 'One of the two.' });
  const { specimen, catalogue, answers, statements } = await readIdentified(manager, specimenId);
  const { castingId } = specimen;
  if (!castingId) throw refused('no-casting', `Say first which casting ${specimen.name} is.`);
  await assertJobIsOpen(manager, specimen.jobId);
  const { issue: draft } = identifySpecimen(catalogue, answers, undefined, statements);
  if (draft.states.length === 0)
    throw refused('nothing-read', `Nothing was read of ${specimen.name} that speaks of its issue: look at it first.`);
  const variant = variantId
    ? await correctIssue(manager, specimen, variantId, draft)
    : await addIssue(manager, specimen, name!, draft);
  await manager.insert(SourceRow, {
    ...{ id: randomUUID(), version: 1, castingId, variantId: variant.id, specimenId: null },
    ...{ fromYear: null, toYear: null, certainty: 'likely' },
    statement: variantId ? 'exists with what is seen on this model' : 'exists: a model of it is here',
    origin: `${specimen.name}, looked at by ${who}`,
  });
  return variant;
}

async function addIssue(
  manager: EntityManager,
  specimen: SpecimenRow,
  name: string,
  { states, span }: Identification['issue'],
): Promise<VariantRow> {
  const castingId = specimen.castingId!;
  const others = await manager.findBy(VariantRow, { castingId });
  if (others.some((variant) => variant.name === name))
    throw badInput(`An issue named ${name} is listed already.`, { name: 'This name is taken.' });
  const variant = manager.create(VariantRow, {
    ...{ id: randomUUID(), version: 1, castingId, name, ...span },
    key: createKey(
      name,
      others.map((one) => one.key),
      'issue',
    ),
    ...{ rarity: UNKNOWN_RARITY, rarityEvidence: '', foundOnId: specimen.id },
  });
  await manager.insert(VariantRow, variant);
  for (const state of states)
    await manager.insert(VariantStateRow, {
      id: randomUUID(),
      version: 1,
      variantId: variant.id,
      ...state,
      ...{ share: 1, origin: specimen.name },
    });
  await manager.update(
    SpecimenRow,
    { id: specimen.id },
    { settledVariantId: variant.id, settledBy: 'found on this model', version: specimen.version + 1 },
  );
  return variant;
}

/** What is on no list is seldom common (planning estimate, to be changed by whoever knows better). */
const UNKNOWN_RARITY = 5;

/** States that the issue was not known with come beside those it was; all of a feature are then taken to be as common. */
async function correctIssue(
  manager: EntityManager,
  { castingId, name: origin }: SpecimenRow,
  variantId: string,
  { states }: Identification['issue'],
): Promise<VariantRow> {
  const variant = await findRow(manager, VariantRow, variantId, 'This issue');
  if (variant.castingId !== castingId)
    throw refused('other-casting', `${variant.name} is an issue of another casting.`);
  let isChanged = false;
  for (const { featureId, stateId } of states) {
    const known = await manager.findBy(VariantStateRow, { variantId, featureId });
    if (known.some((row) => row.stateId === stateId)) continue;
    isChanged = true;
    const share = 1 / (known.length + 1);
    for (const row of known)
      await manager.update(
        VariantStateRow,
        { id: row.id },
        { share: row.share * (1 - share), version: row.version + 1 },
      );
    await manager.insert(VariantStateRow, {
      ...{ id: randomUUID(), version: 1, variantId, featureId, stateId, share, origin },
    });
  }
  if (!isChanged) throw refused('nothing-new', `${variant.name} is known with all of this already.`);
  return variant;
}
