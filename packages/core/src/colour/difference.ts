import type { Lab } from './colorimetry.ts';

const RAD = Math.PI / 180;
const POW25_7 = 25 ** 7;

/**
 * CIEDE2000 (kL = kC = kH = 1) as three parts whose squares sum to dE00 squared, for least squares: lightness, and chroma
 * and hue turned so that their cross term is gone. With u = dC'/SC, v = dH'/SH and the rotation RT:
 * u^2 + v^2 + RT u v = (u + RT v / 2)^2 + (1 - RT^2 / 4) v^2.
 *
 * Source: Sharma, Wu and Dalal, Color Research & Application 2005.
 */
export function splitDe00(from: Lab, to: Lab, into: Float64Array = new Float64Array(3)): Float64Array {
  const c1 = Math.hypot(from[1], from[2]);
  const c2 = Math.hypot(to[1], to[2]);
  const mean7 = ((c1 + c2) / 2) ** 7;
  const g = 0.5 * (1 - Math.sqrt(mean7 / (mean7 + POW25_7)));
  const a1 = (1 + g) * from[1];
  const a2 = (1 + g) * to[1];
  const cp1 = Math.hypot(a1, from[2]);
  const cp2 = Math.hypot(a2, to[2]);
  const h1 = hueOf(a1, from[2]);
  const h2 = hueOf(a2, to[2]);
  const isGrey = cp1 * cp2 === 0;
  let dh = isGrey ? 0 : h2 - h1;
  if (dh > 180) dh -= 360;
  else if (dh < -180) dh += 360;
  const dHp = 2 * Math.sqrt(cp1 * cp2) * Math.sin((dh / 2) * RAD);
  const lMean = (from[0] + to[0]) / 2;
  const cMean = (cp1 + cp2) / 2;
  let hMean = h1 + h2;
  if (!isGrey) {
    if (Math.abs(h1 - h2) <= 180) hMean /= 2;
    else hMean = (hMean + (hMean < 360 ? 360 : -360)) / 2;
  }
  const t =
    1 -
    0.17 * Math.cos((hMean - 30) * RAD) +
    0.24 * Math.cos(2 * hMean * RAD) +
    0.32 * Math.cos((3 * hMean + 6) * RAD) -
    0.2 * Math.cos((4 * hMean - 63) * RAD);
  const l50 = (lMean - 50) ** 2;
  const sL = 1 + (0.015 * l50) / Math.sqrt(20 + l50);
  const sC = 1 + 0.045 * cMean;
  const sH = 1 + 0.015 * cMean * t;
  const c7 = cMean ** 7;
  const rT = -2 * Math.sqrt(c7 / (c7 + POW25_7)) * Math.sin(60 * RAD * Math.exp(-(((hMean - 275) / 25) ** 2)));
  const u = (cp2 - cp1) / sC;
  const v = dHp / sH;
  into[0] = (to[0] - from[0]) / sL;
  into[1] = u + (rT / 2) * v;
  into[2] = Math.sqrt(Math.max(0, 1 - (rT * rT) / 4)) * v;
  return into;
}

/** CIEDE2000 colour difference of two Lab values under the same white. */
export function computeDe00(from: Lab, to: Lab): number {
  const [l, c, h] = splitDe00(from, to);
  return Math.hypot(l!, c!, h!);
}

function hueOf(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const hue = Math.atan2(b, a) / RAD;
  return hue < 0 ? hue + 360 : hue;
}
