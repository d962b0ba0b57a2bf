import type { EveningsInput, EveningsReport } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { Calendar } from './Calendar.tsx';
import { listJobLines } from './jobLines.tsx';
import { listLoadLines } from './loadLines.tsx';
import type { Names } from './sayEvenings.ts';

interface WeeksProps {
  readonly report: EveningsReport;
  readonly input: EveningsInput;
  readonly names: Names;
  /** Local day of the run that is looked at. */
  readonly day: string | null;
  readonly onDay: (on: string) => void;
}

const VIEWS = [
  { value: 'models', label: 'Models' },
  { value: 'hands', label: 'Hands and places' },
] as const;

/** The weeks, a line a model or a line for all that the work needs. */
export function Weeks({ report, input, names, day, onDay }: WeeksProps) {
  const [view, setView] = useState<(typeof VIEWS)[number]['value']>('models');
  const { runs, jobs, readyAt } = report;
  const isModels = view === 'models';
  const lines = useMemo(
    () => (isModels ? listJobLines(report, names) : listLoadLines(input, runs, names)),
    [isModels, report, input, runs, names],
  );
  const until = Math.max(readyAt, ...(isModels ? jobs.map(({ dueAt }) => dueAt ?? 0) : []));
  return (
    <div className="space-y-1">
      <Toggles aria-label="What the weeks show" value={view} options={VIEWS} onChange={setView} />
      <Calendar
        label={isModels ? 'Models, the latest first' : 'Hands and places'}
        headings={lines.map(({ key }) => (isModels ? (names.jobs.get(key) ?? '') : key))}
        {...{ runs, lines, until, day, onDay }}
      />
      <p className="text-note text-soft-ink">
        {isModels
          ? 'Blocks: hands, as high as their share of the evening. Thin bars: it dries, sets or soaks. Stroke: promised by then. Press an evening to see its steps.'
          : 'Frames: hours that somebody is there. Blocks: what is taken of them. Press an evening to see its steps.'}
      </p>
    </div>
  );
}
