export { TracePage } from './trace/TracePage.tsx';
export { CastingPage } from './CastingPage.tsx';
export { CataloguePage } from './CataloguePage.tsx';
export { NewCastingPage } from './NewCastingPage.tsx';
