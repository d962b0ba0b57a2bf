import type { HouseChoiceRecord } from '@sardonyx/contract';
import { SCHOOLS, type School } from '@sardonyx/core';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { SchoolQuestion } from '../../shared/schools/SchoolQuestion.tsx';
import { useAppDispatch } from '../../shared/store.ts';

/** Where along the bench each question comes up. */
const GROUPS: readonly (readonly [heading: string, keys: readonly string[]])[] = [
  ['What it should become', ['S10', 'S22']],
  ['Open', ['S3', 'S4', 'S2']],
  ['Strip & mend', ['S11', 'S18', 'S17', 'S16', 'S15', 'S1', 'S14']],
  ['Finish', ['S6', 'S12', 'S8', 'S9', 'S21', 'S19', 'S13', 'S7', 'S24']],
  ['Close and keep', ['S5', 'S20', 'S23']],
];

/** The schools as questions, answered once for the house; a job may answer otherwise, with its reason. */
export function HouseSchools({ choices }: { readonly choices: readonly HouseChoiceRecord[] }) {
  const own = choices.filter(
    ({ school, option }) => option !== SCHOOLS.find((one) => one.key === school)?.defaultOption,
  );
  return (
    <section className="space-y-3 border-t border-strong-line pt-5">
      <h2>
        Where restorers disagree, this house answers {SCHOOLS.length} questions
        {own.length ? `, ${own.length} of them in its own way` : ''}
      </h2>
      <p className="text-soft-ink">
        An answer changes every open plan at once and stands in it as the reason. A job may answer otherwise, at its own
        stations. Safety never depends on a school.
      </p>
      {GROUPS.map(([heading, keys]) => (
        <section key={heading} aria-label={heading}>
          <h3 className="pt-3">{heading}</h3>
          <ul>
            {keys.map((key) => (
              <OfTheHouse
                key={key}
                school={SCHOOLS.find((one) => one.key === key)!}
                choice={choices.find((one) => one.school === key)}
              />
            ))}
          </ul>
        </section>
      ))}
    </section>
  );
}

function OfTheHouse({ school, choice }: { readonly school: School; readonly choice: HouseChoiceRecord | undefined }) {
  const dispatch = useAppDispatch();
  const decide = (option: string, reason: string) => {
    const label = `House, ${school.question.toLowerCase()}: ${option}`;
    return choice
      ? dispatch(
          changeRow({ kind: 'house-choices', row: choice, changes: { option, reason }, label, isShownInPlace: true }),
        ).unwrap()
      : dispatch(
          createRow({
            kind: 'house-choices',
            body: { school: school.key, option, reason },
            label,
            isShownInPlace: true,
          }),
        ).unwrap();
  };
  return (
    <SchoolQuestion
      school={school}
      option={choice?.option ?? school.defaultOption}
      because={choice ? `This house, because: ${choice.reason}` : `Usual, because: ${school.defaultReason}`}
      reason={choice?.reason ?? ''}
      fallback={{ option: school.defaultOption, word: 'usual' }}
      onDecide={decide}
    />
  );
}
