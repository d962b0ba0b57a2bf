import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { TurnedMesh } from './drawTurned.ts';

/** Radians for a press of a key, and for each pixel of a drag. */
const STEP = Math.PI / 12;
const PER_PIXEL = 0.01;
const NEARER = 1.25;

const KEYS: Readonly<Record<string, (mesh: TurnedMesh) => void>> = {
  ArrowLeft: (mesh) => mesh.turn(-STEP, 0),
  ArrowRight: (mesh) => mesh.turn(STEP, 0),
  ArrowUp: (mesh) => mesh.turn(0, -STEP),
  ArrowDown: (mesh) => mesh.turn(0, STEP),
  '+': (mesh) => mesh.zoom(NEARER),
  '-': (mesh) => mesh.zoom(1 / NEARER),
  Home: (mesh) => mesh.reset(),
};
const BUTTONS = [
  ['Turn left', 'ArrowLeft'],
  ['Turn right', 'ArrowRight'],
  ['Tip up', 'ArrowUp'],
  ['Tip down', 'ArrowDown'],
  ['Nearer', '+'],
  ['Farther', '-'],
  ['As it lay', 'Home'],
] as const;

/** The part as a body, turned by pointer, keys and buttons. */
export function TurnMesh({ name, corners }: { readonly name: string; readonly corners: Float32Array }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const turned = useRef<TurnedMesh | null>(null);
  const [isDrawn, setDrawn] = useState(false);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    let isLeft = false;
    // Large, and needed here only.
    import('./drawTurned.ts')
      .then(({ drawTurned }) => {
        if (isLeft || !canvas.current) return;
        turned.current = drawTurned(canvas.current, corners.slice());
        setDrawn(true);
      })
      .catch(() => setTrouble('This browser draws no bodies; the three views show the part all the same.'));
    return () => {
      isLeft = true;
      turned.current?.end();
      turned.current = null;
      setDrawn(false);
    };
  }, [corners]);
  const press = (key: string): boolean => {
    const act = KEYS[key];
    if (act && turned.current) act(turned.current);
    return act !== undefined;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (press(event.key)) event.preventDefault();
  };
  const onPointerMove = ({ buttons, movementX, movementY }: PointerEvent) => {
    if (buttons === 1) turned.current?.turn(PER_PIXEL * movementX, PER_PIXEL * movementY);
  };
  if (trouble) return <p className="text-soft-ink">{trouble}</p>;
  return (
    <div role="group" aria-label={`${name}, to be turned`} aria-busy={!isDrawn} className="space-y-2">
      <canvas
        ref={canvas}
        tabIndex={0}
        role="img"
        aria-label={`${name} as a body: arrow keys turn it, plus and minus bring it nearer and farther, Home lays it as it was`}
        className="h-72 w-full cursor-grab touch-none border border-hairline bg-paper"
        onKeyDown={onKeyDown}
        onPointerDown={({ currentTarget, pointerId }) => currentTarget.setPointerCapture(pointerId)}
        onPointerMove={onPointerMove}
      />
      <div className="flex flex-wrap gap-2">
        {BUTTONS.map(([label, key]) => (
          <button key={key} type="button" className="quiet-button" disabled={!isDrawn} onClick={() => press(key)}>
            {label}
          </button>
        ))}
      </div>
    </div>
  );
}
