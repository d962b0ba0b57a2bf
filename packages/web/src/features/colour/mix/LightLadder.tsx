import { computeDe00, type Lab, type MixState } from '@sardonyx/core';

const WIDE = 300;
const HIGH = 132;
const EDGE = 18;

/** The path so far: lightness of each patch against what is wanted, with how far each was off. */
export function LightLadder({ target, patches }: { readonly target: Lab; readonly patches: MixState['patches'] }) {
  if (patches.length === 0) return null;
  const lights = [target[0], ...patches.map(({ reading }) => reading.lab[0])];
  const middle = (Math.min(...lights) + Math.max(...lights)) / 2;
  const span = Math.max(6, Math.max(...lights) - Math.min(...lights));
  const yOf = (l: number) => HIGH / 2 - ((l - middle) / span) * (HIGH - 2 * EDGE);
  const xOf = (i: number) => 40 + ((i + 0.5) * (WIDE - 50)) / Math.max(3, patches.length);
  // A figure stands where the line does not go.
  const isRising = (i: number) => (lights[i + 2] ?? -Infinity) > lights[i + 1]!;
  const points = patches.map(({ reading }, i) => `${xOf(i)},${yOf(reading.lab[0])}`);
  return (
    <figure className="inline-block">
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} aria-hidden className="text-ink">
        <path d={`M0 ${yOf(target[0])}H${WIDE}`} stroke="currentColor" strokeWidth={1} strokeDasharray="5 4" />
        <text x={0} y={yOf(target[0]) - 5} fontSize={13} fill="currentColor">
          wanted
        </text>
        <polyline points={points.join(' ')} fill="none" stroke="currentColor" strokeWidth={1.5} />
        {patches.map(({ reading }, i) => (
          <g key={i} transform={`translate(${xOf(i)} ${yOf(reading.lab[0])})`}>
            <rect x={-5} y={-5} width={10} height={10} fill="currentColor" />
            <text x={6} y={isRising(i) ? 20 : -8} fontSize={13} fill="currentColor">
              {computeDe00(target, reading.lab).toFixed(1)}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-note text-soft-ink">
        Lightness, patch by patch: {patches.map(({ reading }) => reading.lab[0].toFixed(1)).join(', ')} for{' '}
        {target[0].toFixed(1)} wanted; figures are dE00.
      </figcaption>
    </figure>
  );
}
