import { findMissingSides } from '@sardonyx/core';
import { PhotoStrip } from '../../photos/index.ts';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { TaskList } from '../TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { PartPanel } from './survey/PartPanel.tsx';
import { WantList } from './survey/WantList.tsx';

/** What is wrong with it, what is missing, what it is made of: part by part on the map. */
export function SurveyStation() {
  const { view, specimen, partId, isClosed } = useJob();
  const part = specimen.parts.find((candidate) => candidate.id === partId) ?? specimen.parts[0];
  const grave = specimen.findings.filter((finding) => finding.severity >= 2).length;
  const openWants = specimen.wants.filter((want) => want.state === 'open' || want.state === 'ordered');
  const missing = findMissingSides(view.photos, 'before');
  if (!part) {
    return (
      <Zones
        model={<EmptyNote title="No parts yet.">Settle the casting at Identify: its parts come with it.</EmptyNote>}
      >
        <Verdict>Nothing to survey before the casting is known.</Verdict>
        <TaskList station="survey" />
      </Zones>
    );
  }
  return (
    <Zones
      model={
        <>
          <PartMapView marks={countFindings(specimen.parts, specimen.findings)} markWord="findings" />
          <p className="text-note text-soft-ink">
            Figures count the findings on a part. Click a part, or use the arrow keys.
          </p>
          <PhotoStrip jobId={view.job.id} photos={view.photos} stage="before" isClosed={isClosed} />
        </>
      }
    >
      <Verdict rest={view.planNotices.join(' ')}>
        {specimen.findings.length
          ? `${count(specimen.findings.length, 'finding')}, ${grave} to be mended`
          : 'Nothing found yet'}
        ; {openWants.length ? `${count(openWants.length, 'want')} open` : 'no want open'};{' '}
        {missing.length ? `before-set lacks ${missing.join(', ')}` : 'before-set complete'}.
      </Verdict>
      <WantList />
      <PartPanel key={part.id} part={part} />
      <TaskList station="survey" />
    </Zones>
  );
}

const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

function countFindings(
  parts: readonly { id: string; key: string }[],
  findings: readonly { specimenPartId: string }[],
): Record<string, string> {
  return Object.fromEntries(
    parts.flatMap((part) => {
      const own = findings.filter((finding) => finding.specimenPartId === part.id).length;
      return own ? [[part.key, String(own)]] : [];
    }),
  );
}
