import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import type { TracePlaces } from './useTracePlaces.ts';

/** Where on this view each feature is looked at, or each joint is seen. */
export function PlaceList({ places }: { readonly places: TracePlaces }) {
  const { words, options, chosen, inHand, choose, remove } = places;
  if (options.length === 0) return <p className="text-soft-ink">{words.none}</p>;
  return (
    <section aria-label={words.title} className="space-y-3 border-2 border-ink bg-sheet p-3">
      <Field label={words.what} isQuiet width="16rem">
        <Select value={chosen} options={options} onChange={choose} />
      </Field>
      <p role="status">{inHand ? 'Drag it, or press where it belongs.' : words.press}</p>
      {inHand && (
        <button type="button" className="quiet-button" onClick={remove}>
          Not on this view
        </button>
      )}
    </section>
  );
}
