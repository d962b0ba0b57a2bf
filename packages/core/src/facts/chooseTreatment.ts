import { isMetal, traitsOf } from '../model/material.ts';
import type { Decisions } from '../model/school.ts';
import { adviseBake } from '../process/adviseBake.ts';
import type { OpeningPart } from '../opening/openingQuestion.ts';
import { STRIP_METHOD_FACTS } from '../process/stripMethods.ts';
import { chooseOption } from '../schools/schools.ts';
import type { FindingKind } from '../model/workpiece.ts';

/** What a part gets, so far as others joined to it must not get it. */
export interface Treatment {
  /** Alike for parts that may stay together. */
  readonly key: string;
  readonly kind: 'paint' | 'bare' | 'wash' | 'left alone';
  /** "stripped and painted Works ochre" */
  readonly words: string;
  /** Stripper reaches it. */
  readonly isStripped: boolean;
  /** Of its colour outside, 0 black to 1 white: light is painted before dark. */
  readonly luminance: number;
}

/**
 * The treatment of a part under the schools in force. Painted metal is stripped and painted; metal that is to wear the same
 * colours, inside faces included, is treated alike. Where no coat is planned yet, the colour it left the factory in counts.
 */
export function chooseTreatment(part: OpeningPart, decisions: Decisions = {}): Treatment {
  if (isPestSuspect(part))
    return {
      key: 'left alone',
      kind: 'left alone',
      words: 'signs of pest, kept dry and left alone',
      isStripped: false,
      luminance: 0,
    };
  if (part.isKept) return AS_IT_IS;
  const keepsItsWear = chooseOption('S22', decisions) === 'honest wear' && part.coats.length === 0;
  const isBareAlready = part.done.stripped !== null;
  const isStripped = part.painted && isMetal(part.material) && !keepsItsWear && !isBareAlready;
  const colours = listColours(part);
  if (keepsItsWear && part.painted && isMetal(part.material) && !isBareAlready) return AS_IT_IS;
  if (isStripped || colours.length > 0) {
    const names = colours.length ? colours.map((colour) => colour.name).join(' and ') : part.foundColour?.name;
    const paint = `painted ${names ?? 'as found'}`;
    return {
      key: `${isMetal(part.material) ? '' : 'plastic '}${colours.map((colour) => colour.hex).join('+') || (part.foundColour?.hex ?? 'as found')}`,
      kind: 'paint',
      words: isStripped ? `stripped and ${paint}` : paint,
      isStripped,
      luminance: computeLuminance(colours[0]?.hex ?? part.foundColour?.hex ?? '#000000'),
    };
  }
  return isMetal(part.material)
    ? { key: 'bare', kind: 'bare', words: 'no coat written down or planned', isStripped: false, luminance: 0 }
    : {
        key: traitsOf(part.material).isKeptDry ? 'dry' : 'wash',
        kind: 'wash',
        words: `${part.material} that stands no stripper`,
        isStripped: false,
        luminance: 0,
      };
}

/** Keeps what it wears, by a wish of its own or under honest wear: nothing is put on it, and nothing may reach it. */
const AS_IT_IS: Treatment = { key: 'as it is', kind: 'bare', words: 'kept as it is', isStripped: false, luminance: 0 };

/** The colour outside, then one for the inside where that gets its own. Masks and decals lie over these. */
function listColours(part: OpeningPart): { readonly hex: string; readonly name: string }[] {
  const last = (isThere: (coat: OpeningPart['coats'][number]) => boolean) => {
    const coat = part.coats.filter((one) => one.kind === 'colour' && isThere(one)).at(-1);
    return coat ? [{ hex: coat.colourHex, name: coat.name }] : [];
  };
  const outside = last((coat) => coat.areaKind === 'outside');
  const inside = last((coat) => coat.areaKind === 'inside' || coat.areaKind === 'underside');
  return [...outside, ...inside.filter(({ hex }) => hex !== outside[0]?.hex)];
}

/** Rec. 709 weights on the stored values: enough to tell light from dark. */
export function computeLuminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Why every joint of a part must be open, whatever its neighbours get; null when it may stay with them. */
export function findReasonToStandAlone(part: OpeningPart, decisions: Decisions): string | null {
  if (isReplaced(part)) return 'replaced';
  if (part.isKept) return null;
  if (isPestSuspect(part)) return null;
  const has = (kind: FindingKind) => part.findings.some((finding) => finding.kind === kind);
  if ((has('bent') || has('twisted')) && traitsOf(part.material).bends === 'warm')
    return 'straightened warm, with nothing beside it that melts or cracks';
  if (traitsOf(part.material).isPlated && part.coats.length > 0)
    return 'its plating comes off in a bath, and liquor would stay in a seam';
  if (part.role === 'axle' && (has('rust') || has('seized'))) return 'cleaned up in a chuck';
  if (part.findings.some(({ kind, severity }) => kind === 'scuffed' && severity > 1)) return 'polished by itself';
  const { isStripped, kind } = chooseTreatment(part, decisions);
  if (isStripped && STRIP_METHOD_FACTS[chooseOption('S11', decisions)].isImmersed)
    return 'bathed, and liquor would stay in a closed seam';
  const bake = chooseOption('S6', decisions) === 'powder' ? 'powder' : chooseOption('S19', decisions);
  const isBaked =
    part.done.finish === null &&
    (bake === 'powder' || bake === 'low bake') &&
    adviseBake([part.material], bake, false).mostC !== null;
  if (kind === 'paint' && isBaked) return 'baked, and a closed joint never is';
  return null;
}

/** A new one takes its place: nothing is mended or cleaned on the old one, and the new one needs neither. */
export const isReplaced = (part: Pick<OpeningPart, 'newPart'>): boolean => part.newPart !== null;

/** Its coat stays on, and nothing that takes paint off may reach it. */
export const wearsKeptPaint = ({ isKept, painted }: Pick<OpeningPart, 'isKept' | 'painted'>): boolean =>
  isKept && painted;

/** What was found on a part that is gone says nothing of the one that takes its place. */
export function isPestSuspect(part: Pick<OpeningPart, 'material' | 'findings' | 'state'>): boolean {
  if (part.material === 'pest-suspect zinc') return true;
  return part.state !== 'missing' && part.findings.some((finding) => finding.kind === 'pest');
}
