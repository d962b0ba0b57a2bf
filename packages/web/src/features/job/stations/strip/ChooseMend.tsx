import {
  chooseMend,
  createLadder,
  DAMAGES,
  MEND_HOW,
  planStraightening,
  ROUGH_STATES,
  SMOOTH_GOALS,
  type Damage,
  type RoughState,
  type SmoothGoal,
  type SpecimenPart,
} from '@sardonyx/core';
import { useState } from 'react';
import { capitalise } from '../../../../shared/format.ts';
import { usePlanContext } from '../../usePlanContext.ts';

/** For the part in hand: what mends a damage, how far it bends, and with which grits to begin. */
export function ChooseMend({ part }: { readonly part: SpecimenPart }) {
  const { materialsOf, partOf, pieces, isStripped } = usePlanContext();
  const planned = partOf(part.key);
  const isJoined = pieces.neighboursOf(part.key).length > 0;
  const materials = materialsOf(planned);
  return (
    <details>
      <summary className="quiet-button">Mend, straighten, smooth: {part.name.toLowerCase()}</summary>
      <div className="space-y-4 py-2">
        <Mend materials={materials} isJoined={isJoined} keepsPaint={planned.painted && !isStripped(planned)} />
        <Straighten
          materials={materials}
          isJoined={isJoined}
          measured={planned.findings.find((one) => one.kind === 'bent')?.degrees ?? null}
        />
        <Smooth />
      </div>
    </details>
  );
}

type Materials = Parameters<typeof chooseMend>[0]['materials'];

function Mend({
  materials,
  isJoined,
  keepsPaint,
}: {
  readonly materials: Materials;
  readonly isJoined: boolean;
  readonly keepsPaint: boolean;
}) {
  const { option } = usePlanContext();
  const [damage, setDamage] = useState<Damage>('crack');
  const [carriesLoad, setCarriesLoad] = useState(false);
  const [isReached, setReached] = useState(true);
  const [isBakedLater, setBaked] = useState(false);
  const { best, because, insteadOf, refusals } = chooseMend({
    ...{ materials, damage, carriesLoad, isReached, isJoined, isBakedLater, keepsPaint, school: option('S16') },
  });
  return (
    <section aria-label="Mend">
      <h3>{best ? `${capitalise(best)}: ${because}` : `Nothing mends it: ${because}. Replace it.`}</h3>
      {best && <p>{MEND_HOW[best]}</p>}
      {insteadOf && (
        <p className="text-note">
          Not {insteadOf.method}: {insteadOf.reason}.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 py-1">
        <label>
          <span className="block text-note">Damage</span>
          <select
            style={{ width: '8rem' }}
            value={damage}
            onChange={(event) => setDamage(event.target.value as Damage)}
          >
            {DAMAGES.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
        <Check label="It must bear something" value={carriesLoad} onChange={setCarriesLoad} />
        <Check label="A file reaches it" value={isReached} onChange={setReached} />
        <Check label="It is baked afterwards" value={isBakedLater} onChange={setBaked} />
      </div>
      <p className="text-note text-soft-ink">
        Refused: {refusals.map(({ method, reason }) => `${method} (${reason})`).join('; ') || 'none'}.
      </p>
    </section>
  );
}

interface CheckProps {
  readonly label: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

function Check({ label, value, onChange }: CheckProps) {
  return (
    <label className="flex min-h-10 items-center gap-2">
      <input type="checkbox" checked={value} onChange={(event) => onChange(event.target.checked)} className="size-5" />
      {label}
    </label>
  );
}

interface StraightenProps {
  readonly materials: Materials;
  readonly isJoined: boolean;
  readonly measured: number | null;
}

function Straighten({ materials, isJoined, measured }: StraightenProps) {
  const { option } = usePlanContext();
  const [degrees, setDegrees] = useState(measured === null ? '' : String(measured));
  const number = Number(degrees.replace(',', '.'));
  const isUnknown = degrees.trim() === '' || !Number.isFinite(number) || number <= 0;
  const plan = planStraightening({
    ...{ materials, isJoined, degrees: isUnknown ? null : number, isCold: option('S17') === 'cold squeeze' },
  });
  return (
    <section aria-label="Straighten">
      <h3>
        {plan.kind === 'refused'
          ? `Not straightened: ${plan.reason}`
          : `Straighten ${plan.isWarm ? 'warm' : 'cold'}: ${plan.steps} ${plan.steps === 1 ? 'step' : 'steps'} of at most ${plan.stepDegrees}°`}
      </h3>
      <label className="flex items-center gap-2">
        <span>It is off by</span>
        <input
          style={{ width: '6rem' }}
          inputMode="decimal"
          value={degrees}
          onChange={(event) => setDegrees(event.target.value)}
        />
        <span>degrees{isUnknown && ' (not measured: 4° is assumed)'}</span>
      </label>
      {plan.kind === 'steps' && plan.how.map((line) => <p key={line}>{line}</p>)}
    </section>
  );
}

function Smooth() {
  const [state, setState] = useState<RoughState>('light rust');
  const [goal, setGoal] = useState<SmoothGoal>('for primer');
  const { grits, finish, because } = createLadder(state, goal);
  return (
    <section aria-label="Smooth">
      <h3>
        Grits, wet: <span className="figure">{grits.join(' → ')}</span>
        {finish && `, then ${finish}`}
      </h3>
      <div className="flex flex-wrap gap-4 py-1">
        <label>
          <span className="block text-note">It is now</span>
          <select
            style={{ width: '10rem' }}
            value={state}
            onChange={(event) => setState(event.target.value as RoughState)}
          >
            {ROUGH_STATES.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
        <label>
          <span className="block text-note">It should be</span>
          <select
            style={{ width: '10rem' }}
            value={goal}
            onChange={(event) => setGoal(event.target.value as SmoothGoal)}
          >
            {SMOOTH_GOALS.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
      </div>
      <p className="text-note text-soft-ink">{because} Steps are planning estimates; dry only on metal that is bare.</p>
    </section>
  );
}
