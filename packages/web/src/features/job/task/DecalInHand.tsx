import type { Task } from '@sardonyx/core';
import { Link } from 'react-router';
import { useGetDecalsQuery } from '../../../shared/api/decalApi.ts';
import { PlacingCard } from '../../../shared/decal/PlacingCard.tsx';

/** At the step: the decal that is placed now, by its area. */
export function DecalInHand({ task }: { readonly task: Task }) {
  const { data } = useGetDecalsQuery();
  const decal = data?.decals.find(
    ({ specimenId, partKey, area, nth }) =>
      specimenId === task.specimenId &&
      partKey === task.partKeys[0] &&
      area === task.of.area &&
      nth === (task.of.nth ?? 1),
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
