import { Fold } from '../../shared/ui/Fold.tsx';
import { formatMoment } from '../../shared/dates/sayDates.ts';
import { useJob } from './JobContext.tsx';

/** What the plan leaves out or does otherwise, why, and what changed in it last. */
export function PlanSays() {
  const { view, specimen } = useJob();
  const [change] = view.planChanges.filter((one) => one.specimenId === specimen.specimen.id);
  if (view.planNotices.length === 0 && !change) return null;
  return (
    <section aria-label="The plan says" className="space-y-2 border-l-4 border-ink pl-3">
      {view.planNotices.map((notice) => (
        <p key={notice}>{notice}</p>
      ))}
      {change && (
        <Fold title={`The plan changed ${formatMoment(change.at)}: ${summarise(change)}`}>
          <p className="text-note">Because {change.because.join('; ') || 'the rules of the plan changed'}.</p>
          <Titles word="New" titles={change.added} />
          <Titles word="No longer needed" titles={change.dropped} />
          <Titles word="Kept, for it is logged" titles={change.keptAside} />
        </Fold>
      )}
    </section>
  );
}

function summarise({
  added,
  dropped,
  keptAside,
}: {
  added: readonly string[];
  dropped: readonly string[];
  keptAside: readonly string[];
}) {
  const parts = [
    ...(added.length ? [`${added.length} new`] : []),
    ...(dropped.length ? [`${dropped.length} gone`] : []),
    ...(keptAside.length ? [`${keptAside.length} kept aside`] : []),
  ];
  return parts.join(', ');
}

function Titles({ word, titles }: { readonly word: string; readonly titles: readonly string[] }) {
  if (titles.length === 0) return null;
  return (
    <p className="text-note">
      <strong>{word}:</strong> {titles.join('; ')}.
    </p>
  );
}
