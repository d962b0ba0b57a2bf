import { JOINT_CONDITIONS, sayCondition, type JointCondition, type JointReason } from '@sardonyx/core';
import { useId } from 'react';
import { Select } from '../../../../shared/ui/Select.tsx';
import { changeRow, createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

/** How a joint was found: what holds nothing is not opened, what was glued is parted. The plan follows at once. */
export function FoundConditionChoice({ reason }: { readonly reason: JointReason }) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const id = useId();
  const row = specimen.jointConditions.find((one) => one.jointKey === reason.jointKey);
  const choose = (condition: JointCondition | '') => {
    const label = `${reason.label}: found ${sayCondition(condition || undefined)}`;
    if (condition === '') {
      if (row) void dispatch(deleteRow({ kind: 'joint-conditions', row, label }));
    } else if (row) void dispatch(changeRow({ kind: 'joint-conditions', row, changes: { condition }, label }));
    else {
      const body = { specimenId: specimen.specimen.id, jointKey: reason.jointKey, condition, note: '' };
      void dispatch(createRow({ kind: 'joint-conditions', body, label }));
    }
  };
  return (
    <span className="inline-flex items-center gap-2 text-note">
      <label htmlFor={id}>
        Found<span className="sr-only">: {reason.label}</span>
      </label>
      <Select
        id={id}
        disabled={isClosed}
        value={row?.condition ?? ''}
        options={[
          { value: '', label: sayCondition(undefined) },
          ...JOINT_CONDITIONS.map((condition) => ({ value: condition, label: sayCondition(condition) })),
        ]}
        onChange={choose}
      />
    </span>
  );
}
