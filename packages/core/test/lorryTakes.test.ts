import { expect } from 'chai';
import type { PlanInput } from '../src/compile/planTypes.ts';
import type { Decisions } from '../src/model/school.ts';
import { createLorry, planOf } from './support/lorry.ts';

/*
 * What the steps of one lorry take: minutes at it, watching, waiting (planning estimates), and what is used up. A changed
 * estimate is changed here too, on purpose.
 */

type Line = readonly [key: string, handsOnMin: number, watchedMin: number, passiveMin: number, uses: string];

// prettier-ignore
const USUAL: readonly Line[] = [
  ['identify', 15, 0, 0, ''],
  ['photograph', 10, 0, 0, ''],
  ['know-materials', 10, 0, 0, ''],
  ['pest-check', 8, 0, 0, ''],
  ['capture-colour', 15, 0, 0, ''],
  ['list-wants', 8, 0, 0, ''],
  ['order-wants', 10, 0, 0, ''],
  ['get:crane', 10, 0, 0, ''],
  ['tool:bent-tab', 10, 0, 0, ''],
  ['axle-in-hand:ends', 6, 0, 0, ''],
  ['free:axles', 5, 0, 720, 'penetrating oil 1'],
  ['pilot:post', 6, 0, 0, 'bench drill 1, cutting oil 0.5'],
  ['open:post', 5, 0, 0, 'bench drill 1, cutting oil 0.5'],
  ['open:ends', 5, 0, 0, 'rotary tool 1'],
  ['open:tabs', 5, 0, 0, ''],
  ['open:window', 5, 0, 0, ''],
  ['open:bench', 5, 0, 0, ''],
  ['separate', 10, 0, 0, ''],
  ['meltables-out', 15, 0, 0, ''],
  ['strip:body', 10, 25, 0, 'gel stripper 15, gloves 1'],
  ['strip:base', 10, 25, 0, 'gel stripper 15, gloves 1'],
  ['wash:body', 10, 0, 20, 'gloves 1'],
  ['inspect:body', 5, 0, 0, ''],
  ['wash:base', 10, 0, 20, 'gloves 1'],
  ['inspect:base', 5, 0, 0, ''],
  ['soap:glazing', 8, 0, 30, ''],
  ['soap:seat', 8, 0, 30, ''],
  ['test:seat', 4, 0, 15, ''],
  ['strip:seat', 12, 40, 0, 'glycol-ether fluid 20, gloves 1'],
  ['wash:seat', 10, 0, 20, 'gloves 1'],
  ['inspect:seat', 5, 0, 0, ''],
  ['soap:wheels', 8, 0, 30, ''],
  ['wash-bare', 7, 0, 20, ''],
  ['hold-crack:body', 8, 0, 0, 'padded jaws 1'],
  ['straighten:body', 15, 15, 0, 'hot-air gun 1, contact probe 1, padded jaws 1'],
  ['mend:body', 20, 0, 60, 'thin cyanoacrylate 0.5, powder filler 1, fine square file 1'],
  ['tap:post', 20, 0, 0, 'tap and its drill 1, cutting oil 1, closing screw 1'],
  ['trial-fit:crane', 10, 0, 0, ''],
  ['dry-fit', 15, 0, 0, ''],
  ['gun-ready', 5, 0, 0, 'airbrush 1, spray booth 1'],
  ['degrease:body', 5, 0, 0, 'degreasing solvent 3, gloves 1'],
  ['degrease:base', 5, 0, 0, 'degreasing solvent 3, gloves 1'],
  ['degrease:seat', 5, 0, 0, 'degreasing solvent 3, gloves 1'],
  ['prime:body', 12, 0, 60, 'primer 2'],
  ['prime:base', 12, 0, 60, 'primer 2'],
  ['rinse-gun:grey primer', 6, 0, 0, 'thinner 8'],
  ['judge:body', 5, 0, 0, ''],
  ['refill:body', 12, 0, 60, 'fine filler 1, wet abrasive paper 0.5'],
  ['reprime:body', 10, 0, 60, 'primer 1'],
  ['judge:base', 5, 0, 0, ''],
  ['mix:maroon', 8, 0, 0, ''],
  ['mist:body:inside', 4, 0, 20, ''],
  ['mist:seat:outside', 4, 0, 20, ''],
  ['colour:body:inside', 12, 0, 1440, 'body colour 2'],
  ['mist:body:outside', 4, 0, 20, ''],
  ['colour:body:outside', 12, 0, 1440, 'body colour 2'],
  ['colour:seat:outside', 12, 0, 1440, 'body colour 2'],
  ['rinse-gun:maroon', 6, 0, 0, 'thinner 8'],
  ['mix:black', 8, 0, 0, ''],
  ['mist:base:outside', 4, 0, 20, ''],
  ['colour:base:outside', 12, 0, 1440, 'body colour 2'],
  ['rinse-gun:black', 6, 0, 0, 'thinner 8'],
  ['mix:cream', 8, 0, 0, ''],
  ['colour:body:roof', 15, 0, 1440, 'body colour 0.7, masking tape 100'],
  ['rinse-gun:cream', 6, 0, 0, 'thinner 8'],
  ['colour:body:line', 15, 0, 1440, 'body colour 0.7, masking tape 100'],
  ['rinse-gun:black:2', 6, 0, 0, 'thinner 8'],
  ['gloss:body', 8, 0, 60, 'clear coat 1'],
  ['clean-gun', 12, 0, 0, 'thinner 15'],
  ['clean:base', 4, 0, 0, ''],
  ['clean:glazing', 4, 0, 0, ''],
  ['clean:seat', 4, 0, 0, ''],
  ['clean:spring', 4, 0, 0, ''],
  ['fit:spring', 6, 0, 0, ''],
  ['try-motion', 5, 0, 0, ''],
  ['check:ends', 4, 0, 0, ''],
  ['close:window', 7, 0, 0, ''],
  ['close:bench', 7, 0, 0, ''],
  ['fit:base', 6, 0, 0, ''],
  ['close:tabs', 6, 0, 0, ''],
  ['close:ends', 12, 0, 0, 'press with a cupped punch 1'],
  ['close:post', 4, 0, 0, ''],
  ['check-motion', 5, 0, 0, ''],
  ['touch-in', 10, 0, 1440, ''],
  ['decal-fit:body:doors', 8, 0, 0, ''],
  ['decal:body:doors', 20, 0, 60, 'decal set 2'],
  ['seal:body', 10, 0, 60, 'clear coat 0.5'],
  ['chrome:body:grille', 10, 0, 4320, 'brightwork ink 0.3'],
  ['sign-off-photos', 10, 0, 0, ''],
  ['box-card', 10, 0, 0, ''],
];

