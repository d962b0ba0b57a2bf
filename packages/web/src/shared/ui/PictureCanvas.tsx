import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import {
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type ReactNode,
} from 'react';
import { FartherIcon, NearerIcon, WholeIcon } from './icons.ts';
import { Toolbar } from './Toolbar.tsx';

export interface PicturePoint {
  readonly x: number;
  readonly y: number;
}

interface PictureCanvasProps {
  readonly label: string;
  /** What of the plane is shown at first; all measures below are of this plane. */
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** The points in hand, which can be moved. */
  readonly points?: readonly PicturePoint[];
  /** Short word for each point: "1". */
  readonly pointWord?: (index: number) => string;
  /** The words beside the points, too; false where they would lie over what is being placed. */
  readonly hasWordsBeside?: boolean;
  /** null while nothing is being pointed at. */
  readonly onAdd?: ((point: PicturePoint) => void) | null;
  readonly onMove?: (index: number, point: PicturePoint, by: 'hand' | 'key') => void;
  /** How far an arrow key moves a point; a pixel of the screen where left out: the nearer one looks, the finer it is. */
  readonly nudge?: number;
  /** Drawn in the plane; k is the size of a screen pixel in it. */
  readonly children: (k: number) => ReactNode;
}

const MOST_ZOOM = 12;
/** A press that moves farther than this, in screen pixels, moves the picture instead of setting a point. */
const CLICK_PX = 4;
const STEP = 1.5;
/** More points than this lie too close for a word beside each. */
const MOST_WORDS = 12;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * A plane to look at closely and to point into: drag, wheel, pinch and buttons move and enlarge it, a press sets a point,
 * points are dragged or moved with the arrow keys. Vectors over a kept zoom library: what lies on it stays a part of the page
 * that can be focused, named and tested.
 */
export function PictureCanvas(props: PictureCanvasProps) {
  const { label, box, points = [], onAdd = null, onMove, nudge, children } = props;
  const { pointWord = (i) => String(i + 1), hasWordsBeside = points.length <= MOST_WORDS } = props;
  const svg = useRef<SVGSVGElement>(null);
  const plane = useRef<SVGGElement>(null);
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  const behaviour = useZoom(svg, box, setView);
  const k = useScreenPixel(svg) / view.k;
  useDraggedPoints(plane, points, onMove);

  const toPlane = ({ clientX, clientY }: { readonly clientX: number; readonly clientY: number }): PicturePoint => {
    const at = new DOMPoint(clientX, clientY).matrixTransform(plane.current!.getScreenCTM()!.inverse());
    return { x: at.x, y: at.y };
  };
  const onClick = (event: MouseEvent) => {
    if (!(event.target as Element).closest('[data-point]')) onAdd?.(toPlane(event));
  };
  const all = () => select(svg.current!);
  const enlarge = (by: number) => behaviour.current!.scaleBy(all(), by);
  const onKey = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    const own = (event.target as Element).getAttribute('data-point');
    const step = event.shiftKey ? 10 : 1;
    if (arrow && own !== null) {
      const { x, y } = points[Number(own)]!;
      const by = step * (nudge ?? k);
      onMove?.(Number(own), { x: x + arrow[0] * by, y: y + arrow[1] * by }, 'key');
    } else if (arrow) behaviour.current!.translateBy(all(), -arrow[0] * 16 * step * k, -arrow[1] * 16 * step * k);
    else if (event.key === '+') enlarge(STEP);
    else if (event.key === '-') enlarge(1 / STEP);
    else if (event.key === 'Enter' && own === null) {
      const [x, y] = view.invert([box.x + box.width / 2, box.y + box.height / 2]);
      onAdd?.({ x, y });
    } else return;
    event.preventDefault();
  };
  return (
    <div>
      <svg
        ref={svg}
        role="application"
        aria-label={`${label}. ${onAdd ? 'Enter sets a point in the middle; a' : 'A'}rrow keys move the picture${points.length ? ' or the point in hand' : ''}, + and − enlarge it.`}
        tabIndex={0}
        className={`block max-h-[calc(100vh-19rem)] min-h-72 w-full touch-none border border-hairline bg-sunk ${onAdd ? 'cursor-crosshair' : 'cursor-grab'}`}
        viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
        onClick={onClick}
        onKeyDown={onKey}
      >
        <g ref={plane} data-plane transform={view.toString()}>
          {children(k)}
          {points.map((point, i) => (
            <Point
              key={i}
              at={i}
              point={point}
              word={pointWord(i)}
              k={k}
              isPlain={points.length > MOST_WORDS}
              hasWord={hasWordsBeside}
            />
          ))}
        </g>
      </svg>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <Toolbar
          label="How near"
          acts={[
            { word: 'Closer', icon: NearerIcon, onAct: () => enlarge(STEP) },
            { word: 'Farther', icon: FartherIcon, onAct: () => enlarge(1 / STEP) },
            { word: 'Whole picture', icon: WholeIcon, onAct: () => behaviour.current!.transform(all(), zoomIdentity) },
          ]}
        />
        <span className="text-note text-soft-ink">Drag to move it; wheel or pinch to come closer.</span>
      </div>
    </div>
  );
}

