import { HOLD_MS } from './useHold.ts';

/** How long a button has been held, behind its words. */
export const HoldFilling = ({ isHeld }: { readonly isHeld: boolean }) => (
  <span
    aria-hidden
    className="absolute inset-y-0 left-0 bg-sard opacity-35"
    style={{ width: isHeld ? '100%' : 0, transition: isHeld ? `width ${HOLD_MS}ms linear` : 'none' }}
  />
);
