/** A drop as large as one really is: from the weight of many and the density. null when that is no drop (5 to 200 microlitres). */
export function computeDropMl(grams: number, drops: number, densityGPerMl: number): number | null {
  const ml = grams / drops / densityGPerMl;
  return ml >= 0.005 && ml <= 0.2 ? ml : null;
}
