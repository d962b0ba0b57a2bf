import { fitPartMap, type DrawingView, type Joint, type PaintOfParts, type SpecimenPart } from '@sardonyx/core';
import { useMemo, useRef, type CSSProperties, type KeyboardEvent, type MouseEvent } from 'react';
import { ClosedLine, CutNumber, Mark, Pin } from './MapMarks.tsx';
import { Shape } from './ModelDrawing.tsx';
import { placeCuts, type JointOnMap } from './placeCuts.ts';

export interface PinOnMap {
  readonly partKey: string;
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** A part as the map shows it: a part of a model, or one of a casting. */
export type PartOnMap = Pick<SpecimenPart, 'id' | 'key' | 'name' | 'material' | 'state'>;

export interface MapExtras {
  /** Numbers to stand on parts: part key -> what was numbered there ("1", "2, 3"). */
  readonly marks?: Readonly<Record<string, string>>;
  /** What a mark means, for those who cannot see it. */
  readonly markWord?: string;
  /** Drawn across the lines between the parts. */
  readonly joints?: readonly JointOnMap[];
  /** A line is pressed: called with the number of the first joint on it. */
  readonly onJoint?: (number: number) => void;
  readonly pins?: readonly PinOnMap[];
  /** While a place is being chosen: called with the part and where on it, in the drawing's millimetres. */
  readonly onPlace?: ((partId: string, x: number, y: number) => void) | null;
}

interface ExplodedMapProps extends MapExtras {
  readonly view: DrawingView;
  /** What holds what: parts move out along these. */
  readonly held: readonly Pick<Joint, 'partKeys'>[];
  readonly parts: readonly PartOnMap[];
  readonly paint: PaintOfParts;
  readonly chosenId: string | null;
  readonly onChoose: (id: string) => void;
}

/** Every map is as large, so that names are as large on all of them. */
const SHEET_MM = 132;
/** A map of many parts is higher than the room: it takes more, and its names stay readable. */
const LEAST_PX_PER_MM = 3.6;
/** Half the width of a letter of a label, with some room. */
const LETTER_MM = 1.05;
/** Room for a number before a label, kept on both sides so that the label stays in the middle. */
const MARK_ROOM_MM = 8;

const labelOf = (part: PartOnMap) => (part.state === 'missing' ? `${part.name} (missing)` : part.name);

/** The exploded part map: every part in its paint with a line to what holds it; click or arrow keys choose one. */
export function ExplodedMap(props: ExplodedMapProps) {
  const { view, held, parts, paint, chosenId, onChoose } = props;
  const { marks = {}, markWord = 'mark', joints = [], pins = [], onPlace, onJoint } = props;
  const map = useMemo(() => {
    const labelMm = (key: string) => {
      const part = parts.find((candidate) => candidate.key === key);
      return part ? 2 * LETTER_MM * labelOf(part).length + MARK_ROOM_MM : 0;
    };
    return fitPartMap(view, held, SHEET_MM, labelMm);
  }, [view, held, parts]);
  const svg = useRef<SVGSVGElement>(null);
  const cuts = placeCuts(map, joints);
  const partOf = (key: string) => parts.find((part) => part.key === key);
  const onKey = (event: KeyboardEvent) => {
    const step =
      event.key === 'ArrowRight' || event.key === 'ArrowDown'
        ? 1
        : event.key === 'ArrowLeft' || event.key === 'ArrowUp'
          ? -1
          : 0;
    const known = map.parts.flatMap((placed) => partOf(placed.partKey)?.id ?? []);
    if (!step || known.length === 0) return;
    event.preventDefault();
    const next = known[(known.indexOf(chosenId ?? '') + step + known.length) % known.length]!;
    onChoose(next);
    svg.current?.querySelector<SVGGElement>(`[data-part="${CSS.escape(next)}"]`)?.focus();
  };
  const place = (event: MouseEvent, part: PartOnMap, dx: number, dy: number) => {
    onChoose(part.id);
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!onPlace || !matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    onPlace(part.id, (at.x - dx) / map.scale, (at.y - dy) / map.scale);
  };
  return (
    <svg
      ref={svg}
      role="listbox"
      aria-label="Part map"
      tabIndex={-1}
      className={`w-full border bg-paper max-h-[max(min(60vh,34rem),var(--least))] min-[1100px]:max-h-[max(62vh,var(--least))] ${onPlace ? 'border-2 border-sard' : 'border-hairline'}`}
      style={{ '--least': `${map.heightMm * LEAST_PX_PER_MM}px` } as CSSProperties}
      viewBox={`0 0 ${map.widthMm} ${map.heightMm}`}
      onKeyDown={onKey}
    >
      {map.parts.map(
        ({ partKey, leader }) =>
          leader.length > 0 &&
          partOf(partKey) && (
            <polyline
              key={partKey}
              points={leader.map(({ x, y }) => `${x},${y}`).join(' ')}
              fill="none"
              stroke="var(--strong-line)"
              strokeWidth={0.35}
              strokeDasharray="1.2 0.8"
            />
          ),
      )}
      {cuts.map((cut) => cut.isClosed && <ClosedLine key={cut.partKey} {...cut} />)}
      {map.parts.map((placed, i) => {
        const part = partOf(placed.partKey);
        if (!part) return null;
        const isChosen = part.id === chosenId;
        const [left, top, right, bottom] = placed.box;
        const { label } = placed;
        const own = pins.filter((pin) => pin.partKey === part.key);
        return (
          <g
            key={part.id}
            role="option"
            aria-selected={isChosen}
            aria-description={`${part.material}, ${part.state}${marks[part.key] ? `, ${markWord} ${marks[part.key]}` : ''}`}
            tabIndex={isChosen || (!chosenId && i === 0) ? 0 : -1}
            data-part={part.id}
            className={onPlace ? 'cursor-crosshair' : 'cursor-pointer'}
            onClick={(event) => place(event, part, placed.dx, placed.dy)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onChoose(part.id);
              }
            }}
          >
            <rect
              x={left - 1}
              y={top - 0.5}
              width={right - left + 2}
              height={bottom - top + 1}
              fill="transparent"
              stroke={isChosen ? 'var(--sard)' : 'none'}
              strokeWidth={0.7}
            />
            <g transform={`translate(${placed.dx} ${placed.dy})`}>
              <g transform={`scale(${map.scale})`}>
                {placed.shapes.map((shape, j) => (
                  <Shape key={j} shape={shape} paint={paint} parts={parts} />
                ))}
              </g>
              {own.map((pin) => (
                <Pin key={pin.text} text={pin.text} x={pin.x * map.scale} y={pin.y * map.scale} />
              ))}
            </g>
            <text
              x={label.x}
              y={label.y}
              textAnchor="middle"
              fontSize={3.9}
              fill="var(--ink)"
              fontWeight={isChosen ? 700 : 400}
              stroke="var(--paper)"
              strokeWidth={1}
              paintOrder="stroke"
            >
              {labelOf(part)}
            </text>
            {marks[part.key] && (
              <Mark text={marks[part.key]!} x={label.x - labelOf(part).length * LETTER_MM - 3} y={label.y - 1.4} />
            )}
          </g>
        );
      })}
      {cuts.map(
        (cut) =>
          cut.text && (
            <CutNumber
              key={cut.partKey}
              {...cut}
              onPress={onJoint ? () => onJoint(Number.parseInt(cut.text, 10)) : undefined}
            />
          ),
      )}
    </svg>
  );
}
