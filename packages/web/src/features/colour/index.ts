export { ColourPage } from './ColourPage.tsx';
export { MatchThePotPage } from './trainer/MatchThePotPage.tsx';
export { useNeutral } from './swatch/useNeutral.ts';
