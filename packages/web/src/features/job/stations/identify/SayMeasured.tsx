import {
  findOverpaint,
  formatPercent,
  type IdentifyFeature,
  type MeasuredState,
  type Observation,
} from '@sardonyx/core';
import { useJob } from '../../JobContext.tsx';

interface SayMeasuredProps {
  readonly feature: IdentifyFeature;
  readonly given: Observation;
  readonly states: readonly MeasuredState[] | undefined;
}

/** What the numbers say of each state, or why they are not counted. */
export function SayMeasured({ feature, given, states }: SayMeasuredProps) {
  const { specimen } = useJob();
  if (given.certainty === 'replaced')
    return <p>Said to be replaced: what was measured says nothing of the issue, and is not counted.</p>;
  if (given.certainty === 'missing') return <p>The part is missing: what was measured is not counted.</p>;
  if (feature.group === 'outer coat' && findOverpaint(specimen))
    return <p>The body is overpainted: a colour of its outside is somebody else’s, and is not counted.</p>;
  if (!states) return null;
  const labelOf = new Map(feature.states.map(({ id, label }) => [id, label]));
  const rest = 1 - states.reduce((sum, { share }) => sum + share, 0);
  return (
    <>
      <ul className="my-1">
        {states.map((state) => (
          <li key={state.stateId} className="flex gap-3">
            <Share of={state.share} />
            <span>
              {labelOf.get(state.stateId)}
              <span className="text-soft-ink">, {sayDistance(state, given)}</span>
            </span>
          </li>
        ))}
        <li className="flex gap-3 text-soft-ink">
          <Share of={Math.max(0, rest)} />
          none of them
        </li>
      </ul>
      <p className="text-note text-soft-ink">{sayBasis(states, given)}</p>
    </>
  );
}

const Share = ({ of }: { readonly of: number }) => (
  <span className="figure w-24 shrink-0 text-right whitespace-nowrap">{formatPercent(of)}</span>
);

function sayDistance({ de, off }: MeasuredState, { size }: Observation): string {
  const said = [
    ...(de === null ? [] : [`${de.toFixed(1)} dE00 away`]),
    ...(off === null ? [] : [`${Math.abs(off).toFixed(2)} ${size!.unit} ${off < 0 ? 'less' : 'more'} than it`]),
  ];
  return said.join(', ') || 'not measured';
}

function sayBasis(states: readonly MeasuredState[], { captureIds }: Observation): string {
  if (states.every(({ de, off }) => de === null && off === null))
    return 'No state of it was measured on another model or as new: only its swatch is there to hold it against.';
  const spreads = captureIds.length > 0 ? 'reading, batch and fading' : 'both spreads';
  return `If all were alike beforehand; ${spreads} counted in (planning estimates). Between measured states the number decides, not the eye.`;
}
