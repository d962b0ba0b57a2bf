import type { ComponentType } from 'react';

/** One line of a menu or a toolbar. */
export interface Act {
  readonly word: string;
  readonly icon?: ComponentType<{ size?: number; 'aria-hidden'?: boolean }>;
  readonly onAct: () => void;
  readonly isDisabled?: boolean;
  /** On or off, for an act that switches something. */
  readonly isOn?: boolean;
}
