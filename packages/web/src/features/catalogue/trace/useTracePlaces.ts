import type { CastingView } from '@sardonyx/contract';
import type { Point, Trace } from '@sardonyx/core';
import { useState } from 'react';
import type { useTraceDraft } from './useTraceDraft.ts';

export type PlaceTool = 'looks' | 'joints';

const WORDS: Readonly<Record<PlaceTool, Readonly<Record<'title' | 'what' | 'press' | 'none', string>>>> = {
  looks: {
    title: 'Places to look at',
    what: 'Feature',
    press: 'Press where on this view it is looked at.',
    none: 'Its range has no features yet: they come with the sheet of issues.',
  },
  joints: {
    title: 'Places of joints',
    what: 'Joint',
    press: 'Press where on this view it is seen: the head of a post, a tab.',
    none: 'It has no joints.',
  },
};

export type TracePlaces = NonNullable<ReturnType<typeof useTracePlaces>>;

/** The places that are set while lines are not: of looks, or of joints; null while lines are. */
export function useTracePlaces(
  view: CastingView,
  { trace, change }: ReturnType<typeof useTraceDraft>,
  tool: 'lines' | PlaceTool,
) {
  const [keys, setKeys] = useState<Readonly<Record<PlaceTool, string>>>({
    looks: view.features[0]?.key ?? '',
    joints: view.joints[0]?.key ?? '',
  });
  if (tool === 'lines') return null;
  const chosen = keys[tool];
  const named = tool === 'looks' ? view.features : view.joints;
  const isSet = (key: string) =>
    tool === 'looks'
      ? trace.anchors.some((one) => one.featureKey === key)
      : trace.joints.some((one) => one.jointKey === key);
  /** The trace with the place of what is chosen; null takes it out. */
  const withPlace = (point: Point | null): Trace => {
    const place = point && { x: point.x, y: point.y };
    if (tool === 'looks') {
      const others = trace.anchors.filter((one) => one.featureKey !== chosen);
      return { ...trace, anchors: place ? [...others, { featureKey: chosen, ...place }] : others };
    }
    const others = trace.joints.filter((one) => one.jointKey !== chosen);
    return { ...trace, joints: place ? [...others, { jointKey: chosen, ...place }] : others };
  };
  return {
    words: WORDS[tool],
    options: named.map(({ key, label }) => ({ value: key, label: isSet(key) ? `${label}, set` : label })),
    chosen,
    word: named.find(({ key }) => key === chosen)?.label ?? '',
    inHand:
      tool === 'looks'
        ? trace.anchors.find((one) => one.featureKey === chosen)
        : trace.joints.find((one) => one.jointKey === chosen),
    choose: (key: string) => setKeys({ ...keys, [tool]: key }),
    set: (point: Point) => change(withPlace(point), `place ${chosen}`),
    remove: () => change(withPlace(null)),
  };
}
