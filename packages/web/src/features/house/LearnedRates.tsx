import type { HouseView } from '@sardonyx/contract';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';

/** What settled models taught, from how many, and whether it is believed. */
export function LearnedRates({ view: { house, learned } }: { readonly view: HouseView }) {
  const dispatch = useAppDispatch();
  const { caseCount, alteration, misreading } = learned;
  const times = (factor: number) => `${factor.toFixed(2)} times as often as stated`;
  return (
    <section className="space-y-3 border-t border-strong-line pt-5" aria-label="What was learned">
      <h2>
        {caseCount === 0
          ? 'Nothing learned yet of how often readings are wrong'
          : `Learned from ${caseCount} settled ${caseCount === 1 ? 'model' : 'models'}: readings wrong ${times(misreading)}`}
      </h2>
      <p className="text-soft-ink">
        {caseCount === 0
          ? 'Say at Identify which models are settled: what was read of them shows how well the stated rates fit this bench. About 15 take most of the error away, 50 nearly all.'
          : `Parts altered ${times(alteration)}. A sure reading is stated to be right 98 times in 100, a likely one 85, an unsure one 60.`}
      </p>
      <Checkbox
        checked={house.learnsRates}
        onChange={(isChecked) =>
          void dispatch(
            changeRow({
              kind: 'house-style',
              row: house,
              changes: { learnsRates: isChecked },
              label: isChecked ? 'what was learned is believed' : 'stated rates are believed',
            }),
          )
        }
      >
        Believe what was learned; without it the stated rates hold
      </Checkbox>
    </section>
  );
}
