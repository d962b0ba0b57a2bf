import type { SpecimenPart } from '@sardonyx/core';
import { useJob } from '../../JobContext.tsx';

/** Whether a part stays in one piece with others by what is planned and done, and whether solder is on it. */
export function useJoined({ key }: SpecimenPart): { readonly isJoined: boolean; readonly isSoldered: boolean } {
  const { specimen, tasks } = useJob();
  const isThere = (other: string) => specimen.parts.some((part) => part.key === other && part.state !== 'missing');
  const joints = [...(specimen.casting?.joints ?? []), ...specimen.foundJoints].filter(
    (joint) => joint.partKeys.includes(key) && joint.partKeys.filter(isThere).length > 1,
  );
  const isOpened = (jointKey: string) =>
    tasks.some((task) => task.key === `open:${jointKey}` && task.state !== 'not needed');
  return {
    isJoined: joints.some((joint) => !isOpened('key' in joint ? joint.key : `found:${joint.id}`)),
    isSoldered: joints.some((joint) => joint.kind === 'solder'),
  };
}
