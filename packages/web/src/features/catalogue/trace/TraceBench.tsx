import type { CastingPhoto, CastingView } from '@sardonyx/contract';
import {
  fitTrace,
  insertNode,
  type Bend,
  type Point,
  type Trace,
  type TracedShape,
  type ViewKind,
} from '@sardonyx/core';
import { useState } from 'react';
import { useWriteTraceMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { AlertDialog } from '../../../shared/ui/AlertDialog.tsx';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { EmptyNote, ErrorNote } from '../../../shared/ui/Notice.tsx';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { Toggles } from '../../../shared/ui/Toggles.tsx';
import { usePhotoWorker } from '../../photos/index.ts';
import { ArtworkFiles } from './ArtworkFiles.tsx';
import { LayUnder } from './LayUnder.tsx';
import { LookPlaces } from './LookPlaces.tsx';
import { ShapeInHand } from './ShapeInHand.tsx';
import { TraceCanvas } from './TraceCanvas.tsx';
import { SURFACE_WORDS } from './traceWords.ts';
import { useTraceDraft } from './useTraceDraft.ts';
import { useUnderlay } from './useUnderlay.ts';

interface TraceBenchProps {
  readonly view: CastingView;
  readonly kind: ViewKind;
  /** Straightened ones. */
  readonly photos: readonly CastingPhoto[];
  readonly hasPhotos: boolean;
}

const TOOLS = [
  { value: 'lines', label: 'Lines' },
  { value: 'places', label: 'Places to look at' },
] as const;

/** A photograph is laid under the drawing, then its parts are traced line by line; without one they are drawn freely. */
export function TraceBench({ view, kind, photos, hasPhotos }: TraceBenchProps) {
  const draft = useTraceDraft(view, kind);
  const { trace, change, changeShape } = draft;
  const worker = usePhotoWorker();
  const { photo, under, problem } = useUnderlay(photos, trace.photo?.photoId, worker);
  const [laying, setLaying] = useState<string | null>(null);
  const [tool, setTool] = useState<(typeof TOOLS)[number]['value']>('lines');
  const [chosen, setChosen] = useState(trace.shapes.length - 1);
  const [bend, setBend] = useState<Bend>('corner');
  const [featureKey, setFeatureKey] = useState(view.features[0]?.key ?? '');
  const [isDrawingShown, setDrawingShown] = useState(true);
  const [found, setFound] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  // Steps back and on may bring more or fewer.
  const at = Math.min(Math.max(chosen, 0), trace.shapes.length - 1);
  const shape = trace.shapes[at];
  const shown = photos.find((one) => one.photo.id === laying);
  if (shown)
    return (
      <>
        <LayUnder
          key={shown.photo.id}
          trace={trace}
          shown={shown}
          lengthMm={view.casting.lengthMm}
          onLaid={(fit) => {
            change({ ...trace, photo: fit });
            setLaying(null);
          }}
        />
        <button type="button" className="quiet-button" onClick={() => setLaying(null)}>
          Leave it as it was
        </button>
      </>
    );
  const begin = () => {
    const untraced = view.parts.find(({ key }) => trace.shapes.every(({ partKey }) => partKey !== key));
    const fresh: TracedShape = {
      ...{
        partKey: (untraced ?? view.parts[0]!).key,
        surface: 'coat',
        line: 'outline',
        area: '',
        isMirrored: false,
        nodes: [],
      },
    };
    change({ ...trace, shapes: [...trace.shapes, fresh] });
    setChosen(trace.shapes.length);
    setFound(null);
  };
  const snap = async () => {
    setFault(null);
    try {
      const snapped = await worker.snapShape(`/api/photos/${photo!.hash}/full`, photo!.control!, trace.photo!, shape!);
      changeShape(at, { nodes: snapped.nodes });
      setFound(
        `${Math.round(100 * snapped.found)} % of the line lie on an edge of the picture; the rest stays as drawn.`,
      );
    } catch (error) {
      setFault(error instanceof Error ? error.message : String(error));
    }
  };
  const anchor = trace.anchors.find((one) => one.featureKey === featureKey);
  const place = (point: Point) =>
    change(
      { ...trace, anchors: [...trace.anchors.filter((one) => one !== anchor), { featureKey, ...point }] },
      `place ${featureKey}`,
    );
  const isPlacing = tool === 'places';
  const addPoint = (point: Point) => {
    if (isPlacing) place(point);
    else changeShape(at, { nodes: insertNode(shape!, { ...point, bend }) });
  };
  const movePoint = (index: number, point: Point) => {
    if (isPlacing) place(point);
    else
      changeShape(
        at,
        { nodes: shape!.nodes.map((node, i) => (i === index ? { ...node, ...point } : node)) },
        `move ${at} ${index}`,
      );
  };
  const nameOf = new Map(view.parts.map(({ key, name }) => [key, name]));
  return (
    <div className="flex flex-col gap-5 min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,62fr)_minmax(0,38fr)]">
      <div className="min-w-0 space-y-2">
        {photo && !under && !problem && (
          <Progress what="Straightening the picture" share={worker.progress} onEnd={worker.cancel} />
        )}
        <TraceCanvas
          {...{ view, trace, under, isDrawingShown }}
          inHand={isPlacing ? null : at}
          points={isPlacing ? (anchor ? [anchor] : []) : (shape?.nodes ?? [])}
          pointWord={(index) =>
            isPlacing ? (view.features.find(({ key }) => key === featureKey)?.label ?? '') : String(index + 1)
          }
          onAdd={isPlacing ? (featureKey ? addPoint : null) : shape ? addPoint : null}
          onMove={movePoint}
        />
        <div className="flex flex-wrap items-end gap-4">
          {photos.length > 0 && (
            <Field label="Photograph under it" isQuiet width="18rem">
              <Select
                value={trace.photo?.photoId ?? ''}
                options={[
                  { value: '', label: 'none' },
                  ...photos.map(({ photo: one, model }) => ({ value: one.id, label: `${one.side}, ${model}` })),
                ]}
                onChange={(id) => (id ? setLaying(id) : change({ ...trace, photo: null }))}
              />
            </Field>
          )}
          {trace.photo && photo && (
            <button type="button" className="quiet-button" onClick={() => setLaying(trace.photo!.photoId)}>
              Lay it anew
            </button>
          )}
          <Checkbox checked={isDrawingShown} onChange={setDrawingShown}>
            Show the drawing
          </Checkbox>
        </div>
        {photos.length === 0 && (
          <EmptyNote
            title={hasPhotos ? 'No photograph of it is straightened yet.' : 'There is no photograph of it yet.'}
          >
            Put a model of it on the bench, take its {kind} at Survey with the bench card beside it, and straighten the
            picture: then it can be laid under the drawing. Without one the lines can be drawn freely.
          </EmptyNote>
        )}
        {problem && <p role="alert">{problem}</p>}
      </div>
      <div className="min-w-0 space-y-4">
        <div className="flex flex-wrap items-center gap-3">
          <Toggles aria-label="What to set" value={tool} options={TOOLS} onChange={setTool} />
          <button type="button" className="plain-button" disabled={!draft.undo} onClick={draft.undo ?? undefined}>
            Step back
          </button>
          <button type="button" className="plain-button" disabled={!draft.redo} onClick={draft.redo ?? undefined}>
            Step on
          </button>
        </div>
        {isPlacing ? (
          <LookPlaces
            trace={trace}
            features={view.features}
            featureKey={featureKey}
            onChoose={setFeatureKey}
            onRemove={(key) => change({ ...trace, anchors: trace.anchors.filter((one) => one.featureKey !== key) })}
          />
        ) : (
          <>
            {shape && (
              <ShapeInHand
                {...{ shape, bend }}
                parts={view.parts}
                view={kind}
                onBend={setBend}
                onChange={(changes) => changeShape(at, changes)}
                onSnap={photo?.control && trace.photo ? () => void snap() : null}
                onRemove={() => {
                  change({ ...trace, shapes: trace.shapes.filter((_, i) => i !== at) });
                  setChosen(at - 1);
                }}
              />
            )}
            {found && <p role="status">{found}</p>}
            {fault && <p role="alert">{fault}</p>}
            <button type="button" className={shape ? 'plain-button' : 'main-button'} onClick={begin}>
              {shape ? 'Begin another line' : 'Begin a line'}
            </button>
            {trace.shapes.length > 0 && (
              <ol aria-label="Lines, back to front" className="border border-hairline bg-sheet">
                {trace.shapes.map((one, i) => (
                  <li key={i} className="flex items-center border-b border-hairline last:border-b-0">
                    <button
                      type="button"
                      aria-current={i === at}
                      className={`min-h-11 grow border-l-4 px-3 text-left ${i === at ? 'border-l-sard font-semibold' : 'border-l-transparent'}`}
                      onClick={() => setChosen(i)}
                    >
                      {nameOf.get(one.partKey) ?? 'a part that is gone'}, {SURFACE_WORDS[one.surface]}
                    </button>
                    {i > 0 && (
                      <button
                        type="button"
                        className="quiet-button"
                        onClick={() => {
                          change({ ...trace, shapes: swap(trace.shapes, i) });
                          setChosen(i - 1);
                        }}
                      >
                        Further back
                      </button>
                    )}
                  </li>
                ))}
              </ol>
            )}
            <NotTraced view={view} trace={trace} />
          </>
        )}
        <ArtworkFiles view={view} trace={trace} onTake={(artwork) => change({ ...trace, artwork })} />
        <Keep view={view} draft={draft} kind={kind} />
      </div>
    </div>
  );
}

const swap = (shapes: readonly TracedShape[], i: number) => [
  ...shapes.slice(0, i - 1),
  shapes[i]!,
  shapes[i - 1]!,
  ...shapes.slice(i + 1),
];

function NotTraced({ view, trace }: { readonly view: CastingView; readonly trace: Trace }) {
  const done = new Set([...trace.shapes, ...trace.artwork].map(({ partKey }) => partKey));
  const left = view.parts.filter(({ key }) => !done.has(key));
  if (left.length === 0) return <p>Every part is traced on this view.</p>;
  return (
    <p className="text-soft-ink">Not traced: {left.map(({ name }) => name).join(', ')}. They are drawn as they were.</p>
  );
}

interface KeepProps {
  readonly view: CastingView;
  readonly kind: ViewKind;
  readonly draft: ReturnType<typeof useTraceDraft>;
}

/** What was traced becomes the casting's view, also half done; the construction's own comes back at any time. */
function Keep({ view: { casting }, kind, draft }: KeepProps) {
  const [write, { error, isLoading, isSuccess }] = useWriteTraceMutation();
  const save = async (trace: Trace | null) => {
    const fitted = trace && fitTrace(trace);
    const body = { version: casting.version, trace: fitted && asRequest(fitted) };
    const { data } = await write({ id: casting.id, view: kind, body });
    if (data) draft.settle(fitted);
  };
  const isEmpty = draft.trace.shapes.length === 0 && draft.trace.artwork.length === 0;
  return (
    <div className="space-y-2 border-t border-strong-line pt-3">
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          className="main-button"
          disabled={isLoading || !draft.isChanged || isEmpty}
          onClick={() => void save(draft.trace)}
        >
          Draw the casting so
        </button>
        {draft.isChanged ? (
          <span className="text-soft-ink">Not saved yet; kept in this browser.</span>
        ) : (
          isSuccess && <span role="status">The casting is drawn so.</span>
        )}
      </div>
      {casting.traces[kind] && (
        <AlertDialog
          offer="Draw it from its construction again"
          warning="What was traced of this view goes, and this cannot be undone."
          act="Draw it from its construction"
          onAct={() => void save(null)}
        />
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}

/** Without the name of the view, which stands in the address. */
function asRequest({ view: _, ...trace }: Trace) {
  return {
    ...trace,
    photo: trace.photo && { ...trace.photo },
    shapes: trace.shapes.map((shape) => ({ ...shape, nodes: shape.nodes.map((node) => ({ ...node })) })),
    artwork: [...trace.artwork],
    anchors: trace.anchors.map((anchor) => ({ ...anchor })),
  };
}
