import type { CastingPhoto, CastingView } from '@sardonyx/contract';
import { insertNode, type Bend, type Point, type TracedShape, type ViewKind } from '@sardonyx/core';
import { useState } from 'react';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { Toggles } from '../../../shared/ui/Toggles.tsx';
import { useFlat, usePhotoWorker } from '../../photos/index.ts';
import { ArtworkFiles } from './ArtworkFiles.tsx';
import { KeepTrace } from './KeepTrace.tsx';
import { LayUnder } from './LayUnder.tsx';
import { LineList } from './LineList.tsx';
import { PlaceList } from './PlaceList.tsx';
import { ShapeInHand } from './ShapeInHand.tsx';
import { TraceCanvas } from './TraceCanvas.tsx';
import { useTraceDraft } from './useTraceDraft.ts';
import { useTracePlaces, type PlaceTool } from './useTracePlaces.ts';

interface TraceBenchProps {
  readonly view: CastingView;
  readonly kind: ViewKind;
  /** Straightened ones. */
  readonly photos: readonly CastingPhoto[];
  readonly hasPhotos: boolean;
}

const TOOLS = [
  { value: 'lines', label: 'Lines' },
  { value: 'looks', label: 'Places to look at' },
  { value: 'joints', label: 'Joints' },
] as const;

/** A photograph is laid under the drawing, then its parts are traced line by line; without one they are drawn freely. */
export function TraceBench({ view, kind, photos, hasPhotos }: TraceBenchProps) {
  const draft = useTraceDraft(view, kind);
  const { trace, change, changeShape } = draft;
  const worker = usePhotoWorker();
  const photo = photos.find((one) => one.photo.id === trace.photo?.photoId)?.photo ?? null;
  const { flat: under, problem } = useFlat(photo, worker, 0);
  const [laying, setLaying] = useState<string | null>(null);
  const [tool, setTool] = useState<'lines' | PlaceTool>('lines');
  const places = useTracePlaces(view, draft, tool);
  const [chosen, setChosen] = useState(trace.shapes.length - 1);
  const [bend, setBend] = useState<Bend>('corner');
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
  const addPoint = (point: Point) => {
    if (places) places.set(point);
    else changeShape(at, { nodes: insertNode(shape!, { ...point, bend }) });
  };
  const movePoint = (index: number, point: Point) => {
    if (places) places.set(point);
    else
      changeShape(
        at,
        { nodes: shape!.nodes.map((node, i) => (i === index ? { ...node, ...point } : node)) },
        `move ${at} ${index}`,
      );
  };
  return (
    <div className="flex flex-col gap-5 min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,62fr)_minmax(0,38fr)]">
      <div className="min-w-0 space-y-2">
        <TraceCanvas
          {...{ view, trace, under, isDrawingShown }}
          inHand={places ? null : at}
          points={places ? (places.inHand ? [places.inHand] : []) : (shape?.nodes ?? [])}
          pointWord={(index) => places?.word ?? String(index + 1)}
          onAdd={places ? (places.word ? addPoint : null) : shape ? addPoint : null}
          onMove={movePoint}
        />
        {/* Below: what is pressed must not move away from under the hand. */}
        {photo && !under && !problem && (
          <Progress what="Straightening the picture" share={worker.progress} onEnd={worker.cancel} />
        )}
        <div className="flex flex-wrap items-end gap-4">
          {photos.length > 0 && (
            <Field label="Photograph under it" isQuiet width="18rem">
              <Select
                value={photo?.id ?? ''}
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
          <span className="flex gap-3">
            <button type="button" className="plain-button" disabled={!draft.undo} onClick={draft.undo ?? undefined}>
              Step back
            </button>
            <button type="button" className="plain-button" disabled={!draft.redo} onClick={draft.redo ?? undefined}>
              Step on
            </button>
          </span>
        </div>
        {places ? (
          <PlaceList places={places} />
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
            <LineList
              {...{ view, trace, at }}
              onChoose={setChosen}
              onMoveBack={(i) => {
                change({ ...trace, shapes: swap(trace.shapes, i) });
                setChosen(i - 1);
              }}
            />
          </>
        )}
        <ArtworkFiles view={view} trace={trace} onTake={(artwork) => change({ ...trace, artwork })} />
        <KeepTrace view={view} draft={draft} kind={kind} />
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
