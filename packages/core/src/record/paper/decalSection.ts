import type { RecordDecal } from '../decalRecord.ts';
import type { JobRecord } from '../jobRecord.ts';
import { facts, join, list, num, under } from './blocks.ts';
import type { PaperBlock, PaperDates, PaperSection } from './paper.ts';

/** Every decal: what is on it, how it came, and how it was placed. */
export const writeDecals = ({ decals }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'Decals',
  blocks: decals.flatMap((decal) => writeDecal(decal, dates)),
});

function writeDecal(decal: RecordDecal, dates: PaperDates): PaperBlock[] {
  const { part, area, name, copies, artwork, panel, place, ordered, printed, acts } = decal;
  return [
    under(`${name}, on the ${part.toLowerCase()}, ${area}`),
    ...facts(
      [
        'Artwork',
        artwork &&
          join([
            artwork.name,
            `${num(artwork.widthMm)} × ${num(artwork.heightMm)} mm (${artwork.sizeFrom})`,
            artwork.note,
          ]),
      ],
      ['Inks', artwork?.inks.join(', ') ?? null],
      ['Copies', copies > 1 && String(copies)],
      [
        'Panel, measured',
        panel &&
          `${num(panel.widthMm)} × ${num(panel.heightMm)} mm ± ${num(panel.sdMm)} mm, ${num(panel.marginMm)} mm to be seen round it`,
      ],
      [
        'Place',
        place && `${num(place.x)}, ${num(place.y)} mm on the ${place.view} view, turned ${num(place.turnDegrees)}°`,
      ],
    ),
    ...list([
      ...ordered.map(({ count, artwork: of, rating }) =>
        join([`Ordered: ${count} of ${of}`, rating && sayRating(rating)]),
      ),
      ...printed.map(({ at, who, paper, film, pieces, isSpoiled, measured }) =>
        join([
          `Printed ${dates.day(at)}, ${who}: ${pieces} on ${film} film, ${paper}`,
          isSpoiled && 'did not come out',
          measured && 'its rules were measured',
        ]),
      ),
      ...acts.map((act, i) =>
        join([
          `${i + 1}. ${dates.moment(act.at)}, ${act.who}: ${act.takesBack === null ? act.act : `line ${act.takesBack} was not so`}`,
          act.trouble,
          act.soakS !== null && `slid after ${num(act.soakS, 0)} s in water`,
          act.film && `${act.film} film`,
          act.ageDays !== null && `its sheet ${num(act.ageDays, 0)} days old`,
          act.note,
        ]),
      ),
    ]),
  ];
}

const sayRating = ({
  isSharp,
  isInRegister,
  isWhiteDense,
  releasesWell,
  note,
}: NonNullable<RecordDecal['ordered'][number]['rating']>) => {
  const say = (is: boolean | null, yes: string, no: string) => (is === null ? '' : is ? yes : no);
  return join([
    say(isSharp, 'sharp', 'not sharp'),
    say(isInRegister, 'in register', 'out of register'),
    say(isWhiteDense, 'white dense', 'white thin'),
    say(releasesWell, 'lets go well', 'lets go badly'),
    note,
  ]);
};
