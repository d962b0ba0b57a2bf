/** L*, a*, b* under D65, CIE 1931 2 degree observer. */
export type LabColour = readonly [l: number, a: number, b: number];

/** Whether a reading holds the mirror reflection of the surface: with it (d/8 included), or without (45/0, photographs). */
export const GEOMETRIES = ['gloss left out', 'gloss included'] as const;
export type Geometry = (typeof GEOMETRIES)[number];

export const CAPTURE_PLACES = ['sheltered', 'exposed'] as const;
export type CapturePlace = (typeof CAPTURE_PLACES)[number];
