import type { FeatureState } from '@sardonyx/core';
import { formatLab } from '../../shared/colour/formatColour.ts';
import { Swatch } from '../../shared/colour/Swatch.tsx';
import { TypeLab } from '../../shared/colour/TypeLab.tsx';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Fold } from '../../shared/ui/Fold.tsx';

/** What is known of a state's colour by measuring: read off a model, or as new from a card or a book. */
export function StateColourField({ state }: { readonly state: FeatureState }) {
  const dispatch = useAppDispatch();
  const { colour } = state;
  const save = (next: FeatureState['colour']) => {
    const label = `${state.label}: ${next ? 'measured colour' : 'no measured colour'}`;
    void dispatch(changeRow({ kind: 'feature-states', row: state, changes: { colour: next }, label }));
  };
  return (
    <>
      {colour && (
        <p className="mt-1 flex flex-wrap items-center gap-3">
          <Swatch lab={colour.lab} label={`${state.label}, measured`} className="h-9 w-12 border border-strong-line" />
          <span>
            <span className="figure">{formatLab(colour.lab)}</span>
            <span className="text-soft-ink">
              , {colour.specimenId ? `read off one model, ${colour.place}` : 'as new'}, {colour.geometry}
            </span>
          </span>
          <button type="button" className="quiet-button" onClick={() => save(null)}>
            Take the colour of {state.label} out
          </button>
        </p>
      )}
      <Fold title={colour ? 'Type another colour as new' : `Type the colour of ${state.label} as new`}>
        <TypeLab
          of={state.label}
          act="Take this colour"
          onTyped={(typed) => save({ ...typed, specimenId: null, place: 'sheltered' })}
        />
        <p className="text-note text-soft-ink">
          D65, 2° observer; from a drawdown, a card or a book. It is taken to be exact to 0.5 (planning estimate).
        </p>
      </Fold>
    </>
  );
}
