import type { ColourSample, Point } from '@sardonyx/core';
import { CAPTURE_PLACES, type CapturePlace } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { Radios } from '../../../shared/ui/Radios.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { PhotoCanvas, usePhotoWorker } from '../../photos/index.ts';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { useColourBench } from '../ColourContext.tsx';
import { HouseCard } from './HouseCard.tsx';
import { KeepCapture, type CaptureDraft } from './KeepCapture.tsx';
import { KeptColours } from './KeptColours.tsx';
import { ReadWithInstrument } from './ReadWithInstrument.tsx';
import { TypeColour } from './TypeColour.tsx';
import { useFittedCard } from './useFittedCard.ts';

const LOUPES = [6, 12, 20] as const;
const CORNERS = ['upper left', 'upper right', 'lower right', 'lower left'];

/** The old colour, before anything takes it off: from a photograph with the card, an instrument, or numbers. */
export function CaptureAct() {
  const { view, parts, isClosed, nameOfPart } = useColourBench();
  const [params, setParams] = useSearchParams();
  const photos = view.photos.filter((photo) => photo.stage === 'before');
  const photo =
    photos.find((one) => one.id === params.get('photo')) ??
    photos.findLast((one) => one.side === 'detail') ??
    photos[0];
  const partId = params.get('part') ?? parts.find((part) => part.role === 'body')?.id ?? parts[0]?.id ?? '';
  const [place, setPlace] = useState<CapturePlace>('sheltered');
  const [draft, setDraft] = useState<CaptureDraft | null>(null);
  const set = (name: string, value: string) =>
    setParams((before) => (before.set(name, value), before), { replace: true });
  const choosePlace = (next: CapturePlace) => {
    setPlace(next);
    setDraft(null);
  };
  if (parts.length === 0)
    return <EmptyNote title="No parts yet.">Settle the casting at Identify: its parts come with it.</EmptyNote>;
  return (
    <div className="flex flex-col gap-14 min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,55fr)_minmax(0,45fr)]">
      <div className="min-w-0 space-y-2">
        {photo ? (
          <PhotoSampler
            key={photo.id}
            photo={photo}
            onSample={(sample, point, radius) =>
              setDraft(
                sample && {
                  ...{ lab: sample.lab, sd: sample.sd, spectrum: null, geometry: 'gloss left out', method: 'photo' },
                  ...{
                    photoId: photo.id,
                    point,
                    radius,
                    origin: `${sample.kept} of ${sample.seen} pixels under the loupe`,
                  },
                },
              )
            }
          />
        ) : (
          <EmptyNote title="No photograph yet.">Lay the colour card beside the model and take one at Survey.</EmptyNote>
        )}
        <HouseCard />
        {photos.length > 1 && (
          <Field label="Photograph" isQuiet>
            <Select
              value={photo?.id}
              options={photos.map((one) => ({
                value: one.id,
                label: `${one.side}${one.caption ? `: ${one.caption}` : ''}`,
              }))}
              onChange={(value) => set('photo', value)}
            />
          </Field>
        )}
      </div>
      <div className="min-w-0 space-y-5">
        <p className="text-act font-semibold">Capture the old colour while it is there</p>
        {!isClosed && (
          <>
            <div className="flex flex-wrap items-end gap-4">
              <Field label="Part" isQuiet width="14rem">
                <Select
                  value={partId}
                  options={parts.map((part) => ({ value: part.id, label: nameOfPart(part.id) }))}
                  onChange={(value) => set('part', value)}
                />
              </Field>
              <Radios label="Place" look="quiet" value={place} options={CAPTURE_PLACES} onChange={choosePlace} />
            </div>
            <p className="text-soft-ink">
              {place === 'sheltered'
                ? 'Sheltered: behind a flap, under the base, inside a wheel: what left the factory.'
                : 'Exposed: an open face. What it differs by is the fade.'}
            </p>
            <KeepCapture draft={draft} partId={partId} place={place} onKept={() => setDraft(null)} />
            <ReadWithInstrument partId={partId} place={place} onRead={setDraft} />
            <TypeColour onTyped={setDraft} />
          </>
        )}
        <KeptColours />
      </div>
    </div>
  );
}

