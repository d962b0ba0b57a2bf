import type { ColourView, JobView, ShelfView } from '@sardonyx/contract';
import type { PaintProduct, SpecimenPart } from '@sardonyx/core';
import { createContext, useContext } from 'react';

/** What every act of the colour lab works on. */
export interface ColourBench {
  readonly view: JobView;
  readonly colour: ColourView;
  readonly shelf: ShelfView;
  readonly isClosed: boolean;
  readonly parts: readonly SpecimenPart[];
  /** With its model's name where the job has several. */
  readonly nameOfPart: (id: string | null) => string;
}

export const ColourContext = createContext<ColourBench | null>(null);

export function useColourBench(): ColourBench {
  const bench = useContext(ColourContext);
  if (!bench) throw new Error('useColourBench stands outside the colour lab');
  return bench;
}

export const findProduct = (shelf: ShelfView, id: string): PaintProduct | undefined =>
  shelf.products.find((product) => product.id === id);

export const nameOfProduct = (shelf: ShelfView, id: string): string =>
  findProduct(shelf, id)?.name ?? 'a pot that is gone';
