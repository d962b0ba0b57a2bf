import { SCHOOLS, type School } from '@sardonyx/core';
import { changeRow, createRow } from '../../../shared/edits/editRow.ts';
import { SchoolQuestion } from '../../../shared/schools/SchoolQuestion.tsx';
import { useAppDispatch } from '../../../shared/store.ts';
import { useJob } from '../JobContext.tsx';

/** Questions on which good restorers disagree: what this job does, and why. */
export function Decisions({ keys }: { readonly keys: readonly string[] }) {
  return (
    <details>
      <summary className="quiet-button">How this job is done, where restorers disagree</summary>
      <ul>
        {SCHOOLS.filter((school) => keys.includes(school.key)).map((school) => (
          <OfThisJob key={school.key} school={school} />
        ))}
      </ul>
    </details>
  );
}

/** The job's own answer, else the house's, else the usual one. */
function OfThisJob({ school }: { readonly school: School }) {
  const { view, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const decision = view.decisions.find((candidate) => candidate.school === school.key);
  const house = view.houseChoices.find((candidate) => candidate.school === school.key);
  const houseOption = house?.option ?? school.defaultOption;
  const decide = (option: string, reason: string) => {
    const label = `${school.question}: ${option}`;
    return decision
      ? dispatch(
          changeRow({ kind: 'decisions', row: decision, changes: { option, reason }, label, isShownInPlace: true }),
        ).unwrap()
      : dispatch(
          createRow({
            kind: 'decisions',
            body: { jobId: view.job.id, school: school.key, option, reason },
            label,
            isShownInPlace: true,
          }),
        ).unwrap();
  };
  return (
    <SchoolQuestion
      school={school}
      option={decision?.option ?? houseOption}
      because={
        decision
          ? `On this job, because: ${decision.reason}`
          : `House style, because: ${house?.reason ?? school.defaultReason}`
      }
      reason={decision?.reason ?? ''}
      fallback={{ option: houseOption, word: 'house' }}
      isClosed={isClosed}
      onDecide={decide}
    />
  );
}
