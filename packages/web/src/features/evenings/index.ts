export { EveningsPage } from './EveningsPage.tsx';
export { Tonight } from './Tonight.tsx';
export { readNames } from './names.ts';
export { sayStep } from './sayEvenings.ts';
export { useEvenings } from './useEvenings.ts';
