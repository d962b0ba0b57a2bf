import type { JobView } from '@sardonyx/contract';
import { countPointsNeeded, type Photo, type PhotoMeasure, type PhotoMeasureKind, type Point } from '@sardonyx/core';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { useGetJobQuery } from '../../shared/api/api.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { formatMoment } from '../../shared/dates/sayDates.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { ComparePhotos } from './ComparePhotos.tsx';
import { MeasureList } from './MeasureList.tsx';
import { MeasureTool } from './MeasureTool.tsx';
import { PhotoCanvas } from './PhotoCanvas.tsx';
import { PinFindings, pinOf } from './PinFindings.tsx';
import { describeControl, Straighten } from './Straighten.tsx';
import { usePhotoWorker } from './worker/usePhotoWorker.ts';

const MOST_RIM_POINTS = 24;
const TOOL_OPTIONS = [
  { value: 'straighten', label: 'Straighten' },
  { value: 'measure', label: 'Measure' },
  { value: 'pin', label: 'Pin findings' },
  { value: 'compare', label: 'Compare' },
] as const;
type Tool = (typeof TOOL_OPTIONS)[number]['value'];

/** One photograph: straightened by what is known in it, measured, pinned, compared. */
export function PhotoPage() {
  const { jobId = '', photoId = '' } = useParams();
  const { data, error } = useGetJobQuery(jobId);
  if (!data) return <Pending what="the photograph" error={error} />;
  const photo = data.photos.find((one) => one.id === photoId);
  if (!photo)
    return (
      <div className="p-6">
        <EmptyNote title="This photograph is not here any more.">
          <Link className="underline" to={`/jobs/${jobId}/survey`}>
            Back to the survey
          </Link>
        </EmptyNote>
      </div>
    );
  return <PhotoBench key={photo.id} view={data} photo={photo} />;
}

