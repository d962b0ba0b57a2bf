import { describeInterval, type Identification } from '@sardonyx/core';

const WIDTH = 640;
const HEIGHT = 92;
const BASE = 58;

/** When it was made: the density per quarter over a ruler of years, the 90 % span as a bar, hard bounds as notches. */
export function DateRuler({ identification }: { readonly identification: Identification }) {
  const { axis, dateDensity, date, bounds } = identification;
  const peak = Math.max(...dateDensity);
  const years = axis.count / 4;
  const xOf = (year: number) => ((year - axis.firstYear) / years) * WIDTH;
  const step = years > 30 ? 10 : years > 14 ? 5 : years > 7 ? 2 : 1;
  const ticks = Array.from({ length: Math.floor(years) + 1 }, (_, i) => axis.firstYear + i).filter(
    (year) => year % step === 0 || years < 3,
  );
  const bars = Array.from(dateDensity, (density, i) => ({
    x: (i / axis.count) * WIDTH,
    height: peak > 0 ? (density / peak) * 44 : 0,
  }));
  const words = `Made ${describeInterval(date.interval90)} (90 %), most likely ${describeInterval(date.interval50)} (50 %)`;
  return (
    <figure>
      <svg role="img" aria-label={words} viewBox={`-24 0 ${WIDTH + 48} ${HEIGHT}`} className="w-full">
        {bars.map((bar, i) => (
          <rect
            key={i}
            x={bar.x}
            y={BASE - bar.height}
            width={WIDTH / axis.count + 0.4}
            height={bar.height}
            fill="var(--soft-ink)"
          />
        ))}
        <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth={1.5} />
        <rect
          x={xOf(date.interval90.fromYear)}
          y={BASE + 2}
          width={xOf(date.interval90.toYear) - xOf(date.interval90.fromYear)}
          height={5}
          fill="var(--ink)"
        />
        {ticks.map((year) => (
          <g key={year} transform={`translate(${xOf(year)} ${BASE})`}>
            <line y2={12} stroke="var(--ink)" />
            <text y={28} textAnchor="middle" fontSize={14} fill="var(--ink)">
              {year}
            </text>
          </g>
        ))}
        {bounds.notBefore && (
          <path
            d={`M${xOf(bounds.notBefore.year)} 6v${BASE - 6}m0 ${6 - BASE}l9 5l-9 5`}
            stroke="var(--sard)"
            strokeWidth={2}
            fill="var(--sard)"
          />
        )}
        {bounds.notAfter && (
          <path
            d={`M${xOf(bounds.notAfter.year)} 6v${BASE - 6}m0 ${6 - BASE}l-9 5l9 5`}
            stroke="var(--sard)"
            strokeWidth={2}
            fill="var(--sard)"
          />
        )}
      </svg>
      <figcaption className="text-soft-ink">
        {words}.{bounds.notBefore && ` Not before ${Math.floor(bounds.notBefore.year)}: ${bounds.notBefore.setBy}.`}
        {bounds.notAfter && ` Not after ${Math.floor(bounds.notAfter.year)}: ${bounds.notAfter.setBy}.`}
      </figcaption>
      {bounds.conflict && (
        <p className="mt-2 border-l-4 border-sard pl-3 text-ink">
          <strong>▲ These did not leave the factory together: </strong>
          {bounds.conflict.later.setBy} (from {Math.floor(bounds.conflict.later.year)}) and{' '}
          {bounds.conflict.earlier.setBy} (to {Math.floor(bounds.conflict.earlier.year)}).
        </p>
      )}
    </figure>
  );
}
