import type { Versioned } from './catalogue.ts';

/** How old paint comes off. The first five are answers to the school of stripping, the last two to that of plastics. */
export const STRIP_METHODS = ['gel', 'dip', 'caustic', 'blast', 'mild slow', 'glycol-ether', 'thinner wipe'] as const;
export type StripMethod = (typeof STRIP_METHODS)[number];

export const TOOL_KINDS = [
  'airbrush',
  'powder gun',
  'oven',
  'drill',
  'tap',
  'rotary tool',
  'press',
  'special tool',
  'other',
] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

export const TOOL_STATES = ['ready', 'needs cleaning', 'worn', 'incomplete', 'lent', 'to be made'] as const;
export type ToolState = (typeof TOOL_STATES)[number];

/** Something of the workshop and how it stands. */
export interface Tool extends Versioned {
  readonly name: string;
  readonly kind: ToolKind;
  readonly state: ToolState;
  /** Where it is, what is missing, since when. */
  readonly note: string;
  /** Name of the colour that is in a gun; empty when it is clean. */
  readonly holds: string;
}

export const VESSEL_MATERIALS = ['HDPE', 'polypropylene', 'glass', 'steel', 'other'] as const;

export interface VesselRecord extends Versioned {
  readonly name: string;
  readonly material: (typeof VESSEL_MATERIALS)[number];
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly isRound: boolean;
}

export const BATH_KINDS = ['caustic', 'dip stripper', 'glycol-ether fluid'] as const;
export type BathKind = (typeof BATH_KINDS)[number];

/** A bath that stands made up in a vessel. */
export interface Bath extends Versioned {
  readonly vesselId: string;
  readonly kind: BathKind;
  readonly litres: number;
  /** Of a caustic bath; 0 for the others. */
  readonly gramsPerLitre: number;
  /** Of the water it was made with, °C. */
  readonly waterC: number;
  readonly madeAt: string;
  /** null while it stands. */
  readonly endedAt: string | null;
}

export const PASS_RESULTS = ['bare', 'some left', 'no change'] as const;
export type PassResult = (typeof PASS_RESULTS)[number];

/** One time that stripper worked on one part, with its own clock. */
export interface StripPass {
  readonly id: string;
  readonly jobId: string;
  readonly taskId: string;
  readonly specimenPartId: string;
  readonly method: StripMethod;
  /** Layers of old paint on it when it began. */
  readonly layers: number;
  readonly bathId: string | null;
  readonly timerId: string | null;
  readonly who: string;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly result: PassResult | null;
  /** The box it takes up in the bath, mm, and what it pushes aside, ml; null out of one. */
  readonly size: {
    readonly lengthMm: number;
    readonly widthMm: number;
    readonly heightMm: number;
    readonly volumeMl: number;
  } | null;
}

export const INSTRUMENT_KINDS = [
  'oven probe',
  'bath thermometer',
  'scales',
  'spectrophotometer',
  'room thermometer',
  'weather forecast',
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** Something that measures: a simulated stand-in, or a local address that answers as docs/formats/instrument.md says. */
export interface Instrument extends Versioned {
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly source: 'simulated' | 'endpoint';
  /** Loopback address of an endpoint; empty for a simulated one. */
  readonly url: string;
}

/** What is read continuously: a temperature, or what lies on scales. */
export type Reading = { readonly at: string } & (
  | {
      readonly celsius: number;
      /** Percent; from a thermometer of the room that reads it. */ readonly humidity?: number | null;
    }
  | { readonly grams: number }
);
