/** log(sum(exp(x))) without overflow. An empty list, or one of minus infinities, gives minus infinity. */
export function logSumExp(values: ArrayLike<number>): number {
  let max = -Infinity;
  for (let i = 0; i < values.length; i++) max = Math.max(max, values[i]!);
  if (max === -Infinity) return -Infinity;
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += Math.exp(values[i]! - max);
  return max + Math.log(sum);
}
