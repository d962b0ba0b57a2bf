import type { PlannedDecalView, SpecimenView } from '@sardonyx/contract';
import {
  computePaint,
  snapPlace,
  tryPlace,
  type Crossed,
  type DecalArtwork,
  type DecalPlace,
  type DrawingView,
  type PaintOfParts,
  type PanelFit,
} from '@sardonyx/core';
import { useState } from 'react';
import { useGetJobQuery } from '../../shared/api/api.ts';
import { MarginDrawing } from '../../shared/decal/MarginDrawing.tsx';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Dialog } from '../../shared/ui/Dialog.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { PictureCanvas } from '../../shared/ui/PictureCanvas.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Slider } from '../../shared/ui/Slider.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { Inks } from './ArtworkPicture.tsx';

interface TrialPlacingProps {
  readonly decal: PlannedDecalView;
  readonly artwork: DecalArtwork;
}

/** A decal is tried on the drawing of its model before it is wet: where it lies there is its plan. */
export function TrialPlacing({ decal, artwork }: TrialPlacingProps) {
  const [isOpen, setOpen] = useState(false);
  if (!decal.tried?.place) return <span className="text-note text-soft-ink">No drawing to try it on.</span>;
  return (
    <>
      <button type="button" className="quiet-button" onClick={() => setOpen(true)}>
        Try it on the drawing<span className="sr-only">, {decal.name}</span>
      </button>
      {isOpen && (
        <Dialog isOpen title={`${decal.jobNumber}: ${decal.name} on the drawing`} isWide onClose={() => setOpen(false)}>
          <OnDrawing decal={decal} artwork={artwork} />
        </Dialog>
      )}
    </>
  );
}

function OnDrawing({ decal, artwork }: TrialPlacingProps) {
  const { data, error } = useGetJobQuery(decal.jobId);
  const specimen = data?.specimens.find((one) => one.specimen.id === decal.specimenId);
  if (!specimen) return <Pending what="the model" error={error} />;
  return <Trial decal={decal} artwork={artwork} specimen={specimen} />;
}

/** An arrow key moves it by so much, mm. */
const NUDGE_MM = 0.1;
/** Round the panel, as a share of the view. */
const PAD_MM = 3;
const SIDES = ['as drawn', 'the other side'] as const;

