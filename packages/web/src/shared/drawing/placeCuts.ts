import type { PartMap, Point } from '@sardonyx/core';

/** A joint on the map: its number where it is opened, none where it stays closed. */
export interface JointOnMap {
  readonly partKeys: readonly string[];
  readonly number: number | null;
}

/** What is drawn on the line of one part. */
export interface CutOnLine {
  readonly partKey: string;
  readonly leader: readonly Point[];
  /** The numbers of the joints that are opened there. */
  readonly text: string;
  /** One of them stays closed. */
  readonly isClosed: boolean;
}

/** Joints stand across the line of the part that comes off; several on one line are named together. */
export function placeCuts(map: PartMap, joints: readonly JointOnMap[]): CutOnLine[] {
  return map.parts.flatMap(({ partKey, holder, leader }) => {
    const own = joints.filter((joint) => joint.partKeys.includes(partKey) && holder && joint.partKeys.includes(holder));
    if (own.length === 0) return [];
    const numbers = own.flatMap((joint) => joint.number ?? []);
    return [{ partKey, leader, text: numbers.join(', '), isClosed: own.some((joint) => joint.number === null) }];
  });
}
