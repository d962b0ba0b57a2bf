/** Sheets of film as they are sold, mm; they lie with their long side along x. */
export const PAPERS = {
  A4: { lengthMm: 297, widthMm: 210 },
  A5: { lengthMm: 210, widthMm: 148 },
  A6: { lengthMm: 148, widthMm: 105 },
} as const;
export type Paper = keyof typeof PAPERS;

/** What printers leave white, and the strip of the rules beside it, mm (planning estimate). */
const EDGE = 5;
const RULES = 7;

/** What of a sheet decals may lie on: its corner, and its size. The rules take the strips at the left and at the foot. */
export function findRoom(paper: Paper): {
  readonly x: number;
  readonly y: number;
  readonly lengthMm: number;
  readonly widthMm: number;
} {
  const { lengthMm, widthMm } = PAPERS[paper];
  return { x: EDGE + RULES, y: EDGE, lengthMm: lengthMm - 2 * EDGE - RULES, widthMm: widthMm - 2 * EDGE - RULES };
}

export interface Rule {
  readonly fromX: number;
  readonly fromY: number;
  readonly mm: number;
}

/** The two printed rules: as long as whole centimetres go, the longer the surer. */
export function placeRules(paper: Paper): { readonly along: Rule; readonly down: Rule } {
  const { lengthMm, widthMm } = PAPERS[paper];
  const room = findRoom(paper);
  const whole = (mm: number) => 10 * Math.floor(mm / 10);
  return {
    along: { fromX: room.x, fromY: widthMm - EDGE - 2, mm: whole(lengthMm - room.x - EDGE) },
    down: { fromX: EDGE + 2, fromY: room.y, mm: whole(room.widthMm) },
  };
}
