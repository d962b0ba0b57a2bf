/** A label before it is laid out: what it is of, and the address that its code opens. */
export interface Label {
  readonly title: string;
  /** What is in it, a line each; what does not fit is counted. */
  readonly lines: readonly string[];
  readonly address: string;
}

export interface LaidLabel extends Label {
  /** From the upper left corner of the page, mm. */
  readonly x: number;
  readonly y: number;
}

/** A4 and the labels on it, mm: as they are printed, so they are cut. */
export const LABEL_SHEET = {
  ...{ width: 210, height: 297 },
  ...{ labelWidth: 63, labelHeight: 24, gap: 2, margin: 8.5, code: 20 },
  /** Lines under the title. */
  lines: 3,
} as const;

/** Labels row by row, page by page. */
export function layLabels(labels: readonly Label[]): LaidLabel[][] {
  const { width, height, labelWidth, labelHeight, gap, margin, lines } = LABEL_SHEET;
  const across = Math.floor((width - 2 * margin + gap) / (labelWidth + gap));
  const down = Math.floor((height - 2 * margin + gap) / (labelHeight + gap));
  const pages: LaidLabel[][] = [];
  for (const [i, label] of labels.entries()) {
    const place = i % (across * down);
    if (place === 0) pages.push([]);
    const more = label.lines.length - lines;
    pages.at(-1)!.push({
      ...label,
      lines: more > 0 ? [...label.lines.slice(0, lines - 1), `and ${more + 1} more`] : label.lines,
      x: margin + (place % across) * (labelWidth + gap),
      y: margin + Math.floor(place / across) * (labelHeight + gap),
    });
  }
  return pages;
}
