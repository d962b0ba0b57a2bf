import type { JobView, PlannedDecalView } from '@sardonyx/contract';
import {
  InvalidInputError,
  measurePanel,
  USUAL_PLACING,
  type DecalArtwork,
  type Photo,
  type Point,
} from '@sardonyx/core';
import { useState } from 'react';
import { useGetJobQuery } from '../../shared/api/api.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { readOptional } from '../../shared/form/readNumber.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Dialog } from '../../shared/ui/Dialog.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { PictureCanvas } from '../../shared/ui/PictureCanvas.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { useStraightened } from '../photos/index.ts';
import { Inks } from './ArtworkPicture.tsx';

interface OnPhotographProps {
  readonly decal: PlannedDecalView;
  readonly artwork: DecalArtwork;
}

/** The panel is measured on a straightened photograph, and the decal laid over it. */
export function OnPhotograph({ decal, artwork }: OnPhotographProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="quiet-button" onClick={() => setOpen(true)}>
        Lay it over a photograph<span className="sr-only">, {decal.name}</span>
      </button>
      {isOpen && (
        <Dialog
          isOpen
          title={`${decal.jobNumber}: ${decal.name} on a photograph`}
          isWide
          onClose={() => setOpen(false)}
        >
          <Choose decal={decal} artwork={artwork} />
        </Dialog>
      )}
    </>
  );
}

function Choose({ decal, artwork }: OnPhotographProps) {
  const { data, error } = useGetJobQuery(decal.jobId);
  const [photoId, setPhotoId] = useState<string | null>(null);
  if (!data) return <Pending what="the photographs" error={error} />;
  const photos = selectStraight(data, decal.specimenId);
  const photo = photos.find(({ id }) => id === photoId) ?? photos[0];
  if (!photo) return <p>None of its photographs is straightened by a card: straighten one at Survey first.</p>;
  return (
    <div className="space-y-3">
      {photos.length > 1 && (
        <Field label="Photograph" width="16rem">
          <Select
            value={photo.id}
            options={photos.map(({ id, side, caption }) => ({ value: id, label: caption || side }))}
            onChange={setPhotoId}
          />
        </Field>
      )}
      <Measure key={photo.id} decal={decal} artwork={artwork} photo={photo} />
    </div>
  );
}

const selectStraight = ({ photos }: JobView, specimenId: string): readonly Photo[] =>
  photos.filter((one) => one.control !== null && (one.specimenId === specimenId || one.specimenId === null));

/** An arrow key moves a corner by so much, mm. */
const NUDGE_MM = 0.1;
const CORNERS = ['one corner of its panel', 'the opposite corner'] as const;

function Measure({ decal, artwork, photo }: OnPhotographProps & { readonly photo: Photo }) {
  const dispatch = useAppDispatch();
  const { flat, problem, isWaiting, share, cancel } = useStraightened(photo);
  const [corners, setCorners] = useState<readonly Point[]>([]);
  const [nearer, setNearer] = useState('0');
  const [distance, setDistance] = useState('');
  if (isWaiting) return <Progress what="Straightening the picture" share={share} onEnd={cancel} />;
  if (!flat) return <p role="alert">{problem}</p>;
  const { left, top, widthMm, heightMm } = flat.region;
  const depth = { nearerMm: readOptional(nearer) ?? 0, distanceMm: readOptional(distance) };
  const read = corners.length < 2 ? null : tryMeasure(photo, corners as [Point, Point], depth);
  const { plan, tried } = decal;
  const [one, other] = corners;
  const middle = one && other ? { x: (one.x + other.x) / 2, y: (one.y + other.y) / 2 } : null;
  // As it was tried on the drawing, seen from the middle of its panel.
  const off = tried?.off ?? { x: 0, y: 0 };
  const save = ({ width, height }: Exclude<typeof read, string | null>) =>
    void dispatch(
      changeRow({
        ...{ kind: 'decal-plans', row: plan!, label: `panel of ${decal.name}` },
        changes: {
          panel: {
            ...{ widthMm: round(width.mm), heightMm: round(height.mm) },
            sdMm: Math.max(0.01, round(Math.max(width.sd, height.sd))),
            marginMm: plan?.panel?.marginMm ?? USUAL_PLACING.marginMm,
          },
        },
      }),
    );
  return (
    <div className="grid gap-4 min-[1000px]:grid-cols-[1fr_18rem]">
      <PictureCanvas
        label={`The panel of ${decal.name}`}
        box={{ x: left, y: top, width: widthMm, height: heightMm }}
        points={corners}
        nudge={NUDGE_MM}
        onAdd={corners.length < 2 ? (point) => setCorners([...corners, point]) : null}
        onMove={(index, point) => setCorners(corners.map((own, i) => (i === index ? point : own)))}
      >
        {(k) => (
          <>
            <image href={flat.url} x={left} y={top} width={widthMm} height={heightMm} />
            {one && other && (
              <rect
                x={Math.min(one.x, other.x)}
                y={Math.min(one.y, other.y)}
                width={Math.abs(one.x - other.x)}
                height={Math.abs(one.y - other.y)}
                fill="none"
                stroke="#fff"
                strokeWidth={1.5 * k}
                strokeDasharray={`${4 * k} ${3 * k}`}
              />
            )}
            {middle && (
              <g
                aria-hidden
                opacity={0.85}
                transform={`translate(${middle.x + off.x} ${middle.y + off.y}) rotate(${tried?.place?.turnDegrees ?? 0}) translate(${-artwork.widthMm / 2} ${-artwork.heightMm / 2})`}
              >
                <Inks shapes={artwork.shapes} />
              </g>
            )}
          </>
        )}
      </PictureCanvas>
      <div className="space-y-3">
        <p role="status" className="text-act font-semibold">
          {typeof read === 'string' && <Sign of="warning" />}
          {read === null
            ? `Press ${CORNERS[corners.length]}.`
            : typeof read === 'string'
              ? read
              : `${read.width.mm.toFixed(1)} ± ${read.width.sd.toFixed(1)} by ${read.height.mm.toFixed(1)} ± ${read.height.sd.toFixed(1)} mm.`}
        </p>
        <div className="flex flex-wrap gap-3">
          <Field label="Nearer than the card, mm" isQuiet width="8rem">
            <input inputMode="decimal" value={nearer} onChange={(event) => setNearer(event.target.value)} />
          </Field>
          <Field label="Lens to card, mm" isQuiet width="8rem">
            <input inputMode="decimal" value={distance} onChange={(event) => setDistance(event.target.value)} />
          </Field>
        </div>
        <p className="text-note text-soft-ink">
          A side that lies nearer to the lens than the card looks larger than it is. The decal is drawn at its own size:
          where both are right it shows how it will lie.
        </p>
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="main-button"
            disabled={read === null || typeof read === 'string'}
            onClick={() => read !== null && typeof read !== 'string' && save(read)}
          >
            Take it as its panel
          </button>
          {corners.length > 0 && (
            <button type="button" className="quiet-button" onClick={() => setCorners([])}>
              Press anew
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

const round = (mm: number) => +mm.toFixed(2);

function tryMeasure(photo: Photo, corners: [Point, Point], depth: Parameters<typeof measurePanel>[3]) {
  if (Number.isNaN(depth.nearerMm) || Number.isNaN(depth.distanceMm)) return 'Type both lengths as numbers, mm.';
  try {
    return measurePanel(photo.control!, photo, corners, depth);
  } catch (error) {
    if (error instanceof InvalidInputError) return error.message;
    throw error;
  }
}