function useZoom(
  svg: React.RefObject<SVGSVGElement | null>,
  { x, y, width, height }: PictureCanvasProps['box'],
  onView: (view: ZoomTransform) => void,
) {
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(null);
  useEffect(() => {
    const own = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, MOST_ZOOM])
      .translateExtent([
        [x, y],
        [x + width, y + height],
      ])
      .clickDistance(CLICK_PX)
      .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => onView(transform));
    behaviour.current = own;
    const on = select(svg.current!).call(own).on('dblclick.zoom', null);
    return () => void on.on('.zoom', null);
  }, [svg, x, y, width, height, onView]);
  return behaviour;
}

/** How much of the plane a pixel of the screen is while nothing is enlarged. */
function useScreenPixel(svg: React.RefObject<SVGSVGElement | null>): number {
  const [size, setSize] = useState(1);
  useLayoutEffect(() => {
    const own = svg.current!;
    const read = () => setSize(1 / (own.getScreenCTM()?.a || 1));
    const watch = new ResizeObserver(read);
    watch.observe(own);
    read();
    return () => watch.disconnect();
  }, [svg]);
  return size;
}

function useDraggedPoints(
  plane: React.RefObject<SVGGElement | null>,
  points: readonly PicturePoint[],
  onMove: PictureCanvasProps['onMove'],
) {
  const now = useRef({ points, onMove });
  now.current = { points, onMove };
  const count = points.length;
  useEffect(() => {
    const indexOf = (element: Element) => Number(element.getAttribute('data-point'));
    const own = drag<SVGGElement, unknown>()
      .subject(function () {
        return { ...now.current.points[indexOf(this)]! };
      })
      .on('drag', function ({ x, y }: PicturePoint) {
        now.current.onMove?.(indexOf(this), { x, y }, 'hand');
      });
    const all = select(plane.current!).selectAll<SVGGElement, unknown>('[data-point]').call(own);
    return () => void all.on('.drag', null);
  }, [plane, count]);
}

interface PointProps {
  readonly at: number;
  readonly point: PicturePoint;
  readonly word: string;
  readonly k: number;
  /** Small, one of many. */
  readonly isPlain: boolean;
  /** Its word stands beside it. */
  readonly hasWord: boolean;
}

const CROSS = 'M-12 0h9M3 0h9M0 -12v9M0 3v9';
const SMALL_CROSS = 'M-6 0h4M2 0h4M0 -6v4M0 2v4';

const Point = ({ at, point, word, k, isPlain, hasWord }: PointProps) => (
  <g
    role="button"
    tabIndex={0}
    aria-label={`Point ${word}`}
    data-point={at}
    transform={`translate(${point.x} ${point.y}) scale(${k})`}
    className="cursor-move"
  >
    <circle r={isPlain ? 11 : 22} fill="transparent" />
    <path d={isPlain ? SMALL_CROSS : CROSS} stroke="#fff" strokeWidth={isPlain ? 3 : 4} />
    <path d={isPlain ? SMALL_CROSS : CROSS} stroke="#000" strokeWidth={isPlain ? 1.2 : 1.6} />
    {hasWord && (
      <text x={10} y={-9} fontSize={15} fontWeight={700} fill="#000" stroke="#fff" strokeWidth={3} paintOrder="stroke">
        {word}
      </text>
    )}
  </g>
);
