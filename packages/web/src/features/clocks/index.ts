export { ClockShelf } from './ClockShelf.tsx';
export { StartClock } from './StartClock.tsx';
export { useTimers } from './useTimers.ts';
