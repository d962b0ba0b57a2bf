import { Fold } from '../../../../shared/ui/Fold.tsx';
import { AddSource } from '../../../../shared/sources/AddSource.tsx';
import { SourceLine } from '../../../../shared/sources/SourceLine.tsx';
import { useJob } from '../../JobContext.tsx';

/** What people say of this model's date, and of its casting's. Contradictory statements stand side by side; each is soft evidence. */
export function Statements() {
  const { specimen, isClosed } = useJob();
  const { id } = specimen.specimen;
  return (
    <section aria-label="What is said of its date">
      <h2 className="mb-1">What is said of its date</h2>
      <ul>
        {specimen.sources.map((source) => (
          <SourceLine key={source.id} source={source} isRemovable={!isClosed} />
        ))}
        {specimen.casting?.sources.map((source) => (
          <SourceLine key={source.id} source={source} about="Of the casting" isRemovable={false} />
        ))}
      </ul>
      {!isClosed && (
        <Fold className="mt-1" title="Add what somebody says">
          <AddSource key={id} about={{ castingId: null, specimenId: id }} />
        </Fold>
      )}
    </section>
  );
}
