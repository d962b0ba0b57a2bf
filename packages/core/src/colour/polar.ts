import type { Lab } from './colorimetry.ts';

/** CIE 1976 L*, C*ab and h_ab, the hue in degrees from 0 to 360; a grey has hue 0. */
export interface PolarLab {
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
}

/** CIE 15:2018, 8.2.1.3: a colour by lightness, chroma and hue angle. */
export const convertLabToPolar = ([l, a, b]: Lab): PolarLab => ({
  lightness: l,
  chroma: Math.hypot(a, b),
  hue: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360,
});

export const convertPolarToLab = ({ lightness, chroma, hue }: PolarLab): Lab => [
  lightness,
  chroma * Math.cos((hue * Math.PI) / 180),
  chroma * Math.sin((hue * Math.PI) / 180),
];
