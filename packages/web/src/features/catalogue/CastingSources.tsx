import type { CastingView } from '@sardonyx/contract';
import { AddSource } from '../../shared/sources/AddSource.tsx';
import { SourceLine } from '../../shared/sources/SourceLine.tsx';

/** What was said of its dates, contradictory statements side by side. About an issue they count as soft evidence. */
export function CastingSources({ view, isEditing }: { readonly view: CastingView; readonly isEditing: boolean }) {
  const { sources, variants, casting } = view;
  if (sources.length === 0 && !isEditing) return null;
  return (
    <section>
      <h2>What was said of its dates</h2>
      <ul>
        {sources.map((source) => (
          <SourceLine
            key={source.id}
            source={source}
            about={variants.find((variant) => variant.id === source.variantId)?.name}
            isRemovable={isEditing}
          />
        ))}
      </ul>
      {isEditing && <AddSource about={{ castingId: casting.id, specimenId: null }} variants={variants} />}
    </section>
  );
}
