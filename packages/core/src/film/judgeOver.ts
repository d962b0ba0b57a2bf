import type { PaintProduct } from '../model/work.ts';

/** What a coat may lie upon. */
export const GROUNDS = [
  'bare zinc',
  'bare brass or copper',
  'bare metal',
  'bare plastic',
  'enamel',
  'acrylic',
  'lacquer',
  'ink',
  'powder',
  'old paint',
  'decal',
  'filler',
] as const;
export type Ground = (typeof GROUNDS)[number];

export type Binder = PaintProduct['binder'];

/**
 * 'fine' as soon as its own windows say so; 'when cured' not before it is hard all through; 'barrier first' an acrylic coat or a
 * primer that bears both goes between.
 */
export type OverVerdict = 'fine' | 'when cured' | 'barrier first' | 'never';

export interface OverCell {
  readonly verdict: OverVerdict;
  readonly reason: string;
}

type Row = readonly [grounds: readonly Ground[], verdict: OverVerdict, reason: string];

/**
 * Binder over what lies below. A hotter solvent wrinkles a softer coat: lacquer is the hottest, then ink, then enamel; acrylic here
 * is water-borne. What the sheets of both products say goes first.
 */
// One row a line, as on paper; the formatter would make five of each.
// prettier-ignore
const ROWS: Readonly<Record<Binder, readonly Row[]>> = {
  enamel: [
    [['bare zinc'], 'never', 'its oil turns to soap on bare zinc, and it peels'],
    [['bare brass or copper', 'bare metal'], 'barrier first', 'without a primer it chips off bare metal'],
    [['bare plastic'], 'barrier first', 'without a primer it comes off smooth plastic with the first tape'],
    [['enamel'], 'fine', 'within its windows it bites into its own kind'],
    [['acrylic'], 'when cured', 'its thinner lifts acrylic that still holds water'],
    [['lacquer'], 'fine', 'mild thinner does nothing to dry lacquer'],
    [['ink'], 'never', 'its thinner takes the shine off bright ink'],
    [['powder'], 'fine', 'cured powder bears any solvent; it is keyed first'],
    [['old paint'], 'fine', 'mild thinner over sound old paint that was cleaned and keyed'],
    [['decal'], 'barrier first', 'its thinner creeps under the film of a decal'],
    [['filler'], 'barrier first', 'filler drinks it and shows through dull'],
  ],
  acrylic: [
    [['bare brass or copper'], 'fine', 'a clear one holds on bright brass and copper; a colour wants its primer'],
    [['bare zinc', 'bare metal'], 'barrier first', 'water under it darkens bare metal, and it does not hold'],
    [['bare plastic'], 'fine', 'it has no solvent that plastic minds; on smooth plastic it is keyed first'],
    [['enamel'], 'when cured', 'it crawls and cracks on enamel that still gives off oil'],
    [['acrylic'], 'fine', 'its own kind'],
    [['lacquer'], 'fine', 'dry lacquer does not mind water'],
    [['ink'], 'when cured', 'on ink that is hard it only dulls a little'],
    [['powder'], 'fine', 'cured powder bears it; it is keyed first'],
    [['old paint'], 'fine', 'it softens nothing; the old paint is cleaned and keyed'],
    [['decal'], 'fine', 'it seals a decal that lies and is dry'],
    [['filler'], 'barrier first', 'filler drinks it and shows through dull'],
  ],
  lacquer: [
    [['bare brass or copper'], 'fine', 'a clear one holds on bright brass and copper; a colour wants its primer'],
    [['bare zinc', 'bare metal'], 'barrier first', 'without a primer it peels off bare metal'],
    [['bare plastic'], 'barrier first', 'its solvent crazes plastic: a primer that is made for it goes between'],
    [['enamel'], 'never', 'its solvent lifts and wrinkles enamel, cured or not'],
    [['acrylic'], 'barrier first', 'its solvent crazes acrylic unless it goes on as dust'],
    [['lacquer'], 'fine', 'it melts into its own kind'],
    [['ink'], 'never', 'its solvent washes bright ink away'],
    [['powder'], 'fine', 'cured powder bears any solvent; it is keyed first'],
    [['old paint'], 'barrier first', 'nobody knows what old paint bears: many wrinkle under it'],
    [['decal'], 'never', 'its solvent curls a decal'],
    [['filler'], 'barrier first', 'filler drinks it, and some swell under its solvent'],
  ],
  ink: [
    [['bare zinc', 'bare brass or copper', 'bare metal'], 'fine', 'trim that is bare may be inked; a clear ground makes it brighter'],
    [['bare plastic'], 'barrier first', 'its solvent crazes plastic'],
    [['enamel', 'acrylic'], 'when cured', 'its solvent bites into a coat that is still soft, and the shine is gone'],
    [['lacquer'], 'when cured', 'it shines as the lacquer under it does, hard and glossy'],
    [['ink'], 'never', 'a second coat dulls the first: take it off and ink it anew'],
    [['powder'], 'fine', 'cured powder bears it'],
    [['old paint'], 'barrier first', 'nobody knows what old paint bears'],
    [['decal'], 'barrier first', 'its solvent eats the film of a decal'],
    [['filler'], 'barrier first', 'bright ink shows every pore'],
  ],
  powder: [
    [['bare zinc', 'bare brass or copper', 'bare metal'], 'fine', 'powder wants bare metal, baked empty first'],
    [['bare plastic'], 'never', 'its oven melts plastic'],
    [['enamel', 'acrylic', 'lacquer', 'ink', 'old paint'], 'never', 'paint under it burns and blisters in the oven'],
    [['powder'], 'when cured', 'a second powder lies on a first that is cured and keyed, if its sheet allows it'],
    [['decal'], 'never', 'a decal burns in the oven'],
    [['filler'], 'never', 'filler swells and smokes in the oven'],
  ],
};

/** A primer is made for what is bare, and for filler: its own sheet says which. */
export const isMadeFor = (kind: PaintProduct['kind'], ground: Ground): boolean =>
  kind === 'primer' && (ground.startsWith('bare') || ground === 'filler');

/**
 * May a coat of this binder go over that ground, and why. Whether a colour, a clear or an ink may lie on bare metal at all is asked
 * before (isBareMetalUnder); a primer that is made for it by its own sheet.
 */
export function judgeOver(binder: Binder, ground: Ground): OverCell {
  const row = ROWS[binder].find(([grounds]) => grounds.includes(ground));
  if (!row) throw new RangeError(`Nobody wrote down what ${binder} does over ${ground}.`);
  return { verdict: row[1], reason: row[2] };
}
