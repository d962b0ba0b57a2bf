import { existsSync } from 'node:fs';
import { mkdir, readFile, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { DATABASE_FILE, PHOTO_FOLDER, THUMBNAIL_FOLDER, WAL_FILES } from './folderNames.ts';
import { syncFolder, writeDurably } from './writeDurably.ts';

const PLAN_FILE = 'swap.json';

/** What takes the place of what; names are of the bench's folder. */
interface SwapPlan {
  readonly draft: string;
  readonly kept: string;
  /** What goes out to `kept`, and what comes in from `draft`. */
  readonly out: readonly string[];
  readonly into: readonly string[];
  /** `clearing`: what is in its place is still the old one. */
  readonly stage: 'clearing' | 'filling';
}

/** The old database goes, and its thumbnails and photographs where new ones come. */
export const planSwap = (draft: string, kept: string, withPhotos: boolean): Omit<SwapPlan, 'stage'> => ({
  ...{ draft, kept },
  out: [DATABASE_FILE, ...WAL_FILES, ...(withPhotos ? [PHOTO_FOLDER, THUMBNAIL_FOLDER] : [])],
  into: [DATABASE_FILE, ...(withPhotos ? [PHOTO_FOLDER] : [])],
});

/**
 * Puts what lies checked and synced in a draft folder in place of what is there, which is kept. Until the plan is on the disk the
 * old bench stands; from then on the new one does, whenever the power goes: finishSwap does what is left.
 */
export async function swapFolder(folder: string, plan: Omit<SwapPlan, 'stage'>): Promise<void> {
  await mkdir(join(folder, plan.kept), { recursive: true });
  await writePlan(folder, { ...plan, stage: 'clearing' });
  await finishSwap(folder);
}

/** Does what is left of a swap; whether there was one. */
export async function finishSwap(folder: string): Promise<boolean> {
  const plan = await readPlan(folder);
  if (!plan) return false;
  const { draft, kept, out, into } = plan;
  if (plan.stage === 'clearing') {
    for (const name of out) await move(join(folder, name), join(folder, kept, name));
    await syncFolder(join(folder, kept));
    await writePlan(folder, { ...plan, stage: 'filling' });
  }
  for (const name of into) await move(join(folder, draft, name), join(folder, name));
  await syncFolder(folder);
  await rm(join(folder, PLAN_FILE));
  await syncFolder(folder);
  await rm(join(folder, draft), { recursive: true, force: true });
  return true;
}

async function move(from: string, to: string): Promise<void> {
  if (existsSync(from)) await rename(from, to);
}

const writePlan = (folder: string, plan: SwapPlan) =>
  writeDurably(join(folder, PLAN_FILE), Buffer.from(JSON.stringify(plan)));

async function readPlan(folder: string): Promise<SwapPlan | null> {
  const text = await readFile(join(folder, PLAN_FILE), 'utf8').catch(() => null);
  return text === null ? null : (JSON.parse(text) as SwapPlan);
}
