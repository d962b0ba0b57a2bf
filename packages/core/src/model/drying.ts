/** Minutes after a coat went on, at the sheet's temperature; null where it does not end. */
export interface SheetSpan {
  readonly fromMin: number;
  readonly toMin: number | null;
}

/** What may be done with a coat, and from when on. */
export const COAT_ACTS = ['touch', 'handle', 'mask', 'unmask', 'recoat', 'decal', 'bake', 'wear'] as const;
export type CoatAct = (typeof COAT_ACTS)[number];

/** When a product's coat bears what, in minutes of its sheet. */
export interface DryingSheet {
  /** Degrees Celsius at which the minutes hold. */
  readonly refC: number;
  /** One span each, but two of recoating where the coat lifts in between. */
  readonly spans: Readonly<Record<CoatAct, readonly SheetSpan[]>>;
}
