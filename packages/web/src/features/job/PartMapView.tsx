import { computePartMap, type SpecimenPart } from '@sardonyx/core';
import { useMemo, useRef, type KeyboardEvent } from 'react';
import { Shape } from '../../shared/drawing/ModelDrawing.tsx';
import { useJob } from './JobContext.tsx';

interface PartMapViewProps {
  /** Numbers to stand on parts: part key -> what was numbered there ("1", "2, 3"). */
  readonly marks?: Readonly<Record<string, string>>;
  /** What a mark means, for those who cannot see it. */
  readonly markWord?: string;
}

/** Half the width of a letter of a label, with some room. */
const LETTER_MM = 1.05;
/** Room for a number before a label, kept on both sides so that the label stays in the middle. */
const MARK_ROOM_MM = 16;

const labelOf = (part: SpecimenPart) => (part.state === 'missing' ? `${part.name} (missing)` : part.name);

/** The exploded part map: every part in its paint with a line to where it sits; click or arrow keys choose one. */
export function PartMapView({ marks = {}, markWord = 'mark' }: PartMapViewProps) {
  const { specimen, paint, partId, setPartId } = useJob();
  const view = specimen.casting?.casting.drawing.views.find((candidate) => candidate.view === 'side');
  const { parts } = specimen;
  const map = useMemo(() => {
    const labelMm = (key: string) => {
      const part = parts.find((candidate) => candidate.key === key);
      return part ? 2 * LETTER_MM * labelOf(part).length + MARK_ROOM_MM : 0;
    };
    return view ? computePartMap(view, labelMm) : null;
  }, [view, parts]);
  const group = useRef<SVGSVGElement>(null);
  if (!map) return null;
  const partOf = (key: string) => specimen.parts.find((part) => part.key === key);
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
    const next = known[(known.indexOf(partId ?? '') + step + known.length) % known.length]!;
    setPartId(next);
    group.current?.querySelector<SVGGElement>(`[data-part="${CSS.escape(next)}"]`)?.focus();
  };
  return (
    <svg
      ref={group}
      role="listbox"
      aria-label="Part map"
      tabIndex={-1}
      className="max-h-[38vh] w-full border border-hairline bg-paper min-[1100px]:max-h-[62vh]"
      viewBox={`0 0 ${map.widthMm} ${map.heightMm}`}
      onKeyDown={onKey}
    >
      {map.parts.map(
        ({ partKey, leader }) =>
          leader &&
          partOf(partKey) && (
            <line key={partKey} {...leader} stroke="var(--strong-line)" strokeWidth={0.25} strokeDasharray="1 0.8" />
          ),
      )}
      {map.parts.map((placed, i) => {
        const part = partOf(placed.partKey);
        if (!part) return null;
        const isChosen = part.id === partId;
        const [left, top, right, bottom] = placed.box;
        return (
          <g
            key={part.id}
            role="option"
            aria-selected={isChosen}
            aria-description={`${part.material}, ${part.state}${marks[part.key] ? `, ${markWord} ${marks[part.key]}` : ''}`}
            tabIndex={isChosen || (!partId && i === 0) ? 0 : -1}
            data-part={part.id}
            className="cursor-pointer"
            onClick={() => setPartId(part.id)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                setPartId(part.id);
              }
            }}
          >
            <rect
              x={left - 1}
              y={top - 1}
              width={right - left + 2}
              height={bottom - top + 2}
              fill="transparent"
              stroke={isChosen ? 'var(--sard)' : 'none'}
              strokeWidth={0.7}
            />
            <g transform={`translate(${placed.dx} ${placed.dy})`}>
              {placed.shapes.map((shape, j) => (
                <Shape key={j} shape={shape} paint={paint} parts={specimen.parts} />
              ))}
            </g>
            <text
              x={(left + right) / 2}
              y={bottom - 1}
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
              <Mark
                text={marks[part.key]!}
                x={(left + right) / 2 - labelOf(part).length * LETTER_MM - 4}
                y={bottom - 2.4}
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** Numbers stand before the label, so that they hide nothing of the part. */
function Mark({ text, x, y }: { readonly text: string; readonly x: number; readonly y: number }) {
  const width = 3 + text.length * 2.1;
  return (
    <g transform={`translate(${x - width + 3} ${y})`}>
      <rect x={-1} y={-2.4} width={width} height={4.8} fill="var(--ink)" />
      <text x={width / 2 - 1} y={1.3} textAnchor="middle" fontSize={3.6} fontWeight={700} fill="var(--sheet)">
        {text}
      </text>
    </g>
  );
}