function PhotoBench({ view, photo }: { readonly view: JobView; readonly photo: Photo }) {
  const dispatch = useAppDispatch();
  const worker = usePhotoWorker();
  const [params, setParams] = useSearchParams();
  const asked = params.get('tool') as Tool | null;
  const tool: Tool = TOOL_OPTIONS.some(({ value }) => value === asked)
    ? asked!
    : photo.control
      ? 'measure'
      : 'straighten';
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [finding, setFinding] = useState<string | null>(null);
  const isClosed = view.job.signedOffAt !== null;
  const specimen = view.specimens.find((one) => one.specimen.id === photo.specimenId) ?? view.specimens[0]!;
  const measures = view.photoMeasures.filter((measure) => measure.photoId === photo.id);
  const choose = (next: Tool) => {
    setPoints([]);
    setFinding(null);
    setParams({ tool: next }, { replace: true });
  };
  const pin = async (point: Point) => {
    const row = specimen.findings.find((one) => one.id === finding);
    if (!row) return;
    const changes = { pinnedTo: pinOf(photo), pinX: point.x / photo.widthPx, pinY: point.y / photo.heightPx };
    await dispatch(changeRow({ kind: 'findings', row, changes, label: `pinned ${row.kind}` })).unwrap();
    setFinding(null);
  };
  const needsPoints = tool === 'straighten' || (tool === 'measure' && photo.control !== null);
  const [kind, setKind] = useState<PhotoMeasureKind>('length');
  const [isSnapping, setSnapping] = useState(false);
  // A rim takes as many points as somebody likes to set.
  const most = tool === 'straighten' ? 4 : kind === 'diameter' ? MOST_RIM_POINTS : countPointsNeeded(kind);
  const addPoint = async (point: Point) => {
    const edge =
      tool === 'measure' && isSnapping
        ? await worker.snap(`/api/photos/${photo.hash}/full`, point).catch(() => null)
        : null;
    setPoints((before) => (before.length >= most ? before : [...before, edge ?? point]));
  };
  const canPoint = !isClosed && (tool === 'pin' ? finding !== null : needsPoints);
  const add = canPoint ? (point: Point) => void (tool === 'pin' ? pin(point) : addPoint(point)) : null;
  const move = (index: number, point: Point) =>
    setPoints((before) => before.map((one, i) => (i === index ? point : one)));
  return (
    <div className="space-y-3 px-4 py-3">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="text-lead! leading-6">
          <Link className="figure underline underline-offset-4" to={`/jobs/${view.job.id}/survey`}>
            {view.job.number}
          </Link>{' '}
          {view.job.title}, {photo.side}
        </h1>
        <span className="text-soft-ink">
          {photo.stage}, {formatMoment(photo.takenAt)}
          {photo.caption && ` · ${photo.caption}`} · {photo.widthPx} × {photo.heightPx}
        </span>
      </div>
      <p>
        {photo.control
          ? `Straight: ${describeControl(photo.control, photo).text}`
          : 'Not straightened yet: nothing can be measured on it before four places in it are known.'}
      </p>
      <div className="flex flex-col gap-5 min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,62fr)_minmax(0,38fr)]">
        <div className="min-w-0">
          {tool === 'compare' && photo.control ? (
            <ComparePhotos
              photo={photo}
              photos={view.photos}
              measures={view.photoMeasures}
              specimen={specimen}
              worker={worker}
            />
          ) : (
            <PhotoCanvas photo={photo} points={points} onAdd={add} onMove={move}>
              {(k) => (
                <>
                  {measures.map((measure) => (
                    <MeasureMark key={measure.id} measure={measure} k={k} />
                  ))}
                  {specimen.findings.map(
                    (one, i) =>
                      one.pinnedTo === pinOf(photo) && (
                        <g
                          key={one.id}
                          transform={`translate(${one.pinX! * photo.widthPx} ${one.pinY! * photo.heightPx}) scale(${k})`}
                        >
                          <path d="M0 0L-8 -20A10.5 10.5 0 1 1 8 -20Z" fill="#fff" stroke="#000" strokeWidth={2} />
                          <text y={-20} textAnchor="middle" fontSize={14} fontWeight={700} fill="#000">
                            {i + 1}
                          </text>
                        </g>
                      ),
                  )}
                </>
              )}
            </PhotoCanvas>
          )}
        </div>
        <div className="min-w-0 space-y-5">
          <Toggles aria-label="What to do with it" value={tool} options={TOOL_OPTIONS} onChange={choose} />
          {tool === 'straighten' &&
            (isClosed ? (
              <p>The job is signed off; its photographs stand as they are.</p>
            ) : (
              <>
                <Straighten photo={photo} points={points} worker={worker} onDone={() => choose('measure')} />
                {points.length > 0 && (
                  <button type="button" className="quiet-button" onClick={() => setPoints([])}>
                    Point anew
                  </button>
                )}
              </>
            ))}
          {tool === 'measure' && photo.control && !isClosed && (
            <>
              <MeasureTool photo={photo} kind={kind} onKind={setKind} points={points} onClear={() => setPoints([])} />
              <Checkbox checked={isSnapping} onChange={setSnapping}>
                Snap each point to the nearest edge
              </Checkbox>
            </>
          )}
          {tool === 'pin' && <PinFindings photo={photo} specimen={specimen} inHand={finding} onTake={setFinding} />}
          {(tool === 'measure' || tool === 'compare') && !photo.control && (
            <EmptyNote title="Straighten it first.">
              Show four places whose distances are known: the bench card’s corners.
            </EmptyNote>
          )}
          <MeasureList measures={measures} specimen={specimen} isClosed={isClosed} />
        </div>
      </div>
    </div>
  );
}

/** What was measured, drawn where it was. */
function MeasureMark({ measure: { kind, points, label }, k }: { readonly measure: PhotoMeasure; readonly k: number }) {
  const path = kind === 'angle' ? [points[1]!, points[0]!, points[2]!] : points;
  const lines = kind === 'twist' ? [points.slice(0, points.length / 2), points.slice(points.length / 2)] : [path];
  const [first] = points;
  return (
    <g aria-hidden>
      {lines.map((line, i) => {
        const text = line.map(({ x, y }) => `${x},${y}`).join(' ');
        return (
          <g key={i} fill="none">
            <polyline points={text} stroke="#fff" strokeWidth={4 * k} />
            <polyline points={text} stroke="#000" strokeWidth={1.6 * k} strokeDasharray={`${6 * k} ${3 * k}`} />
          </g>
        );
      })}
      {first && (
        <text
          x={first.x}
          y={first.y - 8 * k}
          fontSize={14 * k}
          fill="#000"
          stroke="#fff"
          strokeWidth={3 * k}
          paintOrder="stroke"
        >
          {label}
        </text>
      )}
    </g>
  );
}
