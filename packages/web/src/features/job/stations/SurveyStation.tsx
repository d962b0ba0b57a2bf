import type { SpecimenView } from '@sardonyx/contract';
import { findMissingSides } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import { PhotoStrip } from '../../photos/index.ts';
import { changeRow } from '../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../shared/store.ts';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import type { PinOnMap } from '../../../shared/drawing/ExplodedMap.tsx';
import { PlanSays } from '../PlanSays.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { MeantToBeThere } from './strip/MeantToBeThere.tsx';
import { HaveInHand } from './survey/HaveInHand.tsx';
import { PartPanel } from './survey/PartPanel.tsx';
import { PestGate } from './survey/PestGate.tsx';
import { WantList } from './survey/WantList.tsx';

/** What is wrong with it, what is missing, what it is made of: part by part on the map. */
export function SurveyStation() {
  const { view, specimen, partId, isClosed } = useJob();
  const part = specimen.parts.find((candidate) => candidate.id === partId) ?? specimen.parts[0];
  const grave = specimen.findings.filter((finding) => finding.severity >= 2).length;
  const openWants = specimen.wants.filter((want) => want.state === 'open' || want.state === 'ordered');
  const [finding, setFinding] = useState<string | null>(null);
  const dispatch = useAppDispatch();
  useEffect(() => {
    const leave = (event: KeyboardEvent) => event.key === 'Escape' && setFinding(null);
    window.addEventListener('keydown', leave);
    return () => window.removeEventListener('keydown', leave);
  }, []);
  const pin = async (onPart: string, x: number, y: number) => {
    const row = specimen.findings.find((one) => one.id === finding);
    if (!row || row.specimenPartId !== onPart) return;
    const changes = { pinnedTo: 'side', pinX: round(x), pinY: round(y) };
    await dispatch(changeRow({ kind: 'findings', row, changes, label: `pinned ${row.kind}` })).unwrap();
    setFinding(null);
  };
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
          <PartMapView
            marks={countFindings(specimen.parts, specimen.findings)}
            markWord="findings"
            pins={pinsOf(specimen)}
            onPlace={finding === null ? null : (onPart, x, y) => void pin(onPart, x, y)}
          />
          <p className="text-note text-soft-ink" role="status">
            {finding
              ? 'Point at the place on its part. Esc leaves it.'
              : 'Figures before a name count the findings on a part, pins show where. Click a part, or use the arrow keys.'}
          </p>
          <PhotoStrip jobId={view.job.id} photos={view.photos} stage="before" isClosed={isClosed} />
        </>
      }
      lead={
        <Verdict>
          {specimen.findings.length
            ? `${count(specimen.findings.length, 'finding')}, ${grave} to be mended`
            : 'Nothing found yet'}
          ; {openWants.length ? `${count(openWants.length, 'want')} open` : 'no want open'};{' '}
          {missing.length ? `before-set lacks ${missing.join(', ')}` : 'before-set complete'}.
        </Verdict>
      }
    >
      <PlanSays />
      <PestGate />
      <WantList />
      <HaveInHand />
      <PartPanel key={part.id} part={part} inHand={finding} onTake={setFinding} />
      <MeantToBeThere />
      <TaskList station="survey" />
    </Zones>
  );
}

/** To a tenth of a millimetre: nobody points better. */
const round = (value: number) => Math.round(value * 10) / 10;

function pinsOf({ parts, findings }: SpecimenView): PinOnMap[] {
  return findings.flatMap(({ specimenPartId, pinnedTo, pinX, pinY }, i) => {
    const part = parts.find((one) => one.id === specimenPartId);
    if (!part || pinnedTo !== 'side' || pinX === null || pinY === null) return [];
    return [{ partKey: part.key, x: pinX, y: pinY, text: String(i + 1) }];
  });
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
