export { ClockShelf } from './ClockShelf.tsx';
export { sayClock } from './sayClock.ts';
export { StartClock } from './StartClock.tsx';
export { strikeBell, useBell } from './useBell.ts';
export { useAhead } from './useAhead.ts';
export { useNow } from './useNow.ts';
export { useTimers } from './useTimers.ts';
