import type { EntityManager } from 'typeorm';
import * as rows from '../entities/catalogue.ts';
import { PaintPotRow, PaintProductRow, PotMovementRow } from '../entities/paint.ts';
import { RestorerRow, TimerRow } from '../entities/work.ts';
import { SourceRow, SpecimenRow } from '../entities/workpiece.ts';
import { fitOutSpecimen } from '../modules/jobs/fitOutSpecimen.ts';
import { change, type Workroom } from '../workroom.ts';
import { createCatalogue } from './createCatalogue.ts';
import { readJobNotes } from './jobNotes.ts';
import { seedMixes } from './colours.ts';
import { createPaintShelf } from './paintShelf.ts';
import { seedDrawers } from './seedDrawers.ts';
import { seedJob } from './seedJob.ts';
import { signJob } from './signJob.ts';
import { seedDecals } from './seedDecals.ts';
import { seedPrints } from './seedPrints.ts';
import { seedOrders } from './seedOrders.ts';
import { seedWorkshop } from './workshop.ts';
import { MAKERS, RANGES, RESTORERS } from './world.ts';

/** Fills an empty folder with the demo world. The same `now` gives the same data; every date is an offset from it. */
export async function seedDemo(room: Workroom): Promise<void> {
  const now = room.now();
  await change(room, async (manager) => {
    await seedCatalogue(manager, now);
    await seedWorkshop(manager, now);
    for (const note of readJobNotes()) await seedJob(manager, room.folder, note, now);
    await seedDonor(manager);
    await seedDrawers(manager, now);
    await seedOrders(manager, now);
    await seedPrints(manager, now);
    await seedDecals(manager, now);
    await seedTimers(manager, now);
    await seedMixes(manager, now);
    await sortPotLogs(manager);
    for (const note of readJobNotes()) await signJob(manager, note);
  });
}

/** Jobs were filled one after the other, pots are written down evening after evening. */
async function sortPotLogs(manager: EntityManager): Promise<void> {
  await manager.query('UPDATE pot_movement SET seq = -seq');
  await manager.query(
    `UPDATE pot_movement SET seq = sorted.place FROM
       (SELECT id, row_number() OVER (PARTITION BY potId ORDER BY at, -seq) AS place FROM pot_movement) AS sorted
     WHERE sorted.id = pot_movement.id`,
  );
}

async function seedCatalogue(manager: EntityManager, now: Date): Promise<void> {
  const { features, states, castings, parts, joints, variants, variantStates, sources } = createCatalogue();
  const { products, pots, movements } = createPaintShelf(now);
  const put = async (type: new () => object, list: readonly object[]) => {
    // SQLite takes a limited number of values in one statement.
    for (let i = 0; i < list.length; i += 200) await manager.insert(type, list.slice(i, i + 200));
  };
  const withVersion = (list: readonly object[]) => list.map((row) => ({ version: 1, ...row }));
  await put(rows.MakerRow, withVersion(MAKERS));
  await put(rows.ToyRangeRow, withVersion(RANGES));
  await put(RestorerRow, withVersion(RESTORERS));
  await put(rows.FeatureRow, features);
  await put(rows.FeatureStateRow, states);
  await put(rows.CastingRow, castings);
  await put(rows.CastingPartRow, parts);
  await put(rows.JointRow, joints);
  await put(rows.VariantRow, variants);
  await put(rows.VariantStateRow, variantStates);
  await put(SourceRow, sources);
  await put(PaintProductRow, products);
  await put(PaintPotRow, pots);
  await put(PotMovementRow, movements);
}

/** A scrap trolley in the drawer: parts without a job. */
async function seedDonor(manager: EntityManager): Promise<void> {
  const donor = manager.create(SpecimenRow, {
    id: 'donor-trolley',
    version: 1,
    castingId: 'baggage-trolley',
    jobId: null,
    name: 'Scrap trolley',
    note: 'Rail broken; wheels and axles good.',
    isDonor: true,
    settledVariantId: null,
    settledBy: null,
  });
  await manager.insert(SpecimenRow, donor);
  await fitOutSpecimen(manager, donor);
}

/** Two clocks that run when the demo opens. */
async function seedTimers(manager: EntityManager, now: Date): Promise<void> {
  const at = (minutes: number) => new Date(now.getTime() + minutes * 60_000).toISOString();
  const clock = (id: string, jobId: string, label: string, kind: TimerRow['kind'], from: number, to: number) => ({
    id,
    version: 1,
    jobId,
    taskId: null,
    label,
    kind,
    startedAt: at(from),
    endsAt: at(to),
    acknowledgedAt: null,
  });
  await manager.insert(TimerRow, [
    clock('clock-interior', 'sg-09', 'Interior airing in charcoal', 'cure', -2000, 880),
    clock('clock-trolley', 'sg-07', 'Trolley primer hardening', 'cure', -20, 40),
  ]);
}
