import type { EntityManager } from 'typeorm';
import { readAllAxles } from './readAllAxles.ts';
import { readAxles, type AskedAxles, type AxleStep } from './readAxles.ts';

/** What is asked about the axles of a step, with what others need when pieces are handed out over all jobs. */
export async function readAxleQuestion(manager: EntityManager, step: AxleStep): Promise<AskedAxles> {
  return { ...(await readAxles(manager, step)), shares: await readAllAxles(manager) };
}
