import { randomUUID } from 'node:crypto';
import type { CastingView, WriteSheet } from '@sardonyx/contract';
import { createKey, describeFeature, planSheet, type SheetPlan } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { FeatureRow, FeatureStateRow, VariantRow, VariantStateRow } from '../../entities/catalogue.ts';
import { badInput } from '../../http/errors.ts';
import { findRow, saveChange } from '../rows/versionedRows.ts';
import { readCastingView } from './readCastingView.ts';

/** Carries out a whole sheet of issues, or nothing of it. */
export async function writeSheet(manager: EntityManager, castingId: string, sheet: WriteSheet): Promise<CastingView> {
  const view = await readCastingView(manager, castingId);
  const plan = planSheet(sheet, view);
  if (plan.problems.length)
    throw badInput(
      `Nothing was saved: ${plan.problems.length} ${plan.problems.length === 1 ? 'cell does' : 'cells do'} not fit.`,
      Object.fromEntries(plan.problems.map(({ issue, at, message }) => [`${issue ?? 'row'}.${at}`, message])),
    );
  const featureIds = await addFeatures(manager, view, sheet, plan);
  const stateIds = await addStates(manager, plan, featureIds);
  for (const { id, version, fields, isChanged, cells } of plan.issues) {
    const variantId = id ?? (await addIssue(manager, castingId, fields));
    // A cell changes the issue as its name does: who read it before must not write over it.
    if (id !== null && version !== null)
      await saveChange(
        manager,
        VariantRow,
        await findRow(manager, VariantRow, id, 'This issue'),
        version,
        isChanged ? fields : {},
      );
    for (const { row, states } of cells) {
      const featureId = featureIds[row]!;
      await manager.delete(VariantStateRow, { variantId, featureId });
      for (const { stateId, label, share, origin } of states)
        await manager.insert(VariantStateRow, {
          ...{ id: randomUUID(), version: 1, variantId, featureId, share, origin },
          stateId: stateId ?? stateIds.get(nameState(row, label))!,
        });
    }
  }
  return readCastingView(manager, castingId);
}

const nameState = (row: number, label: string) => `${row} ${label.toLowerCase()}`;

/** The ids of all rows; those of new features are made here. */
async function addFeatures(
  manager: EntityManager,
  { range, features }: CastingView,
  { rows }: WriteSheet,
  { newRows }: SheetPlan,
): Promise<string[]> {
  const taken = features.map(({ key }) => key);
  const ids = rows.map(({ featureId }) => featureId ?? randomUUID());
  for (const row of newRows) {
    const label = rows[row]!.label.trim();
    const key = createKey(label, taken, 'feature');
    taken.push(key);
    await manager.insert(FeatureRow, { ...describeFeature(label), id: ids[row]!, version: 1, rangeId: range.id, key });
  }
  return ids;
}

async function addStates(
  manager: EntityManager,
  { newStates }: SheetPlan,
  featureIds: readonly string[],
): Promise<Map<string, string>> {
  const ids = new Map<string, string>();
  const known = await manager.findBy(FeatureStateRow, { featureId: In([...featureIds]) });
  const taken = known.map(({ featureId, key }) => ({ featureId, key }));
  for (const { row, label } of newStates) {
    const featureId = featureIds[row]!;
    const own = taken.filter((one) => one.featureId === featureId).map((one) => one.key);
    const state = { featureId, key: createKey(label, own, 'state') };
    taken.push(state);
    const id = randomUUID();
    ids.set(nameState(row, label), id);
    await manager.insert(FeatureStateRow, {
      ...{ id, version: 1, ...state, label, colourHex: null, fromYear: null, toYear: null, lookAlikes: [] },
    });
  }
  return ids;
}

async function addIssue(
  manager: EntityManager,
  castingId: string,
  fields: SheetPlan['issues'][number]['fields'],
): Promise<string> {
  const taken = (await manager.findBy(VariantRow, { castingId })).map(({ key }) => key);
  const id = randomUUID();
  const key = createKey(fields.name, taken, 'issue');
  await manager.insert(VariantRow, { ...{ id, version: 1, castingId, key, foundOnId: null }, ...fields });
  return id;
}
