/** "1 sheet", "2.5 ml": units that are counted have a singular. */
export function sayAmount(amount: number, unit: string, digits = 2): string {
  const shown = Number(amount.toFixed(digits));
  return `${shown} ${shown === 1 ? unit.replace(/s$/, '') : unit}`;
}
