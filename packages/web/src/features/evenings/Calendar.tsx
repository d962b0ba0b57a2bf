import { useDroppable } from '@dnd-kit/core';
import type { EveningRun } from '@sardonyx/core';
import { useState, type ReactNode } from 'react';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { Twin } from '../../shared/ui/Twin.tsx';

export const DAY_MS = 86_400_000;
export const DAY_PX = 26;
export const ROW_PX = 44;
const HEAD_PX = 44;

/** A line of the calendar: its words on the left, what is drawn on the weeks, and what it says of each evening. */
export interface CalendarLine {
  readonly key: string;
  readonly head: ReactNode;
  readonly draw: (xOf: (at: number) => number) => ReactNode;
  readonly say: (run: EveningRun) => string;
}

interface CalendarProps {
  readonly label: string;
  readonly runs: readonly EveningRun[];
  readonly lines: readonly CalendarLine[];
  /** Heads of the lines in the table beside it. */
  readonly headings: readonly string[];
  /** How far to the right it goes, ms. */
  readonly until: number;
  /** Local day of the run that is looked at. */
  readonly day: string | null;
  readonly onDay: (on: string) => void;
}

/** Weeks to the right, evenings as columns; a step can be dropped on them. */
export function Calendar({ label, runs, lines, headings, until, day, onDay }: CalendarProps) {
  const [from] = useState(() => startOfDay(runs[0]?.from ?? Date.now()));
  const days = Math.max(14, Math.ceil((until + DAY_MS - from) / DAY_MS));
  const xOf = (at: number) => ((at - from) / DAY_MS) * DAY_PX;
  const height = HEAD_PX + lines.length * ROW_PX;
  return (
    <>
      <div className="flex border border-hairline bg-sheet">
        <ol aria-label={label} className="w-52 shrink-0 border-r border-hairline" style={{ paddingTop: HEAD_PX }}>
          {lines.map(({ key, head }) => (
            <li key={key} className="px-2 leading-5" style={{ height: ROW_PX }}>
              {head}
            </li>
          ))}
        </ol>
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Weeks, to the right">
          <svg width={days * DAY_PX} height={height} role="group" aria-label="Evenings of all models">
            {Array.from({ length: days }, (_, i) => from + i * DAY_MS).map((at) => (
              <DayHead key={at} at={at} x={xOf(at)} height={height} />
            ))}
            {runs.map((run) => (
              <Evening
                key={run.on}
                run={run}
                x={xOf(startOfDay(run.from))}
                height={height}
                isChosen={run.on === day}
                onDay={onDay}
              />
            ))}
            {lines.map(({ key, draw }, row) => (
              <g
                key={key}
                transform={`translate(0 ${HEAD_PX + row * ROW_PX})`}
                aria-hidden
                className="pointer-events-none"
              >
                <line x1={0} x2={10_000} y1={0} y2={0} className="stroke-hairline" />
                {draw(xOf)}
              </g>
            ))}
          </svg>
        </div>
      </div>
      <Twin
        label="Evenings of all models"
        headings={['Evening', ...headings]}
        rows={runs.map((run) => [formatEvening(run.from), ...lines.map(({ say }) => say(run))])}
      />
    </>
  );
}

function DayHead({ at, x, height }: { readonly at: number; readonly x: number; readonly height: number }) {
  const date = new Date(at);
  const isMonday = date.getDay() === 1;
  return (
    <g aria-hidden>
      {isMonday && <line x1={x} x2={x} y1={0} y2={height} className="stroke-strong-line" />}
      {isMonday && (
        <text x={x + 4} y={15} className="fill-ink text-[0.8125rem]">
          {formatEvening(at)}
        </text>
      )}
      <text x={x + DAY_PX / 2} y={36} textAnchor="middle" className="fill-soft-ink text-[0.8125rem]">
        {date.getDate()}
      </text>
    </g>
  );
}

interface EveningProps {
  readonly run: EveningRun;
  readonly x: number;
  readonly height: number;
  readonly isChosen: boolean;
  readonly onDay: (on: string) => void;
}

function Evening({ run, x, height, isChosen, onDay }: EveningProps) {
  const count = run.steps.length;
  const { setNodeRef, isOver } = useDroppable({ id: run.on });
  return (
    <g
      // An evening is no box of the page, but it has a place on it.
      ref={(drawn) => setNodeRef(drawn as unknown as HTMLElement | null)}
      role="button"
      tabIndex={0}
      aria-pressed={isChosen}
      aria-label={`${formatEvening(run.from)}, ${count === 1 ? '1 step' : `${count} steps`}`}
      className="cursor-pointer"
      onClick={() => onDay(run.on)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onDay(run.on);
      }}
    >
      <rect
        x={x + 1}
        y={HEAD_PX - 20}
        width={DAY_PX - 2}
        height={height - HEAD_PX + 20}
        className={isOver ? 'fill-sunk stroke-sard' : isChosen ? 'fill-sunk stroke-ink' : 'fill-sunk'}
        strokeWidth={isOver ? 4 : isChosen ? 2 : 0}
      />
      {isChosen && (
        <text
          x={x + DAY_PX / 2}
          y={36}
          textAnchor="middle"
          className="fill-ink text-[0.8125rem] font-semibold"
          aria-hidden
        >
          {new Date(run.from).getDate()}
        </text>
      )}
    </g>
  );
}

export const startOfDay = (at: number) => new Date(at).setHours(0, 0, 0, 0);
