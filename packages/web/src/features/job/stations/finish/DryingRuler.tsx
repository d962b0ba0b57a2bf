import { answerArea, isStanding, layersUnder, nameOfArea, type AreaAnswer, type NextCoat } from '@sardonyx/core';
import { useId, useState } from 'react';
import { Toggles } from '../../../../shared/ui/Toggles.tsx';
import { Twin } from '../../../../shared/ui/Twin.tsx';
import { useJob } from '../../JobContext.tsx';
import { chooseScale, listTicks, RULER_SCALES } from './rulerScale.ts';
import { sayNextCoat } from './NextCoats.tsx';
import { sayBearing, sayPlace } from './sayBearing.ts';

const WIDTH = 700;
/** So many go on one line of it; all of them stand in the table. */
const LETTERS = 94;
const AXIS = 30;
const NAME = 22;
const BAR = 20;
const ROW = NAME + BAR + 10;

interface DryingRulerProps {
  readonly list: readonly NextCoat[];
  readonly now: Date;
  readonly areaId: string | null;
  readonly onChoose: (areaId: string) => void;
}

/** Time to the right, a line for each area that something is on or planned for: coats, open windows and gaps. */
export function DryingRuler({ list, now, areaId, onChoose }: DryingRulerProps) {
  const hatch = useId();
  const { specimen } = useJob();
  const at = now.getTime();
  const rows = useRows(at, list);
  const [chosen, setChosen] = useState<string | null>(null);
  const changes = rows.flatMap(({ recoat }) => recoat?.spans.flatMap(({ from, to }) => [from, to ?? from]) ?? []);
  const scale = RULER_SCALES.find(({ label }) => label === chosen) ?? chooseScale(changes, at);
  const [from, to] = [at - scale.backMs, at + scale.aheadMs];
  const xOf = (moment: number) => (Math.min(to, Math.max(from, moment)) - from) * (WIDTH / (to - from));
  if (rows.length === 0) return null;
  const height = AXIS + rows.length * ROW;
  return (
    <figure aria-label="Drying" className="border border-strong-line bg-sheet p-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>Drying</h2>
        <Toggles
          aria-label="How far ahead"
          value={scale.label}
          options={RULER_SCALES.map(({ label }) => label)}
          onChange={setChosen}
        />
      </div>
      <svg viewBox={`0 0 ${WIDTH} ${height}`} className="mt-1 w-full" role="group" aria-label="Areas over time">
        <defs>
          <pattern id={hatch} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line y2={7} stroke="var(--ink)" strokeWidth={1.6} />
          </pattern>
        </defs>
        {listTicks(scale, at).map((tick) => (
          <g key={tick} transform={`translate(${xOf(tick)} 0)`}>
            {rows.map((row, i) => (
              <line
                key={row.areaId}
                y1={AXIS + i * ROW + NAME}
                y2={AXIS + i * ROW + NAME + BAR}
                stroke="var(--hairline)"
              />
            ))}
            {Math.abs(xOf(tick) - xOf(at)) > 34 && (
              <text y={14} textAnchor="middle" fontSize={13} fill="var(--soft-ink)">
                {sayTick(tick, scale.everyHours)}
              </text>
            )}
          </g>
        ))}
        {rows.map((row, i) => (
          <Row
            key={row.areaId}
            {...{ row, xOf, hatch }}
            top={AXIS + i * ROW}
            isChosen={row.areaId === areaId}
            words={row.next ? sayNextCoat(row.next, now) : 'all its coats are on'}
            onChoose={() => onChoose(row.areaId)}
          />
        ))}
        <g transform={`translate(${xOf(at)} 0)`}>
          {rows.map((row, i) => (
            <line
              key={row.areaId}
              y1={AXIS + i * ROW + NAME - 4}
              y2={AXIS + i * ROW + NAME + BAR + 2}
              stroke="var(--sard)"
              strokeWidth={2}
            />
          ))}
          <text y={14} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--ink)">
            now
          </text>
        </g>
      </svg>
      <figcaption className="text-note text-soft-ink">
        Framed: takes another coat. Hatched: a coat would lift it. Times hold for 95 of 100 coats.
      </figcaption>
      <Twin
        label="Drying"
        headings={['Area', 'Now', 'Next coat', 'Handled from', 'Masked from', 'Decals from', 'Cured']}
        rows={rows.map(({ place, next, answers }) => [
          place,
          answers.find(({ act }) => act === 'recoat')!.isAllowed ? 'takes a coat' : 'takes none',
          next ? sayNextCoat(next, now) : 'none is planned',
          ...(['handle', 'mask', 'decal', 'wear'] as const).map((act) => sayBearing(answers, act, now)),
        ])}
      />
      <span className="sr-only" role="status">
        {specimen.specimen.name}: {list[0] ? sayNextCoat(list[0], now) : ''}
      </span>
    </figure>
  );
}

