export { EveningsPage } from './EveningsPage.tsx';
export { Tonight } from './Tonight.tsx';
