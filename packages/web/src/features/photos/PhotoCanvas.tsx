import type { Photo, Point } from '@sardonyx/core';
import { useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';

interface PhotoCanvasProps {
  readonly photo: Photo;
  /** The points in hand, which can be moved. */
  readonly points: readonly Point[];
  /** Short word for each point: "1". */
  readonly pointWord?: (index: number) => string;
  /** null while nothing is being pointed at. */
  readonly onAdd: ((point: Point) => void) | null;
  readonly onMove: (index: number, point: Point) => void;
  /** Drawn in the picture's pixels; k is the size of a screen pixel in them. */
  readonly children?: (k: number) => ReactNode;
}

interface Part {
  readonly x: number;
  readonly y: number;
  /** 1 shows the whole picture. */
  readonly zoom: number;
}

const ZOOMS = [1, 1.5, 2, 3, 4.5, 7, 10] as const;
/** A press that moves farther than this, in screen pixels, moves the picture or a point instead of setting one. */
const DRAG_PX = 4;

/** A photograph to point at: click sets a point, dragging moves the picture or a point, the wheel and the buttons zoom. */
export function PhotoCanvas({
  photo,
  points,
  pointWord = (i) => String(i + 1),
  onAdd,
  onMove,
  children,
}: PhotoCanvasProps) {
  const { widthPx: width, heightPx: height } = photo;
  const [part, setPart] = useState<Part>({ x: 0, y: 0, zoom: 1 });
  const svg = useRef<SVGSVGElement>(null);
  const press = useRef<{ x: number; y: number; part: Part; point: number | null; hasMoved: boolean } | null>(null);
  const shown = { width: width / part.zoom, height: height / part.zoom };
  const [k, setK] = useState(1);
  useLayoutEffect(() => {
    const own = svg.current!;
    const read = () => setK(1 / (own.getScreenCTM()?.a || 1));
    const watch = new ResizeObserver(read);
    watch.observe(own);
    read();
    return () => watch.disconnect();
  }, [part.zoom]);

  const toPicture = (event: { clientX: number; clientY: number }): Point => {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    return { x: at.x, y: at.y };
  };
  const zoomTo = (zoom: number, about: Point) =>
    setPart((before) => {
      const ratio = before.zoom / zoom;
      return keepInside({ zoom, x: about.x - (about.x - before.x) * ratio, y: about.y - (about.y - before.y) * ratio });
    });
  const keepInside = ({ x, y, zoom }: Part): Part => ({
    zoom,
    x: Math.min(Math.max(0, x), width - width / zoom),
    y: Math.min(Math.max(0, y), height - height / zoom),
  });
  const stepZoom = (by: number, about = { x: part.x + shown.width / 2, y: part.y + shown.height / 2 }) => {
    const at = ZOOMS.findIndex((zoom) => zoom >= part.zoom - 1e-6);
    zoomTo(ZOOMS[Math.min(Math.max(0, at + by), ZOOMS.length - 1)]!, about);
  };

  const onDown = (event: PointerEvent) => {
    const point = (event.target as Element).closest('[data-point]')?.getAttribute('data-point');
    press.current = {
      ...{ x: event.clientX, y: event.clientY, part, hasMoved: false },
      point: point === null || point === undefined ? null : Number(point),
    };
    svg.current!.setPointerCapture(event.pointerId);
  };
  const onDrag = (event: PointerEvent) => {
    const own = press.current;
    if (!own) return;
    if (Math.hypot(event.clientX - own.x, event.clientY - own.y) > DRAG_PX) own.hasMoved = true;
    if (!own.hasMoved) return;
    if (own.point !== null) onMove(own.point, toPicture(event));
    else
      setPart(
        keepInside({
          ...own.part,
          x: own.part.x - (event.clientX - own.x) * k,
          y: own.part.y - (event.clientY - own.y) * k,
        }),
      );
  };
  const onUp = (event: PointerEvent) => {
    if (press.current && !press.current.hasMoved && press.current.point === null) onAdd?.(toPicture(event));
    press.current = null;
  };
  const onKey = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 10 : 1;
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    const own = (event.target as Element).getAttribute('data-point');
    if (move && own !== null) {
      event.preventDefault();
      const { x, y } = points[Number(own)]!;
      onMove(Number(own), { x: x + move[0], y: y + move[1] });
    } else if (move) {
      event.preventDefault();
      setPart(keepInside({ ...part, x: part.x + move[0] * 8 * k, y: part.y + move[1] * 8 * k }));
    } else if (event.key === 'Enter' && own === null) {
      event.preventDefault();
      onAdd?.({ x: part.x + shown.width / 2, y: part.y + shown.height / 2 });
    }
  };
  return (
    <div>
      <svg
        ref={svg}
        role="application"
        aria-label={`Photograph, ${photo.side}. Enter sets a point in the middle, arrow keys move the picture or the point in hand.`}
        tabIndex={0}
        className={`block max-h-[calc(100vh-19rem)] min-h-72 w-full touch-none border border-hairline bg-sunk ${onAdd ? 'cursor-crosshair' : 'cursor-grab'}`}
        viewBox={`${part.x} ${part.y} ${shown.width} ${shown.height}`}
        onPointerDown={onDown}
        onPointerMove={onDrag}
        onPointerUp={onUp}
        onPointerCancel={() => (press.current = null)}
        onWheel={(event) => stepZoom(event.deltaY < 0 ? 1 : -1, toPicture(event))}
        onKeyDown={onKey}
      >
        <image href={`/api/photos/${photo.hash}/full`} width={width} height={height} />
        {children?.(k)}
        {points.map((point, i) => (
          <g
            key={i}
            role="button"
            tabIndex={0}
            aria-label={`Point ${pointWord(i)}`}
            data-point={i}
            transform={`translate(${point.x} ${point.y}) scale(${k})`}
            className="cursor-move"
          >
            <circle r={16} fill="transparent" />
            <path d="M-12 0h9M3 0h9M0 -12v9M0 3v9" stroke="#fff" strokeWidth={4} />
            <path d="M-12 0h9M3 0h9M0 -12v9M0 3v9" stroke="#000" strokeWidth={1.6} />
            <text
              x={10}
              y={-9}
              fontSize={15}
              fontWeight={700}
              fill="#000"
              stroke="#fff"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {pointWord(i)}
            </text>
          </g>
        ))}
      </svg>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <button type="button" className="plain-button" onClick={() => stepZoom(1)}>
          Closer
        </button>
        <button type="button" className="plain-button" onClick={() => stepZoom(-1)}>
          Farther
        </button>
        <button type="button" className="quiet-button" onClick={() => setPart({ x: 0, y: 0, zoom: 1 })}>
          Whole picture
        </button>
        <span className="text-note text-soft-ink">Drag to move it, turn the wheel to come closer.</span>
      </div>
    </div>
  );
}
