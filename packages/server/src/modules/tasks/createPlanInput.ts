import {
  chooseOpening,
  explainJoint,
  mergeDecisions,
  type BenchSession,
  type HouseChoice,
  type OpeningQuestion,
  type PlanInput,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { JobRow } from '../../entities/work.ts';
import type { SpecimenRow } from '../../entities/workpiece.ts';
import { readOpeningQuestion } from './readOpeningQuestion.ts';

/** Gathers everything that the plan of one specimen is made from, its opening chosen. */
export async function createPlanInput(manager: EntityManager, job: JobRow, specimen: SpecimenRow): Promise<PlanInput> {
  const choices = await readChoices(manager, job.id);
  const question = await readOpeningQuestion(manager, job, specimen, choices.decisions);
  const { scope, parts, decisions } = question;
  const sessionMin = await readLongestSession(manager);
  return { scope, parts, decisions, reasons: choices.reasons, sessionMin, ...openAsBefore(specimen.id, question) };
}

/** What the house answers, and this job instead of it. */
async function readChoices(manager: EntityManager, jobId: string) {
  const house = await manager.query<HouseChoice[]>('SELECT school, option, reason FROM house_choice');
  const own = await manager.query<HouseChoice[]>('SELECT school, option, reason FROM decision WHERE jobId = ?', [
    jobId,
  ]);
  return mergeDecisions(house, own);
}

/** Without a calendar the usual length counts. */
async function readLongestSession(manager: EntityManager): Promise<number> {
  const rows = await manager.query<{ sessions: string }[]>('SELECT sessions FROM restorer');
  const minutes = rows.flatMap((row) => (JSON.parse(row.sessions) as BenchSession[]).map((session) => session.minutes));
  return minutes.length ? Math.max(...minutes) : 120;
}

type Opening = Pick<PlanInput, 'opening' | 'closed'>;

/** The last opening of every specimen. Most edits (a note, a want's date) leave the question as it was. */
const lastOpenings = new Map<string, { readonly question: string; readonly opening: Opening }>();

function openAsBefore(specimenId: string, question: OpeningQuestion): Opening {
  const asked = JSON.stringify(selectAsked(question));
  const last = lastOpenings.get(specimenId);
  if (last?.question === asked) return last.opening;
  const chosen = chooseOpening(question);
  const opening = {
    opening: chosen.opening.map((joint) => ({ ...joint, because: explainJoint(question, chosen, joint.key) })),
    closed: chosen.closed,
  };
  lastOpenings.set(specimenId, { question: asked, opening });
  return opening;
}

/** All that the opening looks at: not what findings and wants say in words. */
const selectAsked = ({ scope, decisions, parts, joints }: OpeningQuestion) => [
  scope,
  decisions,
  joints,
  parts.map((part) => [
    ...[part.key, part.name, part.role, part.material, part.state, part.painted, part.foundColour],
    part.coats.map((coat) => [coat.areaKind, coat.kind, coat.name, coat.colourHex]),
    part.findings.map((finding) => [finding.kind, finding.severity]),
    part.wants.map((want) => want.state),
  ]),
];