// prettier-ignore
const OTHERWISE: readonly Line[] = [
  ['strip:body', 10, 60, 0, 'glycol-ether fluid 60, gloves 1'],
  ['strip:base', 10, 60, 0, 'glycol-ether fluid 60, gloves 1'],
  ['dress-lines:body', 20, 0, 0, 'wet abrasive paper 1, fine square file 1'],
  ['dress-lines:base', 20, 0, 0, 'wet abrasive paper 1, fine square file 1'],
  ['anneal:ends', 8, 10, 0, 'torch 1'],
  ['wheels:wheels', 15, 0, 1440, 'body colour 1'],
  ['low-bake:base', 8, 55, 0, 'oven 1, contact probe 1'],
  ['close:ends', 12, 0, 0, 'smooth-jawed locking pliers 1'],
];

// prettier-ignore
const CLEANED: readonly Line[] = [
  ['brush-ready', 2, 0, 0, 'soft brush 1'],
  ['dust', 20, 0, 0, 'gloves 1'],
  ['raking-light', 5, 0, 0, ''],
];

describe('what a lorry takes', () => {
  const linesOf = (changes: Partial<PlanInput>): Line[] =>
    planOf(createLorry(changes)).map((task): Line => [
      ...([task.key, task.handsOnMin, task.watchedMin, task.passiveMin] as const),
      task.uses.map(({ what, amount }) => `${what} ${amount}`).join(', '),
    ]);

  it('restored in the usual way, in this order', () => expect(linesOf({})).deep.equal(USUAL));

  it('where somebody works otherwise', () => {
    const decisions: Decisions = {
      S1: 'dress all',
      S5: 'crimp flat',
      S11: 'mild slow',
      S14: 'repaint',
      S19: 'low bake',
    };
    expect(linesOf({ decisions })).deep.include.members([...OTHERWISE]);
  });

  it('cleaned only', () => expect(linesOf({ scope: 'clean only' })).deep.include.members([...CLEANED]));
});
