import { listMissingCoats, selectPlannedOf, type Task } from '@sardonyx/core';
import { useGetShelfQuery } from '../../../shared/api/api.ts';
import { useJob } from '../JobContext.tsx';
import { LogCoatForm } from '../stations/finish/LogCoatForm.tsx';

/** A step of painting ends with its coat: the next one that is missing, with the pot that is planned for it. */
export function CoatOfTask({ task }: { readonly task: Task }) {
  const { specimen } = useJob();
  const { data: shelf } = useGetShelfQuery();
  const [next] = listMissingCoats(task, specimen);
  const part = specimen.parts.find((one) => one.key === task.partKeys[0]);
  if (!next || !part || !shelf) return null;
  const layer = selectPlannedOf(task, next, specimen.layers);
  return (
    <LogCoatForm
      key={`${next.areaId} ${next.kind} ${next.isMist}`}
      part={part}
      areas={specimen.areas.filter((area) => area.id === next.areaId)}
      first={{ areaId: next.areaId, productId: layer?.productId ?? '', isMist: next.isMist }}
      isOpen
    />
  );
}