function Trial({ decal, artwork, specimen }: TrialPlacingProps & { readonly specimen: SpecimenView }) {
  const dispatch = useAppDispatch();
  const { plan, panel, partKey } = decal;
  const [draft, setDraft] = useState<DecalPlace | null>(plan!.place);
  const [side, setSide] = useState<(typeof SIDES)[number]>('as drawn');
  const drawing = specimen.casting?.casting.drawing ?? null;
  const tried = tryPlace({
    ...{ size: artwork, drawing, partKey, area: { name: decal.area }, panel, place: draft },
  });
  const at = tried.place;
  const view = drawing?.views.find((one) => one.view === at?.view);
  if (!at || !view) return <p>The drawing of this casting shows no place for it.</p>;
  const save = (place: DecalPlace | null) =>
    void dispatch(changeRow({ kind: 'decal-plans', row: plan!, changes: { place }, label: `place of ${decal.name}` }));
  const isMirrored = side === 'the other side';
  // On the other side all is the mirror image but the decal itself.
  const across = (x: number) => (isMirrored ? view.widthMm - x : x);
  const turn = isMirrored ? -at.turnDegrees : at.turnDegrees;
  const isSaved = JSON.stringify(draft) === JSON.stringify(plan!.place);
  return (
    <div className="grid gap-4 min-[1000px]:grid-cols-[1fr_20rem]">
      <div className="space-y-4">
        <PictureCanvas
          label={`${decal.name} on the ${at.view}`}
          box={{ x: -PAD_MM, y: -PAD_MM, width: view.widthMm + 2 * PAD_MM, height: view.heightMm + 2 * PAD_MM }}
          points={[{ x: across(at.x), y: at.y }]}
          pointWord={() => 'middle of the decal'}
          hasWordsBeside={false}
          nudge={NUDGE_MM}
          onMove={(_, point, by) => {
            const moved = { ...at, x: round(across(point.x)), y: round(point.y) };
            setDraft(by === 'hand' ? snapPlace(moved, panel) : moved);
          }}
        >
          {(k) => (
            <>
              <g aria-hidden transform={isMirrored ? `matrix(-1 0 0 1 ${view.widthMm} 0)` : undefined}>
                <Model view={view} specimen={specimen} decal={decal} />
                {panel?.middle && (
                  <rect
                    x={panel.middle.x - panel.width.mm / 2}
                    y={panel.middle.y - panel.height.mm / 2}
                    width={panel.width.mm}
                    height={panel.height.mm}
                    fill="none"
                    stroke="#fff"
                    strokeWidth={1.5 * k}
                    strokeDasharray={`${4 * k} ${3 * k}`}
                  />
                )}
              </g>
              <g
                aria-hidden
                transform={`translate(${across(at.x)} ${at.y}) rotate(${turn}) translate(${-artwork.widthMm / 2} ${-artwork.heightMm / 2})`}
              >
                <Inks shapes={artwork.shapes} />
              </g>
            </>
          )}
        </PictureCanvas>
        {tried.fit && panel ? (
          <MarginDrawing panel={panel} fit={isMirrored ? mirrorFit(tried.fit) : tried.fit} name={decal.name} />
        ) : (
          <p>Its panel is not known: measure it, and its margins are told.</p>
        )}
      </div>
      <div className="space-y-3">
        <Toggles aria-label="Which side" value={side} options={SIDES} onChange={setSide} />
        <div>
          <span className="block text-note">Turned</span>
          <Slider
            label="Turned"
            min={-15}
            max={15}
            step={0.5}
            value={at.turnDegrees}
            say={(degrees) => `${degrees.toFixed(1)}°`}
            onChange={(turnDegrees) => setDraft({ ...at, turnDegrees })}
          />
        </div>
        {tried.fit && (
          <p>
            <Sign of={tried.fit.verdict === 'fits' ? 'done' : 'warning'} /> All margins hold{' '}
            {Math.round(100 * tried.fit.chance)} % of the time here.
          </p>
        )}
        <SayCrossed crossed={tried.crossed} specimen={specimen} />
        <p className="text-note text-soft-ink">
          Drag its middle, or press it and move it with the arrow keys, 0.1 mm each; with Shift 1 mm. Dragged near a
          middle line it jumps there.
        </p>
        <div className="flex flex-wrap gap-3">
          <button type="button" className="main-button" disabled={isSaved} onClick={() => save(draft)}>
            So it is planned
          </button>
          {draft !== null && (
            <button type="button" className="quiet-button" onClick={() => setDraft(null)}>
              Back to the middle
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

/** As it is seen on the other side: what is on the left here is on the right there. */
const mirrorFit = (fit: PanelFit): PanelFit => ({
  ...fit,
  margins: { ...fit.margins, left: fit.margins.right, right: fit.margins.left },
});

const round = (mm: number) => +mm.toFixed(3);

/** The model in its paint, with what the decal will lie on. */
function Model({
  view,
  specimen,
  decal: { partKey, body },
}: {
  readonly view: DrawingView;
  readonly specimen: SpecimenView;
  readonly decal: PlannedDecalView;
}) {
  const now = computePaint(specimen.parts, specimen.areas, specimen.layers);
  const paint: PaintOfParts = body ? { ...now, [partKey]: { ...now[partKey], outside: body.hex } } : now;
  const box = { x: -PAD_MM, y: -PAD_MM, width: view.widthMm + 2 * PAD_MM, height: view.heightMm + 2 * PAD_MM };
  return (
    <svg {...box} aria-hidden>
      <ModelDrawing view={view} paint={paint} parts={specimen.parts} label="" crop={box} />
    </svg>
  );
}

const CROSSED_WORDS: Readonly<Record<Crossed['what'], string>> = {
  edge: 'It hangs over the edge of the',
  relief: 'It lies over relief on the',
  joint: 'It crosses the joint with the',
};

function SayCrossed({ crossed, specimen }: { readonly crossed: readonly Crossed[]; readonly specimen: SpecimenView }) {
  const nameOf = (partKey: string) =>
    (specimen.parts.find(({ key }) => key === partKey)?.name ?? partKey).toLowerCase();
  return (
    <>
      {crossed.map(({ what, partKey }) => (
        <p key={`${what} ${partKey}`}>
          <Sign of="warning" /> {CROSSED_WORDS[what]} {nameOf(partKey)}.
        </p>
      ))}
      {crossed.some(({ what }) => what === 'joint') && (
        <p className="text-note">
          Say at Finish that its area lies over the joint: then its step waits until that is closed for good.
        </p>
      )}
    </>
  );
}
