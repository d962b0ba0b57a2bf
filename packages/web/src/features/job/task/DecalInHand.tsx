import type { Task } from '@sardonyx/core';
import { Link } from 'react-router';
import { useGetDecalsQuery } from '../../../shared/api/decalApi.ts';
import { PlacingCard } from '../../../shared/decal/PlacingCard.tsx';
import { useJob } from '../JobContext.tsx';

/** At the step: the decal that is placed now, by its area. */
export function DecalInHand({ task }: { readonly task: Task }) {
  const { specimen } = useJob();
  const { data } = useGetDecalsQuery();
  const part = specimen.parts.find(({ key }) => key === task.partKeys[0]);
  const decal = data?.decals.find(
    ({ specimenId, part: name, area, nth }) =>
      specimenId === task.specimenId && name === part?.name && area === task.of.area && nth === (task.of.nth ?? 1),
  );
  if (!decal) return null;
  if (!decal.placing)
    return (
      <p>
        Nobody said yet which artwork it is: <Link to="/decals">choose it among the decals</Link>, and its size, its
        white and its steps stand here.
      </p>
    );
  return <PlacingCard decal={decal} />;
}
