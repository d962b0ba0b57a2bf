/** Something to be read or printed: a page, a screen reader and a PDF all say the same, from this. */
export interface WrittenPaper {
  readonly title: string;
  readonly sections: readonly PaperSection[];
}

export interface PaperSection {
  readonly heading: string;
  readonly blocks: readonly PaperBlock[];
}

export type PaperBlock =
  | { readonly kind: 'text'; readonly text: string }
  /** A heading within the section. */
  | { readonly kind: 'under'; readonly text: string }
  /** Label and value. */
  | { readonly kind: 'facts'; readonly facts: readonly (readonly [label: string, value: string])[] }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | PaperTable
  | { readonly kind: 'pictures'; readonly pictures: readonly PaperPicture[] }
  /** The same side before and after, side by side. */
  | { readonly kind: 'pairs'; readonly pairs: readonly PaperPair[] };

export interface PaperTable {
  readonly kind: 'table';
  /** Said before it, for who cannot see it. */
  readonly caption: string;
  /** Shares of the width are as the numbers to each other. */
  readonly columns: readonly { readonly title: string; readonly width: number }[];
  readonly rows: readonly (readonly string[])[];
}

export interface PaperPicture {
  readonly sha256: string;
  readonly caption: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

export interface PaperPair {
  readonly side: string;
  readonly before: PaperPicture;
  readonly after: PaperPicture;
}

/** How days and moments are written: where the bench stands. */
export interface PaperDates {
  readonly day: (iso: string) => string;
  readonly moment: (iso: string) => string;
}
