import type { DayWeather, PlanMove, PlannedStart } from '@sardonyx/core';
import { Column, Entity, Unique } from 'typeorm';
import { VersionedRow } from './versionedRow.ts';

/** What the sky does on a day, by somebody's word. */
@Unique(['on'])
@Entity('day_weather')
export class DayWeatherRow extends VersionedRow implements DayWeather {
  @Column('text')
  on!: string;

  @Column('boolean')
  isDry!: boolean;
}

/** The plan of all evenings as it stands; there is one row at the most, with the id 'evenings'. */
@Entity('evenings_plan')
export class EveningsPlanRow extends VersionedRow {
  @Column('text')
  madeAt!: string;

  @Column('simple-json')
  starts!: PlannedStart[];

  /** Tasks that begin later than a window lets them. */
  @Column('simple-json')
  late!: string[];

  /** Put there by hand. */
  @Column('simple-json')
  pins!: PlannedStart[];

  /** What moved when it was last made, and why. */
  @Column('simple-json')
  moves!: PlanMove[];
}
