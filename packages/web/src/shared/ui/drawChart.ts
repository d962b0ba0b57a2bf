import type { EChartsCoreOption } from 'echarts/core';

/** Draws itself in the colours of the theme. The same function as long as it draws the same. */
export type DrawChart = (theme: {
  readonly ink: string;
  readonly soft: string;
  readonly hairline: string;
  readonly sheet: string;
  readonly sard: string;
}) => EChartsCoreOption;

/** Words along an axis; a chart does not know the page's own. */
export const axisText = (ink: string) => ({
  color: ink,
  fontFamily: 'Atkinson Hyperlegible Next Variable',
  fontSize: 13,
});
