import type { DayWeather, EveningsInput, EveningsPlan, PlannedStart, Restorer } from '@sardonyx/core';

export interface DayWeatherView extends DayWeather {
  readonly id: string;
  readonly version: number;
  readonly source: 'typed' | 'forecast';
}

/** The plan that stands. */
export interface KeptPlan extends EveningsPlan {
  readonly version: number;
  /** ISO. */
  readonly madeAt: string;
  readonly pins: readonly PlannedStart[];
}

/** All that the evenings are planned from, and the plan that stands; what time it is and which clocks run, the page knows. */
export interface EveningsView {
  readonly input: Omit<EveningsInput, 'now' | 'pins' | 'restorers' | 'weather' | 'inRoom'>;
  readonly restorers: readonly Restorer[];
  readonly weather: readonly DayWeatherView[];
  readonly kept: KeptPlan | null;
}
