import {
  createSeededRandom,
  explainMoves,
  findDeciding,
  findPlannable,
  moveTask,
  planEvenings,
  planSupposed,
  replanEvenings,
  reportEvenings,
  runToEnd,
  type EveningsInput,
  type EveningsPlan,
  type PlannableWorkshop,
  type Supposition,
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

self.onmessage = ({ data: { id, act, input, kept, to, on, supposed } }: MessageEvent<EveningsRequest>) => {
  try {
    if (act === 'suppose') return suppose(id, input, kept, supposed!);
    const made = findPlannable(input);
    const before = kept ?? NOTHING;
    if (act === 'decide') return decide(id, input, made, before, on!);
    let plan: EveningsPlan;
    if (act === 'move') {
      const moved = moveTask(input, made, before, to!);
      if (moved.kind === 'refused') return post({ id, kind: 'refused', because: moved.because });
      plan = moved.plan;
    } else
      plan =
        act === 'repair'
          ? replanEvenings(input, made, before).plan
          : search(input, made, kept, (share) => post({ id, kind: 'share', share }));
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

function search(
  input: EveningsInput,
  made: PlannableWorkshop,
  kept: EveningsPlan | null,
  onShare: (share: number) => void,
): EveningsPlan {
  return runToEnd(
    planEvenings(input, made, createSeededRandom(SEED), ROUNDS, kept),
    ({ round, rounds }) => round % REPORT === 0 && onShare(round / rounds),
  );
}

function suppose(id: number, input: EveningsInput, kept: EveningsPlan | null, supposed: Supposition): void {
  const createRandom = () => createSeededRandom(SEED);
  const plans = planSupposed(input, supposed, kept, { createRandom, rounds: ROUNDS });
  const found = runToEnd(plans, (share) => post({ id, kind: 'share', share }));
  post({ id, kind: 'supposed', supposed: { supposed, ...found } });
}

function decide(id: number, input: EveningsInput, made: PlannableWorkshop, plan: EveningsPlan, on: string): void {
  const deciding = runToEnd(findDeciding(input, made, plan, on), (share) => post({ id, kind: 'share', share }));
  post({ id, kind: 'decided', deciding });
}

function isSame(a: EveningsPlan, b: EveningsPlan): boolean {
  const starts = new Map(a.starts.map(({ taskId, startsAt, restorerId }) => [taskId, `${startsAt} ${restorerId}`]));
  return (
    a.starts.length === b.starts.length &&
    b.starts.every(({ taskId, startsAt, restorerId }) => starts.get(taskId) === `${startsAt} ${restorerId}`)
  );
}
