import type { Artwork } from '../model/decal.ts';

/** What of an artwork is compared. */
export type ComparedArtwork = Pick<Artwork, 'widthMm' | 'shapes'> & { readonly id: string };

/** Lengths that differ by less come out of the printer alike, mm. */
const SAME_MM = 0.02;

/** Whether two states of an artwork print the same: it may have been resized, or traced anew, since. */
export function isSamePrint(one: ComparedArtwork, other: ComparedArtwork): boolean {
  return (
    one.id === other.id &&
    isNear(one.widthMm, other.widthMm) &&
    one.shapes.length === other.shapes.length &&
    one.shapes.every((shape, i) => {
      const { d, fill, stroke, strokeMm, isEvenOdd } = other.shapes[i]!;
      const isAlike = shape.fill === fill && shape.stroke === stroke && shape.isEvenOdd === isEvenOdd;
      return isAlike && isNear(shape.strokeMm, strokeMm) && isSamePath(shape.d, d);
    })
  );
}

const isNear = (one: number, other: number) => Math.abs(one - other) < SAME_MM;

const NUMBER = /-?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi;

/** The same commands, their numbers within what is seen. */
function isSamePath(one: string, other: string): boolean {
  if (one === other) return true;
  const commandsOf = (d: string) => d.replace(NUMBER, '').replace(/[\s,]+/g, '');
  if (commandsOf(one) !== commandsOf(other)) return false;
  const numbersOf = (d: string) => (d.match(NUMBER) ?? []).map(Number);
  const [numbers, others] = [numbersOf(one), numbersOf(other)];
  return numbers.length === others.length && numbers.every((value, i) => isNear(value, others[i]!));
}
