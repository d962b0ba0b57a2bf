/** -p log2 p, 0 at 0. */
export const entropyTerm = (p: number): number => (p > 0 ? -p * Math.log2(p) : 0);

/**
 * Mutual information in bits between the rows and the columns of a table of joint masses. The table need not sum to 1.
 * An empty or massless table gives 0.
 */
export function mutualInformation(rows: readonly Float64Array[]): number {
  const columns = new Float64Array(rows[0]?.length ?? 0);
  let total = 0;
  let joint = 0;
  let byRow = 0;
  for (const row of rows) {
    let sum = 0;
    for (let c = 0; c < row.length; c++) {
      const p = row[c]!;
      sum += p;
      columns[c]! += p;
      joint += entropyTerm(p);
    }
    byRow += entropyTerm(sum);
    total += sum;
  }
  if (total <= 0) return 0;
  let byColumn = 0;
  for (const p of columns) byColumn += entropyTerm(p);
  // H(row) + H(column) - H(joint), each scaled: sum -p log p over masses of total t is t (H + log t terms that cancel but one).
  return Math.max(0, (byRow + byColumn - joint) / total + Math.log2(total));
}
