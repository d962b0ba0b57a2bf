import {
  createLadder,
  describeFinding,
  MEND_HOW,
  MEND_METHODS,
  planStraightening,
  ROUGH_STATES,
  selectMends,
  SMOOTH_GOALS,
  type Finding,
  type Mend,
  type RoughState,
  type SmoothGoal,
  type SpecimenPart,
} from '@sardonyx/core';
import { useState } from 'react';
import { Checkbox } from '../../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import type { AppError } from '../../../../shared/api/appError.ts';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { capitalise } from '../../../../shared/format.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useJob } from '../../JobContext.tsx';
import { usePlanContext } from '../../usePlanContext.ts';

/** For the part in hand: how each damage is mended, how far it bends, and with which grits to begin. */
export function ChooseMend({ part }: { readonly part: SpecimenPart }) {
  const context = usePlanContext();
  const planned = context.partOf(part.key);
  const mends = selectMends(planned, context);
  return (
    <Fold title={`Mend, straighten, smooth: ${part.name.toLowerCase()}`}>
      <div className="space-y-4 py-2">
        {mends.length === 0 && (
          <p className="text-soft-ink">Nothing on it is cracked, broken or gone. What you find is added at Survey.</p>
        )}
        {mends.map((mend) => (
          <OneMend key={mend.finding.id} mend={mend} />
        ))}
        <Straighten
          materials={context.materialsOf(planned)}
          isJoined={context.pieces.neighboursOf(part.key).length > 0}
          measured={planned.findings.find(({ kind }) => kind === 'bent' || kind === 'twisted')?.degrees ?? null}
        />
        <Smooth />
      </div>
    </Fold>
  );
}

/** One damage: what mends it and why, what else may, and what is chosen for it; the plan goes by that. */
function OneMend({ mend: { finding, carriesLoad, advice } }: { readonly mend: Mend }) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const [error, setError] = useState<AppError | null>(null);
  // Shown at once; the plan follows.
  const [sent, setSent] = useState<Partial<Pick<Finding, 'mend' | 'carriesLoad'>>>({});
  const row = specimen.findings.find(({ id }) => id === finding.id);
  const { best, because, insteadOf, refusals } = advice;
  // A piece that is chosen goes on the list: that nothing is on it yet refuses nothing.
  const choices = MEND_METHODS.filter(
    (method) => method === 'new piece' || refusals.every((one) => one.method !== method),
  );
  const change = async (changes: Partial<Pick<Finding, 'mend' | 'carriesLoad'>>) => {
    if (!row) return;
    const label = `${describeFinding(finding)}: ${changes.mend ?? 'how it is mended'}`;
    setSent(changes);
    setError(await dispatch(changeRow({ kind: 'findings', row, changes, label, isShownInPlace: true })).unwrap());
    setSent({});
  };
  return (
    <section aria-label={`Mend: ${describeFinding(finding)}`} className="space-y-1">
      <h3>
        {capitalise(describeFinding(finding))}:{' '}
        {best ? `${best}, ${because}` : `nothing mends it, ${because}. Replace it.`}
      </h3>
      {best && <p>{MEND_HOW[best]}</p>}
      {insteadOf && (
        <p className="text-note">
          Not {insteadOf.method}: {insteadOf.reason}.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 py-1">
        <Field label="Mend it with" isQuiet width="14rem">
          <Select
            disabled={isClosed}
            value={sent.mend === undefined ? finding.mend : sent.mend}
            options={[{ value: null, label: 'what fits best' }, ...choices]}
            onChange={(value) => void change({ mend: value })}
          />
        </Field>
        <Checkbox
          disabled={isClosed}
          checked={sent.carriesLoad ?? carriesLoad}
          onChange={(isChecked) => void change({ carriesLoad: isChecked })}
        >
          It must bear something
        </Checkbox>
      </div>
      {error && <ErrorNote error={error} />}
      <p className="text-note text-soft-ink">
        Refused: {refusals.map(({ method, reason }) => `${method} (${reason})`).join('; ') || 'none'}.
      </p>
    </section>
  );
}

interface StraightenProps {
  readonly materials: Parameters<typeof planStraightening>[0]['materials'];
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
        Grits, wet: <span className="figure">{grits.join(', then ')}</span>
        {finish && `, then ${finish}`}
      </h3>
      <div className="flex flex-wrap gap-4 py-1">
        <Field label="It is now" isQuiet width="10rem">
          <Select value={state} options={ROUGH_STATES} onChange={setState} />
        </Field>
        <Field label="It should be" isQuiet width="10rem">
          <Select value={goal} options={SMOOTH_GOALS} onChange={setGoal} />
        </Field>
      </div>
      <p className="text-note text-soft-ink">{because} Steps are planning estimates; dry only on metal that is bare.</p>
    </section>
  );
}