interface RulerRow {
  readonly areaId: string;
  readonly place: string;
  readonly coats: readonly {
    readonly id: string;
    readonly name: string;
    readonly colourHex: string;
    readonly at: number;
  }[];
  readonly answers: readonly AreaAnswer[];
  /** null where nothing dries there. */
  readonly recoat: AreaAnswer | null;
  readonly next: NextCoat | null;
}

/** Areas that carry a coat of this bench, or get one. */
function useRows(at: number, list: readonly NextCoat[]): RulerRow[] {
  const { specimen } = useJob();
  return specimen.areas.flatMap((area): RulerRow[] => {
    const part = specimen.parts.find(({ id }) => id === area.specimenPartId);
    const own = specimen.layers.filter((layer) => layer.areaId === area.id && isStanding(layer));
    const next = list.find((one) => one.areaId === area.id) ?? null;
    if (!part || (own.length === 0 && !next)) return [];
    const lies = new Set([...own, ...layersUnder(area, specimen.areas, specimen.layers)].map(({ id }) => id));
    const film = specimen.film.filter(({ layerId }) => lies.has(layerId));
    const answers = answerArea(film, at);
    return [
      {
        areaId: area.id,
        place: sayPlace(part, nameOfArea(area)),
        coats: own.flatMap(({ id, name: coat, colourHex, appliedAt }) =>
          appliedAt === null ? [] : [{ id, name: coat, colourHex, at: Date.parse(appliedAt) }],
        ),
        ...{ answers, next },
        recoat: film.length ? answers.find(({ act }) => act === 'recoat')! : null,
      },
    ];
  });
}

interface RowProps {
  readonly row: RulerRow;
  readonly top: number;
  readonly xOf: (moment: number) => number;
  readonly hatch: string;
  readonly isChosen: boolean;
  readonly words: string;
  readonly onChoose: () => void;
}

const shorten = (words: string, most: number): string => (words.length > most ? `${words.slice(0, most - 1)}…` : words);

function Row({ row, top, xOf, hatch, isChosen, words, onChoose }: RowProps) {
  const spans = row.recoat?.spans ?? [];
  const gaps = spans.slice(1).map((span, i) => ({ from: spans[i]!.to!, to: span.from }));
  return (
    <g transform={`translate(0 ${top})`}>
      <rect width={WIDTH} height={ROW - 2} fill={isChosen ? 'var(--sunk)' : 'transparent'} />
      <text x={4} y={NAME - 6} fontSize={15} fontWeight={isChosen ? 700 : 400} fill="var(--ink)">
        {row.place}
        <tspan dx={8} fontWeight={400} fill="var(--soft-ink)">
          {shorten(words, LETTERS - row.place.length)}
        </tspan>
      </text>
      <line x2={WIDTH} y1={NAME + BAR} y2={NAME + BAR} stroke="var(--strong-line)" />
      {gaps.map((gap) => (
        <Stretch key={gap.from} {...gap} {...{ xOf }} fill={`url(#${hatch})`} label="lifts" />
      ))}
      {spans.map((span) => (
        <Stretch key={span.from} {...span} {...{ xOf }} fill="var(--sheet)" label="coat" isFramed />
      ))}
      {row.coats.map(({ id, name, colourHex, at }) => (
        <rect
          key={id}
          x={xOf(at) - 5}
          y={NAME - 1}
          width={10}
          height={BAR + 2}
          fill={colourHex}
          stroke="var(--ink)"
          strokeWidth={1}
        >
          <title>{name}</title>
        </rect>
      ))}
      {/* What is pressed has a name of its own: the words of the drawing are many. */}
      <rect
        role="button"
        tabIndex={0}
        aria-pressed={isChosen}
        aria-label={`${row.place}: ${words}`}
        className="cursor-pointer"
        width={WIDTH}
        height={ROW - 2}
        fill="transparent"
        onClick={onChoose}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onChoose();
        }}
      />
    </g>
  );
}

interface StretchProps {
  readonly from: number;
  readonly to: number | null;
  readonly xOf: (moment: number) => number;
  readonly fill: string;
  readonly label: string;
  readonly isFramed?: boolean;
}

function Stretch({ from, to, xOf, fill, label, isFramed = false }: StretchProps) {
  const [x, end] = [xOf(from), to === null ? WIDTH : xOf(to)];
  if (end - x < 1) return null;
  return (
    <g>
      <rect
        {...{ x, fill }}
        y={NAME + 2}
        width={end - x}
        height={BAR - 2}
        stroke={isFramed ? 'var(--ink)' : 'none'}
        strokeWidth={1.5}
      />
      {end - x > 48 && (
        <>
          {!isFramed && <rect x={x + 8} y={NAME + 4} width={34} height={BAR - 6} fill="var(--sheet)" />}
          <text x={x + 12} y={NAME + BAR - 4} fontSize={13} fill="var(--ink)">
            {label}
          </text>
        </>
      )}
    </g>
  );
}

const TICK_HOUR = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
const TICK_DAY = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric' });
const sayTick = (tick: number, everyHours: number) => (everyHours >= 24 ? TICK_DAY : TICK_HOUR).format(tick);
