import type { PrintableWant, PrintView } from '@sardonyx/contract';
import { planPrint, type MeshSize, type PrintPlan, type PrintTrouble, type Shrink } from '@sardonyx/core';
import { useState } from 'react';
import { TakeOffList } from '../../shared/edits/TakeOffList.tsx';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { saveFile } from '../../shared/ui/saveFile.ts';
import { Sign } from '../../shared/ui/Sign.tsx';
import { PrintRunForm } from './PrintRunForm.tsx';
import { PrintRuns } from './PrintRuns.tsx';
import { ThreeViews } from './ThreeViews.tsx';
import { TurnMesh } from './TurnMesh.tsx';
import { WantedSizes } from './WantedSizes.tsx';
import { useMesh } from './worker/useMesh.ts';

interface PrintDetailsProps {
  readonly print: PrintView;
  readonly wants: readonly PrintableWant[];
}

/** One part: how it looks and measures, how large it is written, what was printed of it. */
export function PrintDetails({ print, wants }: PrintDetailsProps) {
  const { mesh, share, error, write } = useMesh(print.id);
  const [isWriting, setWriting] = useState(false);
  const plan = planPrint(print.size, print.wanted, print.shrink);
  const takeOut = async () => {
    setWriting(true);
    saveFile(await write(plan.scale), `${print.name}, scaled.stl`);
    setWriting(false);
  };
  return (
    <section aria-label={print.name} className="grid items-start gap-6 min-[900px]:grid-cols-2">
      <header className="min-[900px]:col-span-2">
        <h2>{print.name}</h2>
        <p className="text-soft-ink">{sayMesh(print.size)}</p>
      </header>
      <div className="space-y-4">
        {error && <ErrorNote error={error} />}
        {!mesh && !error && <Progress what={`Reading ${print.fileName}`} share={share} />}
        {mesh && <TurnMesh name={print.name} corners={mesh.corners} />}
        {mesh && <ThreeViews name={print.name} views={mesh.views} />}
      </div>
      <div className="space-y-5">
        <WantedSizes print={print} />
        <Answer plan={plan} shrink={print.shrink} resin={print.resin} />
        <div className="flex flex-wrap gap-3">
          <button type="button" className="main-button" disabled={!mesh || isWriting} onClick={() => void takeOut()}>
            Write the scaled file (STL)
          </button>
          <a className="plain-button" href={`/api/prints/${encodeURIComponent(print.id)}/mesh`} download>
            As it was brought
          </a>
        </div>
        <PrintRunForm print={print} wants={wants} />
        <PrintRuns print={print} />
        <div className="grid gap-3 sm:grid-cols-3">
          <Autosaved kind="prints" row={print} field="name" label="Name" />
          <Autosaved kind="prints" row={print} field="resin" label="Printed of which resin" />
          <Autosaved kind="prints" row={print} field="note" label="Note" />
        </div>
        {print.runs.length === 0 && <TakeOffList kind="prints" row={print} label={print.name} />}
      </div>
    </section>
  );
}

function sayMesh({ size, triangles, areaCm2, volumeCm3, isClosed, openEdges }: MeshSize): string {
  return [
    `As it was brought: ${size.map((mm) => mm.toFixed(2)).join(' × ')} mm`,
    `${areaCm2.toFixed(1)} cm² of surface`,
    isClosed ? `${volumeCm3!.toFixed(2)} cm³` : `not closed, ${openEdges} open ${openEdges === 1 ? 'edge' : 'edges'}`,
    `${triangles} triangles.`,
  ].join(', ');
}

/** One figure where it is the same along each axis. */
function sayScale(scale: PrintPlan['scale']): string {
  const shown = scale.map((one) => `${(100 * one).toFixed(1)} %`);
  return new Set(shown).size === 1 ? `${shown[0]} as large` : `${shown.join(' × ')} as large`;
}

const TROUBLE_WORDS: Readonly<Record<PrintTrouble, string>> = {
  'not closed': 'The mesh is not closed: a printer may fill it wrongly. Mend it where it was made.',
  'inside out': 'Its faces look inwards: a printer may print the room round it. Turn them where it was made.',
  'thin wall': 'A wall under 0.5 mm breaks when it is handled (planning estimate).',
  stretched:
    'It is stretched by more than 2 % along one axis: what is round in it is not round any more. Measure again.',
  'nothing asked': 'Nobody said how large it is to be: it is only made larger by what the resin loses.',
};

/** How it comes out, with its spread, and what is wrong with that. */
function Answer({
  plan,
  shrink,
  resin,
}: {
  readonly plan: PrintPlan;
  readonly shrink: Shrink;
  readonly resin: string;
}) {
  const { scale, cured, thinnestMm, troubles } = plan;
  return (
    <div className="space-y-1">
      <p>
        Cured, it is{' '}
        <strong className="figure">
          {cured.map(({ mm, sd }) => `${mm.toFixed(2)} ± ${sd.toFixed(2)}`).join(' × ')} mm
        </strong>
        {thinnestMm !== null && `, its thinnest wall about ${thinnestMm.toFixed(2)} mm`}. The file is written{' '}
        {sayScale(scale)}.
      </p>
      <p className="text-note text-soft-ink">
        {resin || 'The resin'} loses {(100 * shrink.share).toFixed(2)} ± {(100 * shrink.sd).toFixed(2)} % of a length (
        {shrink.prints === 0
          ? 'planning estimate, until a cured copy was measured'
          : `learned from ${shrink.prints} measured ${shrink.prints === 1 ? 'print' : 'prints'}`}
        ). Walls are met by samples: a thinner spot may lie between them.
      </p>
      {troubles.map((trouble) => (
        <p key={trouble}>
          <Sign of="warning" /> {TROUBLE_WORDS[trouble]}
        </p>
      ))}
    </div>
  );
}
