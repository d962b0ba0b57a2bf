import type { ThingView } from '@sardonyx/contract';
import { drawThing, layDrawer, type LaidThing } from '@sardonyx/core';
import { useId, useMemo, type KeyboardEvent } from 'react';
import { sayAmount } from './sayThing.ts';

/** Inside of a drawer, mm, where nothing longer lies in it. */
const WIDTH_MM = 130;
/** A name under a thing takes so much, mm. */
const NAME_MM = 26;
const TEXT_MM = 3.4;
const NAME_LINES = 2;
/** A letter is about so wide, of its height. */
const LETTER = 0.56;

interface DrawerPictureProps {
  readonly drawer: string;
  readonly things: readonly ThingView[];
  readonly thingId: string | null;
  readonly onChoose: (id: string) => void;
}

/** An open drawer: one of each thing to scale on millimetres, so that the right axle is seen to be the right one. */
export function DrawerPicture({ drawer, things, thingId, onChoose }: DrawerPictureProps) {
  const grid = useId();
  const { laid, unmeasured } = useMemo(() => {
    const shapes = things.map((thing) => ({ thing, shape: drawThing(thing) }));
    return {
      laid: layDrawer(
        shapes.flatMap(({ thing, shape }) => (shape ? [{ thing, shape }] : [])),
        NAME_MM,
        WIDTH_MM,
      ),
      unmeasured: shapes.flatMap(({ thing, shape }) => (shape ? [] : [thing])),
    };
  }, [things]);
  return (
    <section aria-label={`Drawer ${drawer}`} className="space-y-2">
      <h2>Drawer {drawer}</h2>
      {laid.things.length > 0 && (
        <svg
          role="group"
          aria-label={`What lies in drawer ${drawer}, to scale`}
          className="block w-full border-2 border-strong-line bg-sheet"
          viewBox={`0 0 ${laid.width} ${laid.height}`}
        >
          <defs>
            <pattern id={grid} width={10} height={10} patternUnits="userSpaceOnUse">
              {Array.from({ length: 10 }, (_, i) => (
                <path
                  key={i}
                  d={`M${i} 0V10M0 ${i}H10`}
                  className="stroke-hairline"
                  strokeWidth={i === 0 ? 0.24 : 0.08}
                  fill="none"
                />
              ))}
            </pattern>
          </defs>
          <rect width={laid.width} height={laid.height} fill={`url(#${grid})`} />
          {laid.things.map((one) => (
            <Thing
              key={one.thing.id}
              laid={one}
              isInHand={one.thing.id === thingId}
              onChoose={() => onChoose(one.thing.id)}
            />
          ))}
        </svg>
      )}
      <p className="text-note text-soft-ink">Each small square is one millimetre.</p>
      {unmeasured.length > 0 && (
        <p className="flex flex-wrap items-center gap-2">
          <span className="text-note text-soft-ink">Without a size:</span>
          {unmeasured.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="plain-button"
              aria-pressed={id === thingId}
              onClick={() => onChoose(id)}
            >
              {name}
            </button>
          ))}
        </p>
      )}
    </section>
  );
}

interface ThingProps {
  readonly laid: LaidThing<ThingView>;
  readonly isInHand: boolean;
  readonly onChoose: () => void;
}

function Thing({ laid: { thing, x, y, shape }, isInHand, onChoose }: ThingProps) {
  const amount = sayAmount(thing.onHand, thing.kind);
  const lines = wrapName(thing.name, Math.max(shape.width, NAME_MM));
  const shown = lines.join(' ');
  // Who speaks to the page says what is to be seen.
  const name = shown === thing.name ? shown : `${shown}: ${thing.name}`;
  const press = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    onChoose();
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={isInHand}
      aria-label={`${name}, ${amount}`}
      className="group cursor-pointer outline-none"
      onClick={onChoose}
      onKeyDown={press}
    >
      {/* An outline would be drawn in millimetres, four times as wide. */}
      <rect
        x={x - 2}
        y={y - 2}
        width={Math.max(shape.width, NAME_MM) + 4}
        height={shape.height + 4 + NAME_LINES * (TEXT_MM + 0.6)}
        fill="transparent"
        strokeWidth={0.8}
        className="group-focus-visible:stroke-sard"
      />
      <path
        d={shape.d}
        transform={`translate(${x} ${y})`}
        fillRule="evenodd"
        className={isInHand ? 'fill-sard stroke-ink' : 'fill-strong-line stroke-ink'}
        strokeWidth={0.2}
      />
      {lines.map((line, i) => (
        <text
          key={line}
          x={x}
          y={y + shape.height + (i + 1) * (TEXT_MM + 0.6)}
          fontSize={TEXT_MM}
          fontWeight={isInHand ? 700 : 400}
          className="fill-ink"
        >
          {i + 1 < lines.length ? `${line} ` : line}
        </text>
      ))}
    </g>
  );
}

/** In two lines at most (NAME_LINES), as wide as its room. */
function wrapName(name: string, roomMm: number): string[] {
  const letters = Math.floor(roomMm / (TEXT_MM * LETTER));
  if (name.length <= letters) return [name];
  const at = name.lastIndexOf(' ', letters);
  const [first, rest] =
    at > 0 ? [name.slice(0, at), name.slice(at + 1)] : [name.slice(0, letters), name.slice(letters)];
  return [first, rest.length > letters ? `${rest.slice(0, letters - 1)}…` : rest];
}
