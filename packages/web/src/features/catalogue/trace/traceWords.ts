import type { Bend, TracedSurface, ViewKind } from '@sardonyx/core';

export const VIEW_WORDS: Readonly<Record<ViewKind, string>> = { side: 'side', base: 'base', end: 'end' };

export const SURFACE_WORDS: Readonly<Record<TracedSurface, string>> = {
  coat: 'painted or plated',
  glass: 'clear',
  rubber: 'rubber',
  metal: 'bare metal',
  dark: 'an opening',
  line: 'a line on it',
};

export const BEND_WORDS: Readonly<Record<Bend, string>> = {
  corner: 'corner',
  smooth: 'bend',
  arc: 'middle of an arc',
};

/** What to press to lay a photograph under a view: two ends, then two places on its level line. */
export const LAY_WORDS: Readonly<Record<ViewKind, readonly string[]>> = {
  side: ['the front end', 'the rear end', 'the ground under the front wheel', 'the ground under the rear wheel'],
  base: ['the front end', 'the rear end', 'the middle line, at the front', 'the middle line, at the rear'],
  end: ['the left edge', 'the right edge', 'the ground under the left wheel', 'the ground under the right wheel'],
};
