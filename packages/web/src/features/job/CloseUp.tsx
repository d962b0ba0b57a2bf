import type { DrawingView, Point } from '@sardonyx/core';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { useJob } from './JobContext.tsx';

const WINDOW_MM = { width: 26, height: 20 };

interface CloseUpProps {
  readonly view: DrawingView;
  readonly place: Point;
  readonly label: string;
}

/** The drawing of the model in hand around one place, which is ringed. */
export function CloseUp({ view, place: { x, y }, label }: CloseUpProps) {
  const { specimen, paint } = useJob();
  return (
    <ModelDrawing
      view={view}
      paint={paint}
      parts={specimen.parts}
      label={`Where: ${label}, ${view.view === 'end' ? 'front' : view.view}`}
      className="h-full w-full"
      crop={{ x: x - WINDOW_MM.width / 2, y: y - WINDOW_MM.height / 2, ...WINDOW_MM }}
    >
      <circle cx={x} cy={y} r={5} fill="none" stroke="var(--sheet)" strokeWidth={1.4} />
      <circle cx={x} cy={y} r={5} fill="none" stroke="var(--ink)" strokeWidth={0.6} />
    </ModelDrawing>
  );
}
