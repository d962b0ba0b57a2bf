import { lazy } from 'react';

export { LetPhoneIn } from './LetPhoneIn.tsx';
export { PhoneButton } from './PhoneButton.tsx';
export { usePhoneShown } from './usePhoneShown.ts';

/** Opens on a press, with what draws the signs for a camera. */
export const PhoneSheet = lazy(() => import('./PhoneSheet.tsx').then((module) => ({ default: module.PhoneSheet })));
