import type { IdentifyFeature } from '@sardonyx/core';

export function describeEffort({ effort, destroys }: Pick<IdentifyFeature, 'effort' | 'destroys'>): string {
  if (destroys) return 'destroys something';
  if (effort <= 1) return 'a glance';
  if (effort <= 2) return 'a magnifier';
  return effort <= 4 ? 'a torch, some patience' : 'needs opening';
}
