import { findReasonNotAsked, sayDecision, SCHOOLS, type School } from '@sardonyx/core';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { SchoolQuestion } from '../../../shared/schools/SchoolQuestion.tsx';
import { useJob } from '../JobContext.tsx';
import { useDecide } from '../useDecide.ts';
import { usePlanContext } from '../usePlanContext.ts';

/** Questions on which good restorers disagree: what this job does, and why. Only what has work on this model is asked. */
export function Decisions({ keys }: { readonly keys: readonly string[] }) {
  const {
    specimen: { facts },
  } = useJob();
  const here = SCHOOLS.filter((school) => keys.includes(school.key)).map((school) => ({
    school,
    reason: findReasonNotAsked(school.key, facts),
  }));
  const idle = here.filter(({ reason }) => reason !== null);
  return (
    <Fold title="How this job is done, where restorers disagree">
      <ul>
        {here
          .filter(({ reason }) => reason === null)
          .map(({ school }) => (
            <OfThisJob key={school.key} school={school} />
          ))}
      </ul>
      {idle.length > 0 && (
        <p className="border-t border-hairline py-2 text-note text-soft-ink">
          Not asked on this model:{' '}
          {idle.map(({ school, reason }) => `${school.question.toLowerCase()} (${reason})`).join('; ')}.
        </p>
      )}
    </Fold>
  );
}

/** The answer in force, as the plan has it: the job's own, its target's, the house's, or the usual one. */
function OfThisJob({ school }: { readonly school: School }) {
  const { view, specimen, isClosed } = useJob();
  const { option } = usePlanContext();
  const decide = useDecide(school.key);
  const decision = view.decisions.find((candidate) => candidate.school === school.key);
  const houseOption =
    view.houseChoices.find((candidate) => candidate.school === school.key)?.option ?? school.defaultOption;
  return (
    <SchoolQuestion
      school={school}
      option={option(school.key)}
      because={`In force: ${sayDecision(school.key, option(school.key), specimen.facts.reasons[school.key])}`}
      reason={decision?.reason ?? ''}
      fallback={{ option: houseOption, word: 'house' }}
      isClosed={isClosed}
      onDecide={decide}
    />
  );
}
