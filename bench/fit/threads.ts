import { computeTapDrill } from '../../packages/core/src/fit/threads.ts';
import { THREAD_NAMES, type Thread } from '../../packages/core/src/model/thread.ts';
import { ALLOWANCE, countPilots, LEAST_PILOT_WALL } from '../../packages/core/test/support/offPilots.ts';
import type { Figure, Topic } from '../figure.ts';

/** Tap drills against printed tables, and pilots beside the middle against where they truly are. */
export const fitThreads: Topic = {
  names: ['fit.threadMaxErrorMm', 'fit.pilotUnsafe', 'fit.pilotGo'],
  measure: () => Promise.resolve([measureThreads(), ...measurePilots()]),
};

/** Tap drill tables, mm. */
const TABLES: Readonly<Record<65 | 75, Readonly<Record<Thread, number>>>> = {
  65: { 'M1.6': 1.3, M2: 1.66, 'M2.5': 2.12, M3: 2.58, '2-56': 1.8, '4-40': 2.31 },
  75: { 'M1.6': 1.26, M2: 1.61, 'M2.5': 2.06, M3: 2.51, '2-56': 1.74, '4-40': 2.23 },
};
/** Tables are printed to a hundredth. */
const HALF_DIGIT = 0.005;

function measureThreads(): Figure {
  const errors = ([65, 75] as const).flatMap((percent) =>
    THREAD_NAMES.map((thread) =>
      Math.max(0, Math.abs(computeTapDrill(thread, percent) - TABLES[percent][thread]) - HALF_DIGIT),
    ),
  );
  return {
    ...{ name: 'fit.threadMaxErrorMm', value: Math.max(...errors), unit: 'mm', goal: { kind: 'at most', value: 0.01 } },
    yardstick: `${errors.length} tap drills against tables, beyond their last digit`,
  };
}

const PILOTS = 200_000;

function measurePilots(): Figure[] {
  const { go, unsafe, safe } = countPilots(PILOTS, 193);
  return [
    {
      ...{ name: 'fit.pilotUnsafe', value: unsafe / go, unit: '', goal: { kind: 'at most', value: 0.02 } },
      yardstick: `walls under ${LEAST_PILOT_WALL} mm among the "go", ${PILOTS} pilots in posts with ${ALLOWANCE} mm or more to spare; offsets read with 0.02 to 0.15 mm each way`,
    },
    {
      ...{ name: 'fit.pilotGo', value: go / safe, unit: '', goal: null },
      yardstick: 'of the pilots whose wall is thick enough, as many as get a "go"',
    },
  ];
}
