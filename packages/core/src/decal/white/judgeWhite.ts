import {
  WEIGHTS,
  convertLabToXyz,
  convertXyzToLab,
  type Lab,
  type Spectrum,
  type Xyz,
} from '../../colour/colorimetry.ts';
import { computeDe00 } from '../../colour/difference.ts';
import { computeInkPass, predictOnBody, SCREEN_WHITE } from './printedInk.ts';

/** So far from the artwork's colour a decal may look, dE00 (planning estimate: seen apart, at arm's length). */
export const USUAL_TOLERANCE = 6;
/** Nearer to the tolerance than this printers and papers differ too much to say, dE00. */
const UNSURE = 0.8;

/** What a surface throws back of the room, a share of white (planning estimate): without it two blacks would differ that nobody tells apart. */
const VEIL = 0.01;

/** 'test strip': the formula cannot tell; print a strip on the film and lay it on the paint. */
export type WhiteAnswer = 'no white' | 'white' | 'test strip';

export interface JudgedInk {
  readonly answer: WhiteAnswer;
  /** How it would look on clear film without white. */
  readonly without: Lab;
  /** To the artwork's colour, as both are seen in a room. */
  readonly de: number;
}

/** How it is judged: what is let pass, dE00, and the colour of the paper on which the inks were seen. */
export interface WhiteTerms {
  readonly tolerance: number;
  readonly paper: Lab;
}

export const USUAL_TERMS: WhiteTerms = { tolerance: USUAL_TOLERANCE, paper: SCREEN_WHITE };

/** Whether an ink of a colour needs white under it to look like itself on a body colour. */
export function judgeInk(ink: Lab, body: Spectrum, { tolerance, paper }: WhiteTerms = USUAL_TERMS): JudgedInk {
  const without = predictOnBody(computeInkPass(ink, paper), body);
  const de = computeDe00(seeInRoom(ink), seeInRoom(without));
  const answer = Math.abs(de - tolerance) < UNSURE ? 'test strip' : de > tolerance ? 'white' : 'no white';
  return { answer, without, de };
}

function seeInRoom(lab: Lab): Lab {
  const xyz = convertLabToXyz(lab).map((one, i) => one + VEIL * WEIGHTS.D65.white[i]!);
  return convertXyzToLab(xyz as unknown as Xyz);
}
