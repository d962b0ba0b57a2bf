import { comesApart, computeStationState } from '@sardonyx/core';
import { formatMinutes } from '../../../shared/format.ts';
import { EmptyNote, ErrorNote, LoadingNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { PlanSays } from '../PlanSays.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';
import { Alternatives } from './open/Alternatives.tsx';
import { JointLines, numberOf } from './open/JointLines.tsx';
import type { OpeningAnswer as Opening } from './open/worker/protocol.ts';
import { useOpening } from './open/worker/useOpening.ts';
import { HaveInHand } from './survey/HaveInHand.tsx';
import { WhileOpening } from './open/WhileOpening.tsx';

/**
 * How it comes apart with the least risk: the cuts on the part map, the reason for each, and what else could be done.
 * The steps come with the job; only cuts and reasons wait for the worker.
 */
export function OpenStation() {
  const { opening, isStale, problem } = useOpening();
  const { specimen } = useJob();
  // What was found open is no cut and does not stay closed: its line says nothing.
  const marked = (opening?.reasons ?? []).filter((reason) => !reason.isFoundOpen);
  const joints = marked.map((reason) => ({
    partKeys: opening!.question.joints.find((joint) => joint.key === reason.jointKey)!.partKeys,
    number: numberOf(reason, opening!),
  }));
  const isOpened = comesApart(specimen.facts);
  return (
    <div aria-busy={isStale}>
      <Zones
        model={
          <>
            <PartMapView joints={joints} />
            <p className="text-note text-soft-ink">
              A number on a line is a cut, in this order; a full line stays closed. Click a part, or use the arrow keys.
            </p>
            {opening && opening.reasons.length > 0 && <JointLines opening={opening} />}
            <Decisions keys={['S2', 'S3', 'S4']} />
          </>
        }
        isSticky={false}
        lead={<Lead opening={opening} problem={problem} />}
      >
        {isOpened && <HaveInHand />}
        <PlanSays />
        <TaskList station="open" heading="Open, in this order" />
        {isOpened && <WhileOpening />}
        {joints.length > 0 && <Alternatives alternatives={opening!.alternatives} />}
      </Zones>
    </div>
  );
}

function Lead({ opening, problem }: { readonly opening: Opening | null; readonly problem: string | null }) {
  const { view, specimen } = useJob();
  if (problem) return <ErrorNote error={{ kind: 'fault', message: problem }} />;
  if (!opening) return <LoadingNote what="the opening" />;
  if (opening.reasons.length > 0) return <OpeningVerdict opening={opening} />;
  return (
    <EmptyNote title="Nothing is opened.">
      {!specimen.casting
        ? 'Settle the casting at Identify: its joints come with it.'
        : view.job.scope === 'clean only'
          ? 'It is only cleaned, so it stays closed.'
          : 'No joint of it is known.'}
    </EmptyNote>
  );
}

function OpeningVerdict({ opening: { reasons, chosen, alternatives } }: { readonly opening: Opening }) {
  const { tasks } = useJob();
  const { total, done, handsOnLeftMin, irreversibleLeft } = computeStationState(tasks, 'open');
  const toOpen = reasons.filter((reason) => reason.isOpened && !reason.isOpenAlready).length;
  const closed = reasons.filter((reason) => !reason.isOpened).length;
  const [plan] = alternatives;
  const proof = chosen.plan.isProven
    ? 'Proven: no plan is cheaper.'
    : `Not proven: a plan cheaper by up to ${Math.round(chosen.plan.price - chosen.plan.lowerBound)} min may exist.`;
  const stays = closed ? `${count(closed, 'joint')} stay${closed === 1 ? 's' : ''} closed. ` : '';
  return (
    <Verdict rest={`${stays}${proof}`}>
      {toOpen === 0
        ? total > 0 && done === total
          ? 'It is open; every part lies on the bench.'
          : 'Nothing needs opening, by what is written down so far: coats, repairs and wants decide it.'
        : `Open ${count(toOpen, 'joint')}: ${formatMinutes(handsOnLeftMin)} at the hands, ${Math.round(plan!.expectedDamages * 100)} % damage in sum${irreversibleLeft ? `; ${count(irreversibleLeft, 'step')} cannot be undone` : ''}.`}
    </Verdict>
  );
}

const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
