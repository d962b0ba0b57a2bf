import { listInHand, type JointReason, type JointWish } from '@sardonyx/core';
import { Radios } from '../../../../shared/ui/Radios.tsx';
import { EqualIcon, OpenIcon } from '../../../../shared/ui/icons.ts';
import { changeRow, createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { capitalise, formatMinutes } from '../../../../shared/format.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { CloseUp } from '../../CloseUp.tsx';
import { useJob } from '../../JobContext.tsx';
import { FoundConditionChoice } from './FoundCondition.tsx';
import type { OpeningAnswer as Opening } from './worker/protocol.ts';

/** Every joint of the model: opened or left closed, why, what it costs, and what to have in hand first. */
export function JointLines({ opening }: { readonly opening: Opening }) {
  return (
    <section aria-label="Joints">
      <h2 className="mb-1">Every joint, and why</h2>
      <ol>
        {opening.reasons.map((reason) => (
          <JointLine key={reason.jointKey} reason={reason} opening={opening} />
        ))}
      </ol>
    </section>
  );
}

function JointLine({ reason, opening }: { readonly reason: JointReason; readonly opening: Opening }) {
  const number = numberOf(reason, opening);
  const planned = opening.chosen.opening.find((joint) => joint.key === reason.jointKey);
  const inHand = planned && !reason.isOpenAlready ? listInHand(planned, opening.question.parts) : [];
  return (
    <li className="border-t border-hairline py-2" data-joint={reason.jointKey}>
      <div className="flex items-start gap-2">
        <span
          aria-hidden
          className={`figure inline-grid h-6 min-w-6 shrink-0 place-items-center border border-ink px-1 font-bold ${number !== null ? 'bg-ink text-sheet' : 'bg-sheet text-ink'}`}
        >
          {number ?? (reason.isFoundOpen ? <OpenIcon size={14} /> : <EqualIcon size={14} />)}
        </span>
        <div className="min-w-0 grow">
          <p>
            <strong>{capitalise(reason.label)}</strong>:{' '}
            {reason.isOpenAlready
              ? 'open'
              : planned && reason.isOpened
                ? `${planned.way.label.toLowerCase()}, ${formatMinutes(planned.way.minutes)}, ${Math.round(planned.way.risk * 100)} % damage`
                : 'left closed'}
          </p>
          {(reason.isFoundOpen || !reason.isOpenAlready) && (
            <p className="text-note">
              {reason.because}
              <span className="text-soft-ink"> {describeOther(reason)}</span>
            </p>
          )}
          <WhereJointIs jointKey={reason.jointKey} label={reason.label} />
          {inHand.length > 0 && <p className="text-note text-soft-ink">In hand first: {inHand.join('; ')}.</p>}
          <div className="flex flex-wrap items-center gap-x-6">
            {(reason.isFoundOpen || !reason.isOpenAlready) && <FoundConditionChoice reason={reason} />}
            {!reason.isOpenAlready && <WishChoice reason={reason} />}
          </div>
        </div>
      </div>
    </li>
  );
}

/** Where it is seen, if somebody placed it on a traced view. */
function WhereJointIs({ jointKey, label }: { readonly jointKey: string; readonly label: string }) {
  const { specimen } = useJob();
  const seen = specimen.casting?.casting.drawing.views.flatMap((view) => {
    const place = view.joints?.find((one) => one.jointKey === jointKey);
    return place ? [{ view, place }] : [];
  });
  if (!seen?.length) return null;
  return (
    <div className="my-1 flex gap-2">
      {seen.map(({ view, place }) => (
        <div key={view.view} className="h-24 w-32 border border-hairline bg-paper">
          <CloseUp view={view} place={place} label={label} />
        </div>
      ))}
    </div>
  );
}

/** Its number among the cuts; null where it is not opened. */
export function numberOf(reason: JointReason, { reasons }: Opening): number | null {
  const isCut = (one: JointReason) => one.isOpened && !one.isFoundOpen;
  return isCut(reason) ? reasons.filter(isCut).indexOf(reason) + 1 : null;
}

function describeOther({ isOpened, otherwiseMin, forgoes }: JointReason): string {
  if (forgoes.length > 0) return `Left closed, this could not be done: ${forgoes.join('; ')}.`;
  if (otherwiseMin === null) return '';
  const minutes = Math.round(Math.abs(otherwiseMin));
  const other = isOpened ? 'Left closed' : 'Opened';
  if (minutes === 0) return `${other}, the plan costs the same.`;
  return `${other}, the best plan costs ${minutes} min ${otherwiseMin > 0 ? 'more' : 'less'} (damage weighed in).`;
}

const WISHES = [
  { value: '', label: 'as planned' },
  { value: 'open', label: 'open it' },
  { value: 'closed', label: 'leave it closed' },
] as const;

/** What if: the plan follows at once. */
function WishChoice({ reason }: { readonly reason: JointReason }) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const row = specimen.jointWishes.find((wish) => wish.jointKey === reason.jointKey);
  const choose = (value: '' | JointWish) => {
    const label = `${reason.label}: ${value === '' ? 'as planned' : value}`;
    if (value === '') {
      if (row) void dispatch(deleteRow({ kind: 'joint-wishes', row, label }));
    } else if (row) void dispatch(changeRow({ kind: 'joint-wishes', row, changes: { wish: value }, label }));
    else {
      const body = { specimenId: specimen.specimen.id, jointKey: reason.jointKey, wish: value, reason: '' };
      void dispatch(createRow({ kind: 'joint-wishes', body, label }));
    }
  };
  return (
    <Radios
      label={`What you want for the ${reason.label}`}
      look="unseen"
      disabled={isClosed}
      value={row?.wish ?? ''}
      options={WISHES}
      onChange={choose}
    />
  );
}
