import { isMetal, type Material } from '../model/material.ts';
import type { LayerKind } from '../model/workpiece.ts';

/** Lacquer holds on these without a ground; on all other metals it peels. */
const BARE_UNDER_CLEAR: readonly Material[] = ['brass', 'copper'];

/**
 * Whether such a coat would lie on bare metal that it does not hold on. The same answer when it is planned and when it is
 * logged: colour needs primer on every metal, clear holds on bright brass and copper, inks for brightwork and decals lie on
 * what is there, powder wants the metal bare. Old paint that stays is a ground too.
 */
export function isBareMetalUnder(
  kind: LayerKind,
  material: Material,
  { hasGround, isPowder }: { readonly hasGround: boolean; readonly isPowder: boolean },
): boolean {
  if (!isMetal(material) || hasGround || isPowder) return false;
  if (kind === 'colour') return true;
  return kind === 'clear' && !BARE_UNDER_CLEAR.includes(material);
}
