import { isMetal, type Material } from '../model/material.ts';

/** Grams in a cubic centimetre of what castings are made of; null where kinds of it differ too much to weigh an area by. */
const DENSITY: Readonly<Partial<Record<Material, number>>> = {
  ...{ 'zinc alloy': 6.6, 'pest-suspect zinc': 6.6, 'lead alloy': 10.8, tinplate: 7.85, steel: 7.85 },
  ...{ aluminium: 2.7, brass: 8.5, copper: 8.9, 'hard plastic': 1.05, ABS: 1.05, 'clear styrene': 1.05 },
};

/** @returns null for what is no metal and no hard plastic: it is measured, not weighed */
export const densityOf = (material: Material): number | null => DENSITY[material] ?? (isMetal(material) ? 7.85 : null);
