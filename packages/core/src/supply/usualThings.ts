import type { PaintProduct } from '../model/work.ts';
import type { Tool, VesselRecord } from '../model/workshop.ts';

/** Things that many benches have, to be ticked on the first evening; nothing of it is known of the bench until it is. */
export interface UsualThings {
  readonly tools: readonly Pick<Tool, 'name' | 'kind'>[];
  readonly vessels: readonly Pick<VesselRecord, 'name' | 'material' | 'lengthMm' | 'widthMm' | 'depthMm' | 'isRound'>[];
  /** Generic paints by the colour of their label: what they truly are is measured later. */
  readonly paints: readonly UsualPaint[];
}

/** They are of no particular line. */
export const USUAL_LINE = 'Generic';

type UsualPaint = Pick<PaintProduct, 'line' | 'name' | 'kind' | 'binder' | 'gloss' | 'colourHex'>;

const paint = (
  name: string,
  colourHex: string,
  more: Partial<Omit<UsualPaint, 'name' | 'colourHex'>> = {},
): UsualPaint => ({ line: USUAL_LINE, kind: 'colour', binder: 'enamel', gloss: 'gloss', ...more, name, colourHex });

const PRIMER = { kind: 'primer', binder: 'acrylic', gloss: 'matt' } as const;

/** Sizes inside, mm: measure your own and change them. */
export const USUAL_THINGS: UsualThings = {
  tools: [
    { name: 'Airbrush', kind: 'airbrush' },
    { name: 'Brushes', kind: 'other' },
    { name: 'Hand drill', kind: 'drill' },
    { name: 'Bench drill', kind: 'drill' },
    { name: 'M2 tap and 1.6 mm drill', kind: 'tap' },
    { name: 'Rotary tool', kind: 'rotary tool' },
    { name: 'Small press', kind: 'press' },
    { name: 'Bench oven, never for food', kind: 'oven' },
    { name: 'Soldering iron', kind: 'other' },
    { name: 'Files and fine paper', kind: 'other' },
  ],
  vessels: [
    { name: 'Lidded plastic tub', material: 'polypropylene', lengthMm: 150, widthMm: 100, depthMm: 60, isRound: false },
    { name: 'Thick plastic tub', material: 'HDPE', lengthMm: 200, widthMm: 130, depthMm: 90, isRound: false },
    { name: 'Glass jar', material: 'glass', lengthMm: 80, widthMm: 80, depthMm: 110, isRound: true },
    { name: 'Steel tray', material: 'steel', lengthMm: 250, widthMm: 180, depthMm: 30, isRound: false },
  ],
  paints: [
    paint('Grey primer', '#8f9194', PRIMER),
    paint('White primer', '#eceae4', PRIMER),
    paint('White', '#f2f1ec'),
    paint('Black', '#161616'),
    paint('Red', '#b3202a'),
    paint('Yellow', '#e6b422'),
    paint('Blue', '#23478c'),
    paint('Green', '#2f6b3a'),
    paint('Cream', '#ead9ae'),
    paint('Mid grey', '#7b7f83'),
    paint('Silver', '#b9bbbd', { kind: 'brightwork', binder: 'lacquer' }),
    paint('Clear gloss', '#f7f7f5', { kind: 'clear', binder: 'acrylic' }),
  ],
};
