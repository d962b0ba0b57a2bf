import { SIZE_UNITS, type FeatureState } from '@sardonyx/core';
import { changeRow } from '../../shared/edits/editRow.ts';
import { TypeSize } from '../../shared/form/TypeSize.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { Fold } from '../../shared/ui/Fold.tsx';

/** What is known of a state by calipers or scales: a wheel's diameter, the weight of a thicker casting. */
export function StateSizeField({ state }: { readonly state: FeatureState }) {
  const dispatch = useAppDispatch();
  const { size } = state;
  const save = (next: FeatureState['size']) => {
    const label = `${state.label}: ${next ? `${next.value} ${next.unit}` : 'no size'}`;
    void dispatch(changeRow({ kind: 'feature-states', row: state, changes: { size: next }, label }));
  };
  return (
    <>
      {size && (
        <p className="mt-1 flex flex-wrap items-center gap-3">
          <span className="figure">
            {size.value} ± {size.sd} {size.unit}
          </span>
          <button type="button" className="quiet-button" onClick={() => save(null)}>
            Take the size of {state.label} out
          </button>
        </p>
      )}
      <Fold title={size ? 'Type another size' : `Type the size or weight of ${state.label}`}>
        <TypeSize of={state.label} units={SIZE_UNITS} act="Take this size" onTyped={save} />
        <p className="text-note text-soft-ink">
          “Give or take” is what one model differs from the next, one standard deviation: 0.1 mm or 0.2 g if nothing is
          typed (planning estimates).
        </p>
      </Fold>
    </>
  );
}
