export { ClockShelf } from './ClockShelf.tsx';
export { StartClock } from './StartClock.tsx';
export { strikeBell } from './useBell.ts';
export { useTimers } from './useTimers.ts';
