export { PracticePage } from './PracticePage.tsx';
export { PlaceDecalPage } from './decals/PlaceDecalPage.tsx';
