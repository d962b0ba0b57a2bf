import {
  drawFields,
  nameOfArea,
  type Area,
  type DrawingView,
  type PaintOfParts,
  type Point,
  type SpecimenPart,
} from '@sardonyx/core';
import { ModelDrawing } from '../../../../../shared/drawing/ModelDrawing.tsx';
import { PictureCanvas } from '../../../../../shared/ui/PictureCanvas.tsx';
import { useJob } from '../../../JobContext.tsx';
import type { FieldDraft } from './useFieldDraft.ts';

interface FieldPictureProps {
  readonly part: SpecimenPart;
  readonly view: DrawingView;
  readonly paint: PaintOfParts;
  readonly areaId: string | null;
  readonly onChoose: (areaId: string) => void;
  /** The line that is being drawn; null while areas are only looked at. */
  readonly draft: FieldDraft | null;
}

const MARGIN_MM = 3;

/** The part in hand on a view of the model, in its planned colours: its areas are pressed, or a new one is drawn. */
export function FieldPicture({ part, view, paint, areaId, onChoose, draft }: FieldPictureProps) {
  const { specimen } = useJob();
  const drawn = drawFields(view, specimen.parts, specimen.areas);
  const own = drawn.shapes.filter(({ partKey, hidden }) => partKey === part.key && !hidden);
  const areas = specimen.areas.filter(({ specimenPartId }) => specimenPartId === part.id);
  const edge = (at: 0 | 1 | 2 | 3) => own.map(({ box }) => box[at]);
  const [left, top] = [Math.min(...edge(0)) - MARGIN_MM, Math.min(...edge(1)) - MARGIN_MM];
  const box = {
    ...{ x: left, y: top },
    ...{ width: Math.max(...edge(2)) + MARGIN_MM - left, height: Math.max(...edge(3)) + MARGIN_MM - top },
  };
  const pathOf = (area: Area) =>
    own
      .filter(
        ({ surface, mask }) => surface === 'coat' && mask === (area.kind === 'mask' ? nameOfArea(area) : undefined),
      )
      .map(({ d }) => d)
      .join('');
  const label = `${part.name}, ${view.view}`;
  if (draft)
    return (
      <PictureCanvas
        label={`Drawing on the ${label}`}
        box={box}
        points={draft.line}
        onAdd={draft.add}
        onMove={draft.move}
        nudge={0.2}
      >
        {(k) => (
          <>
            <Model {...{ view: drawn, paint, box }} />
            {draft.field && <path d={lineThrough(draft.field, true)} fill="var(--sard)" fillOpacity={0.35} />}
            <path d={lineThrough(draft.line, false)} fill="none" stroke="#fff" strokeWidth={4 * k} />
            <path d={lineThrough(draft.line, false)} fill="none" stroke="#000" strokeWidth={1.6 * k} />
          </>
        )}
      </PictureCanvas>
    );
  return (
    <ModelDrawing
      {...{ view: drawn, paint, crop: box, label }}
      parts={specimen.parts}
      className="block max-h-60 w-full border border-hairline bg-paper"
    >
      {areas
        .filter(({ kind }) => kind === 'outside' || kind === 'mask')
        .sort((a, b) => Number(a.kind === 'mask') - Number(b.kind === 'mask'))
        .map((area) => (
          // The same choice is a row of buttons beside the coats.
          <path
            key={area.id}
            aria-hidden
            data-area={nameOfArea(area)}
            d={pathOf(area)}
            fill="transparent"
            stroke={area.id === areaId ? 'var(--sard)' : area.kind === 'mask' ? '#000' : 'none'}
            strokeWidth={area.id === areaId ? 3 : 1.5}
            vectorEffect="non-scaling-stroke"
            strokeDasharray={area.id === areaId ? undefined : '5 4'}
            className="cursor-pointer"
            onClick={() => onChoose(area.id)}
          />
        ))}
    </ModelDrawing>
  );
}

/** The whole view, so far as it is seen in the box. */
function Model({
  view,
  paint,
  box,
}: {
  readonly view: DrawingView;
  readonly paint: PaintOfParts;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}) {
  const { specimen } = useJob();
  return (
    <svg {...box} aria-hidden>
      <ModelDrawing view={view} paint={paint} parts={specimen.parts} label="" crop={box} />
    </svg>
  );
}

const lineThrough = (points: readonly Point[], isClosed: boolean): string =>
  points.length ? `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}${isClosed ? 'Z' : ''}` : '';
