const BINS = 10;

/** Claims of a probability with how often they came true. */
export class Reliability {
  private readonly claimed = new Float64Array(BINS);
  private readonly came = new Float64Array(BINS);
  private total = 0;
  private readonly all: number[] = [];

  add(probability: number, isTrue: boolean): void {
    this.all.push(probability);
    const bin = Math.min(BINS - 1, Math.floor(probability * BINS));
    this.claimed[bin]! += probability;
    this.came[bin]! += isTrue ? 1 : 0;
    this.total++;
  }

  /** Expected calibration error: the mean gap between claimed and seen, weighted by how often a bin was used. */
  error(): number {
    return this.claimed.reduce((sum, claimed, bin) => sum + Math.abs(claimed - this.came[bin]!), 0) / this.total;
  }

  /** The error that chance does not explain: less what the same claims would show if every one of them were true. */
  overFloor(random: () => number, draws = 20): number {
    let floor = 0;
    for (let draw = 0; draw < draws; draw++) {
      const one = new Reliability();
      for (const probability of this.all) one.add(probability, random() < probability);
      floor += one.error() / draws;
    }
    return Math.max(0, this.error() - floor);
  }
}

/** Area under the receiver operating curve: the chance that a true case scores above a false one (ties count half). */
export function areaUnderCurve(scores: readonly { readonly score: number; readonly isTrue: boolean }[]): number {
  const sorted = [...scores].sort((a, b) => a.score - b.score);
  const trues = sorted.filter((one) => one.isTrue).length;
  let rankSum = 0;
  for (let i = 0; i < sorted.length;) {
    let end = i;
    while (end < sorted.length && sorted[end]!.score === sorted[i]!.score) end++;
    for (let k = i; k < end; k++) if (sorted[k]!.isTrue) rankSum += (i + end + 1) / 2;
    i = end;
  }
  return (rankSum - (trues * (trues + 1)) / 2) / (trues * (sorted.length - trues));
}
