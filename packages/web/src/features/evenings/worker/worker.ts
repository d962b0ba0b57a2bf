import {
  createSeededRandom,
  explainMoves,
  findDeciding,
  findPlannable,
  moveTask,
  planEvenings,
  replanEvenings,
  reportEvenings,
  type EveningsInput,
  type EveningsPlan,
  type PlannableWorkshop,
} from '@sardonyx/core';
import type { EveningsReply, EveningsRequest, FoundEvenings } from './protocol.ts';

/** The same evenings are planned the same way again. */
const SEED = 21;
/** Of a search that nobody ends. */
const ROUNDS = 400;
/** Rounds between two reports. */
const REPORT = 10;
const NOTHING: EveningsPlan = { starts: [], late: [] };

const post = (reply: EveningsReply) => self.postMessage(reply);

self.onmessage = ({ data: { id, act, input, kept, to, on } }: MessageEvent<EveningsRequest>) => {
  try {
    const made = findPlannable(input);
    const before = kept ?? NOTHING;
    if (act === 'decide') return decide(id, input, made, before, on!);
    let plan: EveningsPlan;
    if (act === 'move') {
      const moved = moveTask(input, made, before, to!);
      if (moved.kind === 'refused') return post({ id, kind: 'refused', because: moved.because });
      plan = moved.plan;
    } else plan = act === 'repair' ? replanEvenings(input, made, before).plan : search(id, input, made, kept);
    const found: FoundEvenings = {
      report: reportEvenings(input, made, plan),
      moves: kept ? explainMoves(input, made, kept, plan) : [],
      isChanged: !isSame(before, plan),
    };
    post({ id, kind: 'found', found });
  } catch (error) {
    post({ id, kind: 'problem', message: error instanceof Error ? error.message : String(error) });
  }
};

function search(id: number, input: EveningsInput, made: PlannableWorkshop, kept: EveningsPlan | null): EveningsPlan {
  const steps = planEvenings(input, made, createSeededRandom(SEED), ROUNDS, kept);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    if (value.round % REPORT === 0) post({ id, kind: 'share', share: value.round / value.rounds });
  }
}

function decide(id: number, input: EveningsInput, made: PlannableWorkshop, plan: EveningsPlan, on: string): void {
  const steps = findDeciding(input, made, plan, on);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return post({ id, kind: 'decided', deciding: value });
    post({ id, kind: 'share', share: value });
  }
}

function isSame(a: EveningsPlan, b: EveningsPlan): boolean {
  const starts = new Map(a.starts.map(({ taskId, startsAt, restorerId }) => [taskId, `${startsAt} ${restorerId}`]));
  return (
    a.starts.length === b.starts.length &&
    b.starts.every(({ taskId, startsAt, restorerId }) => starts.get(taskId) === `${startsAt} ${restorerId}`)
  );
}
