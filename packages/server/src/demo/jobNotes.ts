import jobs from './data/jobs.json' with { type: 'json' };
import type {
  AreaKind,
  Certainty,
  FindingKind,
  Job,
  LayerKind,
  Material,
  CoatOwner,
  Origin,
  PartState,
  Station,
  SchoolKey,
  SchoolOption,
  WantKind,
  WantState,
} from '@sardonyx/core';

export type FoundLayer = readonly [
  kind: LayerKind,
  name: string,
  colourHex: string,
  thicknessUm: number,
  whose?: CoatOwner,
];

export interface CoatNote {
  readonly part: string;
  /** Kind of area, or the name of a mask. */
  readonly area: AreaKind | string;
  readonly found?: readonly FoundLayer[];
  /** Ids of paints on the shelf (or [kind, name, colour] for decals), from the metal outwards. */
  readonly planned?: readonly (string | readonly ['decal', string, string])[];
  readonly crossesSeam?: true;
  /** A rectangle on the side view, mm: left, top, width, height. */
  readonly outline?: readonly number[];
  /** The finest relief on it, micrometres, as measured. */
  readonly reliefUm?: number;
}

export interface SpecimenNote {
  readonly id: string;
  readonly castingId: string;
  readonly name: string;
  readonly note?: string;
  /** The rear axle as found, turned against the front one. */
  readonly twistDegrees?: number;
  /** How far along it is: every task of the stations before is done, and `further` of this one. */
  readonly station: Station;
  readonly further?: number;
  /** Steps that are done as well, by their keys, and how many minutes ago. */
  readonly minutesAgo?: Readonly<Record<string, number>>;
  readonly looks?: readonly (readonly [feature: string, state: string | null, certainty?: Certainty])[];
  readonly partStates?: Readonly<
    Record<
      string,
      { readonly state?: PartState; readonly material?: Material; readonly origin?: Origin; readonly note?: string }
    >
  >;
  readonly findings?: readonly (readonly [part: string, kind: FindingKind, severity: 1 | 2 | 3, note: string])[];
  readonly wants?: readonly (readonly [
    part: string,
    what: string,
    state: WantState,
    text: string,
    bits?: string,
    dueInDays?: number | null,
    kind?: WantKind,
    origin?: Origin,
  ])[];
  readonly coats?: readonly CoatNote[];
}

export interface JobNote {
  readonly number: string;
  readonly title: string;
  readonly scope: Job['scope'];
  readonly why: string;
  readonly cameInDaysAgo: number;
  readonly dueInDays: number | null;
  readonly decisions?: readonly (readonly [school: SchoolKey, option: SchoolOption, reason: string])[];
  readonly specimens: readonly SpecimenNote[];
  readonly photographed: boolean;
  /** Measured on, so drawn in more detail. */
  readonly hasFinePhotos?: true;
  /** The side whose photograph is straightened and measured already. */
  readonly measured?: 'left';
  /** A photograph with the colour card: a part, and the one that is let down so that its sheltered paint shows. */
  readonly colourPhoto?: { readonly part: string; readonly behind: string };
  readonly signedOff?: string;
  /** Why it was signed though its record lacked something. */
  readonly signedWithout?: string;
}

/** The jobs of the demo, each in the stage the story wants it in: data/jobs.json. */
export const readJobNotes = (): JobNote[] => structuredClone(jobs) as unknown as JobNote[];
