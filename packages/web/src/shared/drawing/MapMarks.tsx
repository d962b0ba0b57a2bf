import type { Point } from '@sardonyx/core';

/** Numbers stand before the label, so that they hide nothing of the part. */
export function Mark({ text, x, y }: { readonly text: string; readonly x: number; readonly y: number }) {
  const width = 3 + text.length * 2.1;
  return (
    <g transform={`translate(${x - width} ${y})`}>
      <Tag text={text} width={width} />
    </g>
  );
}

interface OnLine {
  /** The line of the part, from it to what holds it. */
  readonly leader: readonly Point[];
  readonly text: string;
}

/** A joint that stays closed: its line is drawn through. */
export function ClosedLine({ leader, text }: OnLine) {
  return (
    <polyline
      points={leader.map(({ x, y }) => `${x},${y}`).join(' ')}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={text ? 0.5 : 0.8}
    />
  );
}

/** The numbers of the joints that are opened or closed on a line, across its last stretch. */
export function CutNumber({ leader, text, onPress }: OnLine & { readonly onPress?: (() => void) | undefined }) {
  const [from, to] = leader.slice(-2) as [Point, Point];
  const width = 3 + text.length * 2.1;
  return (
    // By keyboard the same joints are chosen from the list beside the map.
    <g aria-hidden onClick={onPress} className={onPress && 'cursor-pointer'}>
      {onPress && (
        <polyline
          points={leader.map(({ x, y }) => `${x},${y}`).join(' ')}
          fill="none"
          stroke="transparent"
          strokeWidth={5}
        />
      )}
      <g transform={`translate(${(from.x + to.x) / 2 - width / 2} ${(from.y + to.y) / 2})`}>
        <Tag text={text} width={width} />
      </g>
    </g>
  );
}

/** A place that was pointed at. */
export function Pin({ x, y, text }: { readonly x: number; readonly y: number; readonly text: string }) {
  return (
    <g transform={`translate(${x} ${y})`} aria-hidden>
      <path d="M0 0L-1.9 -4.6A2.4 2.4 0 1 1 1.9 -4.6Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth={0.4} />
      <text x={0} y={-4.6} textAnchor="middle" fontSize={3.1} fontWeight={700} fill="var(--ink)">
        {text}
      </text>
    </g>
  );
}

function Tag({ text, width }: { readonly text: string; readonly width: number }) {
  return (
    <>
      <rect x={0} y={-2.4} width={width} height={4.8} fill="var(--ink)" stroke="var(--paper)" strokeWidth={0.5} />
      <text x={width / 2} y={1.3} textAnchor="middle" fontSize={3.6} fontWeight={700} fill="var(--sheet)">
        {text}
      </text>
    </>
  );
}
