import { computeLuminance } from '../facts/chooseTreatment.ts';
import type { Drawing } from '../model/drawing.ts';
import type { SchoolOption } from '../model/school.ts';
import { nameOfArea, type Area, type CoatingLayer } from '../model/workpiece.ts';
import { computeDrawnArea } from './computeDrawnArea.ts';
import type { CountedPaint } from './countCoats.ts';
import { firstOn } from './firstOn.ts';
import { groundsOf, listPlanned } from './groundsOf.ts';
import { measureMaskEdges } from './measureMaskEdges.ts';
import { MOST_COLOURS, orderBySchool, type ColourField, type ColourOrder, type ColoursOfPart } from './orderColours.ts';
import { countPlanned } from './planCoats.ts';
import { sortPlanned } from './placeCoat.ts';

/** A smaller field is touched in last, by brush or behind a little tape, whatever its colour (planning estimate). */
const TRIM_CM2 = 0.5;

/** A part, so far as the order of its colours follows from it. */
export interface ColouredPart {
  readonly partKey: string;
  /** Of the part. */
  readonly areas: readonly Pick<Area, 'id' | 'kind' | 'name' | 'outline' | 'size'>[];
  readonly layers: readonly Pick<
    CoatingLayer,
    'areaId' | 'stage' | 'seq' | 'kind' | 'colourHex' | 'productId' | 'coats' | 'appliedAt' | 'rejection' | 'removedAt'
  >[];
  readonly paints: readonly (CountedPaint & { readonly id: string })[];
  readonly drawing: Drawing | null;
  /** Of the paint that was found outside; null where there was none. */
  readonly foundHex: string | null;
}

type Field = ColouredPart['areas'][number] & { readonly coats: ColouredPart['layers']; readonly areaCm2: number };

/**
 * Areas of a part in the order in which their colours are sprayed, as a school has it. What has its colour already comes first, in
 * the order in which it got it. Small fields, and those of which nobody knows where they end, are left out: they are touched in
 * afterwards. Empty where there is nothing to put in order.
 */
export function orderOfColours(part: ColouredPart, school: SchoolOption<'S8'>): string[] {
  const fields = selectFields(part);
  if (fields.length < 2) return [];
  return orderBySchool(describe(part, fields, school !== 'light to dark'), school, listBegun(part, fields)).steps.map(
    ({ key }) => key,
  );
}

/** What each answer of the school would cost on this part; null where there is nothing to put in order. */
export function priceSchools(part: ColouredPart): Record<SchoolOption<'S8'>, ColourOrder> | null {
  const fields = selectFields(part);
  if (fields.length < 2) return null;
  const colours = describe(part, fields, true);
  const begun = listBegun(part, fields);
  const price = (school: SchoolOption<'S8'>) => orderBySchool(colours, school, begun);
  return {
    'light to dark': price('light to dark'),
    'by masking effort': price('by masking effort'),
    'by covering power': price('by covering power'),
    'the cheapest': price('the cheapest'),
  };
}

function selectFields({ areas, layers, paints, drawing, partKey }: ColouredPart): Field[] {
  const sprayed = areas.flatMap((area): Field[] => {
    const coats = sortPlanned(
      layers.filter(({ areaId, stage, kind }) => areaId === area.id && stage === 'planned' && kind === 'colour'),
    );
    const isPowder = coats.some(({ productId }) => paints.find(({ id }) => id === productId)?.kind === 'powder');
    if (coats.length === 0 || isPowder) return [];
    const size = area.size ?? (drawing && isDrawn(area, drawing, partKey) && computeDrawnArea(drawing, partKey, area));
    const areaCm2 = size ? size.value : 0;
    return area.kind === 'mask' && areaCm2 < TRIM_CM2 ? [] : [{ ...area, coats, areaCm2 }];
  });
  // Under powder nothing is sprayed before it: fields are painted on the cured coat.
  if (!sprayed.some(({ kind }) => kind === 'outside')) return [];
  return [...sprayed].sort((a, b) => b.areaCm2 - a.areaCm2).slice(0, MOST_COLOURS);
}

/** A field whose place nobody drew has only a guessed size. */
const isDrawn = (area: ColouredPart['areas'][number], drawing: Drawing, partKey: string): boolean =>
  area.kind !== 'mask' ||
  area.outline !== null ||
  drawing.views.some(({ shapes }) =>
    shapes.some((shape) => shape.partKey === partKey && shape.mask === nameOfArea(area)),
  );

function listBegun({ layers }: ColouredPart, fields: readonly Field[]): string[] {
  return fields
    .map(({ id }) => ({ id, on: firstOn(layers, id, 'colour') }))
    .filter(({ on }) => on !== undefined)
    .sort((a, b) => (a.on! < b.on! ? -1 : 1))
    .map(({ id }) => id);
}

function describe(part: ColouredPart, fields: readonly Field[], isPriced: boolean): ColoursOfPart {
  const { paints, drawing, partKey, areas, foundHex } = part;
  const planned = listPlanned(areas, part.layers);
  const hexOf = (field: Field) => field.coats.at(-1)!.colourHex;
  const count = ({ coats }: Field, grounds: readonly string[]) =>
    coats.reduce((sum, layer, i) => {
      const paint = paints.find(({ id }) => id === layer.productId);
      return sum + countPlanned(layer, paint, i === 0 ? grounds : [coats[i - 1]!.colourHex]);
    }, 0);
  return {
    fields: fields.map((field): ColourField => {
      const place = planned.findIndex(({ layer }) => layer === field.coats[0]);
      const [ground] = groundsOf(planned, place, foundHex, [field.id]);
      const others = isPriced ? fields.filter((other) => other !== field) : [];
      return {
        ...{ key: field.id, areaCm2: field.areaCm2, luminance: computeLuminance(hexOf(field)) },
        colour: field.coats.at(-1)!.productId ?? hexOf(field),
        isHidden: field.kind === 'inside' || field.kind === 'underside',
        coatsOnGround: isPriced ? count(field, [ground]) : 1,
        coatsOn: Object.fromEntries(others.map((other) => [other.id, count(field, [ground, hexOf(other)])])),
      };
    }),
    edges: isPriced ? edgesOf(fields, drawing ? measureMaskEdges(drawing, partKey, fields) : []) : [],
  };
}

/** A field that is not drawn has an edge all the same: as long as a square's round as much surface, across the open. */
function edgesOf(fields: readonly Field[], drawn: ColoursOfPart['edges']): ColoursOfPart['edges'] {
  const outside = fields.find(({ kind }) => kind === 'outside')!;
  const undrawn = fields.filter(
    ({ id, kind }) => kind === 'mask' && !drawn.some(({ between }) => between.includes(id)),
  );
  return [
    ...drawn,
    ...undrawn.map(({ id, areaCm2 }) => ({
      ...{ between: [id, outside.id] as const, lengthMm: 40 * Math.sqrt(areaCm2), kind: 'open surface' as const },
    })),
  ];
}
