/** Small fields want a decimal. */
export const sayCm2 = (cm2: number, of = cm2): string => cm2.toFixed(of < 10 ? 1 : 0);