interface PhotoSamplerProps {
  readonly photo: Parameters<typeof PhotoCanvas>[0]['photo'];
  readonly onSample: (sample: ColourSample | null, point: Point, radius: number) => void;
}

/** The photograph with its card found, and a loupe that is set where the colour is wanted. */
function PhotoSampler({ photo, onSample }: PhotoSamplerProps) {
  const { view } = useColourBench();
  const worker = usePhotoWorker();
  const url = `/api/photos/${photo.hash}/full`;
  const [corners, setCorners] = useState<readonly Point[] | null>(null);
  const { fitted, problem } = useFittedCard(worker, url, corners?.length === 4 ? corners : null, view.house.colourCard);
  const [point, setPoint] = useState<Point | null>(null);
  const [radius, setRadius] = useState<number>(LOUPES[1]);
  const [fault, setFault] = useState<string | null>(null);
  const isPointing = corners !== null && corners.length < 4;
  const { sample } = worker;
  useEffect(() => {
    if (!fitted || !point) return;
    let isCurrent = true;
    sample(url, fitted.fit, point, radius).then(
      (found) => {
        if (!isCurrent) return;
        setFault(null);
        onSample(found, point, radius);
      },
      (error: unknown) => {
        if (!isCurrent) return;
        setFault(error instanceof Error ? error.message : String(error));
        onSample(null, point, radius);
      },
    );
    return () => void (isCurrent = false);
    // The worker's functions change with its progress; the question does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [fitted, point, radius, url]);
  const held = corners?.length ?? 0;
  const add = (at: Point) => (isPointing ? setCorners([...corners, at]) : setPoint(at));
  const move = (index: number, at: Point) =>
    index < held ? setCorners(corners!.map((one, i) => (i === index ? at : one))) : setPoint(at);
  const wordOf = (index: number) => (index < held ? String(index + 1) : '');
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <p role="status" className="grow">
          {!isPointing && (problem ?? (fitted && fault)) && <Sign of="warning" />}
          {isPointing
            ? `Point at the card’s dots: next the ${CORNERS[corners.length]} one.`
            : problem
              ? problem
              : !fitted
                ? 'Looking for the colour card ...'
                : fault
                  ? fault
                  : `Card found: ${fitted.dots.length} dots, ${fitted.fit.model}, off by ${fitted.fit.heldOut.median.toFixed(1)} dE00 (worst ${fitted.fit.heldOut.worst.toFixed(1)}) on fields that were left out of the fit.${point ? '' : ' Now set the loupe on the paint.'}`}
        </p>
        <Field label="Loupe" isBeside>
          <Select
            value={radius}
            options={LOUPES.map((one) => ({ value: one, label: `${2 * one} px` }))}
            onChange={setRadius}
          />
        </Field>
        {fitted && !corners && (
          <button type="button" className="quiet-button" onClick={() => setCorners(fitted.dots.slice(0, 4))}>
            Drag the card’s corners
          </button>
        )}
        <button type="button" className="quiet-button" onClick={() => (setCorners([]), setPoint(null))}>
          Point at the card myself
        </button>
      </div>
      <PhotoCanvas
        photo={photo}
        points={[...(corners ?? []), ...(point && !isPointing ? [point] : [])]}
        pointWord={wordOf}
        onAdd={isPointing || fitted ? add : null}
        onMove={move}
      >
        {(k) => (
          <>
            {fitted?.dots.map(({ x, y }, i) => (
              <circle key={i} cx={x} cy={y} r={9 * k} fill="none" stroke="#fff" strokeWidth={2.5 * k} />
            ))}
            {fitted && point && (
              <circle cx={point.x} cy={point.y} r={radius} fill="none" stroke="#fff" strokeWidth={2 * k} />
            )}
          </>
        )}
      </PhotoCanvas>
    </>
  );
}
