export { GoOnAllTheSame } from './task/GoOnAllTheSame.tsx';
export { ActInHand } from './task/ActInHand.tsx';
export { JobPage } from './JobPage.tsx';
export { HeldBack } from './task/HeldBack.tsx';
