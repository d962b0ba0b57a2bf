import type {
  DayWeather,
  EveningsInput,
  EveningsPlan,
  ForecastDay,
  Hours,
  PlanMove,
  PlannedStart,
  Restorer,
} from '@sardonyx/core';

export interface DayWeatherView extends DayWeather {
  readonly id: string;
  readonly version: number;
}

/** The plan that stands. */
export interface KeptPlan extends EveningsPlan {
  readonly version: number;
  /** ISO. */
  readonly madeAt: string;
  readonly pins: readonly PlannedStart[];
  /** What moved when it was made, and why. */
  readonly moves: readonly PlanMove[];
}

/** All that the evenings are planned from, and the plan that stands; what time it is and which clocks run, the page knows. */
export interface EveningsView {
  readonly input: Omit<EveningsInput, 'now' | 'pins' | 'restorers' | 'weather' | 'inRoom'>;
  readonly restorers: readonly Restorer[];
  readonly weather: readonly DayWeatherView[];
  readonly kept: KeptPlan | null;
}

/** Hours of each open job, planned beside logged. */
export interface HoursView {
  readonly jobs: readonly (Hours & { readonly jobId: string; readonly number: string })[];
}

/** What a forecast says of the next days, soonest first. */
export interface ForecastView {
  readonly days: readonly ForecastDay[];
  readonly isSimulated: boolean;
}
