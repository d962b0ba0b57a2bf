import {
  computeYearChances,
  describeRegion,
  formatPercent,
  type Identification,
  type IdentifyCatalogue,
  type IdentifyState,
} from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { Twin } from '../../../../shared/ui/Twin.tsx';
import { useJob } from '../../JobContext.tsx';

const WIDTH = 640;
const BASE = 58;
const ROW = 24;

interface DateRulerProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

/**
 * When it was made: the density per quarter over a ruler of years, the 90 % span as a bar, and under it one notched line for
 * every look that speaks of years.
 */
export function DateRuler({ identification, catalogue }: DateRulerProps) {
  const { specimen } = useJob();
  const { axis, dateDensity, date, bounds } = identification;
  const peak = Math.max(...dateDensity);
  const years = axis.count / 4;
  const lastYear = axis.firstYear + years;
  const xOf = (year: number) => (Math.min(years, Math.max(0, year - axis.firstYear)) / years) * WIDTH;
  const step = years > 30 ? 10 : years > 14 ? 5 : years > 7 ? 2 : 1;
  const ticks = Array.from({ length: Math.floor(years) + 1 }, (_, i) => axis.firstYear + i).filter(
    (year) => year % step === 0 || years < 3,
  );
  const dated = selectDated(specimen.observations, catalogue);
  const words = `Made ${describeRegion(date.region90)} (90 %), most likely ${describeRegion(date.region50)} (50 %)`;
  const height = BASE + 40 + dated.length * ROW;
  return (
    <figure>
      <svg role="img" aria-label={words} viewBox={`-24 0 ${WIDTH + 48} ${height}`} className="w-full">
        {Array.from(dateDensity, (density, i) => {
          const tall = peak > 0 ? (density / peak) * 44 : 0;
          return (
            <rect
              key={i}
              x={(i / axis.count) * WIDTH}
              y={BASE - tall}
              width={WIDTH / axis.count + 0.4}
              height={tall}
              fill="var(--soft-ink)"
            />
          );
        })}
        <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth={1.5} />
        {date.region90.map((piece) => (
          <rect
            key={piece.fromYear}
            x={xOf(piece.fromYear)}
            y={BASE + 2}
            width={xOf(piece.toYear) - xOf(piece.fromYear)}
            height={5}
            fill="var(--ink)"
          />
        ))}
        {ticks.map((year) => (
          <g key={year} transform={`translate(${xOf(year)} ${BASE})`}>
            <line y2={12} stroke="var(--ink)" />
            <text y={28} textAnchor="middle" fontSize={14} fill="var(--ink)">
              {year}
            </text>
          </g>
        ))}
        {dated.map(({ label, state }, i) => {
          const y = BASE + 54 + i * ROW;
          const [from, to] = [xOf(state.fromYear ?? axis.firstYear), xOf(state.toYear ?? lastYear)];
          const isLate = from > WIDTH * 0.6;
          return (
            <g key={label}>
              <line x1={from} x2={to} y1={y} y2={y} stroke="var(--ink)" strokeWidth={2} />
              {state.fromYear !== null && <path d={`M${from} ${y - 5}v10`} stroke="var(--ink)" strokeWidth={3} />}
              {state.toYear !== null && <path d={`M${to} ${y - 5}v10`} stroke="var(--ink)" strokeWidth={3} />}
              <text
                x={isLate ? to : from + 6}
                y={y - 5}
                textAnchor={isLate ? 'end' : 'start'}
                fontSize={13}
                fill="var(--ink)"
              >
                {label}
              </text>
            </g>
          );
        })}
        {bounds.notBefore && <Wall x={xOf(bounds.notBefore.year)} towards={1} />}
        {bounds.notAfter && <Wall x={xOf(bounds.notAfter.year)} towards={-1} />}
      </svg>
      <figcaption className="text-soft-ink">
        {words}.{bounds.notBefore && ` Not before ${Math.floor(bounds.notBefore.year)}: ${bounds.notBefore.setBy}.`}
        {bounds.notAfter && ` Not after ${Math.floor(bounds.notAfter.year)}: ${bounds.notAfter.setBy}.`}
      </figcaption>
      <Twin
        label="When it was made"
        headings={['Year', 'Chance']}
        rows={computeYearChances(identification).map(({ year, chance }) => [year, formatPercent(chance)])}
      />
      {bounds.conflict && (
        <p role="note" className="mt-2 border-l-4 border-sard pl-3 text-ink">
          <strong>
            <Sign of="warning" />
            These did not leave the factory together:{' '}
          </strong>
          {bounds.conflict.later.setBy} (from {Math.floor(bounds.conflict.later.year)}) and{' '}
          {bounds.conflict.earlier.setBy} (to {Math.floor(bounds.conflict.earlier.year)}). Parts were changed, or it is
          put together from two models.
        </p>
      )}
    </figure>
  );
}

/** A hard bound: nothing before it, or after it. */
function Wall({ x, towards }: { readonly x: number; readonly towards: 1 | -1 }) {
  return (
    <path
      d={`M${x} 6v${BASE - 6}m0 ${6 - BASE}l${9 * towards} 5l${-9 * towards} 5`}
      stroke="var(--sard)"
      strokeWidth={2}
      fill="var(--sard)"
    />
  );
}

interface DatedLook {
  readonly label: string;
  readonly state: IdentifyState;
}

function selectDated(
  observations: readonly { readonly featureId: string; readonly stateId: string | null; readonly certainty: string }[],
  catalogue: IdentifyCatalogue,
): DatedLook[] {
  return observations.flatMap(({ featureId, stateId, certainty }): DatedLook[] => {
    const feature = catalogue.features.find((candidate) => candidate.id === featureId);
    const state = feature?.states.find((candidate) => candidate.id === stateId);
    if (!state || certainty === 'replaced' || (state.fromYear === null && state.toYear === null)) return [];
    return [{ label: `${feature!.label}: ${state.label.toLowerCase()}`, state }];
  });
}
