import type { JobRecord } from '../jobRecord.ts';
import type { RecordModel, RecordPart } from '../modelRecord.ts';
import { facts, list, text } from './blocks.ts';
import type { PaperBlock, PaperDates, PaperSection, WrittenPaper } from './paper.ts';
import { describePicture } from './photoSections.ts';

const NO_TOY =
  'This is a collector’s piece, not a toy for a child: it has small parts, edges and points, and old paint may hold lead.';
const LEAD =
  'Do not sand, scrape or heat the old paint, wash your hands after handling it, and keep it from children and where people eat. What you may do with it, product sheets and local rules say.';

/** For whoever owns it next: plainly, what was done to it, what is not original, and what to take care with. */
export function writeHandOn({ job, disclosure, models, photos }: JobRecord, dates: PaperDates): WrittenPaper {
  const parts = models.flatMap((model) => model.parts.map((part) => ({ part, of: nameIn(model, models) })));
  const named = (pick: (part: RecordPart) => boolean, say: (part: RecordPart) => string = () => '') =>
    parts
      .filter(({ part }) => pick(part))
      .map(({ part, of }) => [part.name + of, say(part)].filter(Boolean).join(': '));
  const sections: PaperSection[] = [
    {
      heading: 'Restored, or as it was',
      blocks: [
        ...text(disclosure),
        ...facts(
          [
            'Worked on',
            `${dates.day(job.intakeOn)} to ${job.signedOffAt ? dates.day(job.signedOffAt) : 'today, and not finished'}`,
          ],
          ['By', job.signedOffBy],
          ['Photographs', photos.length > 0 && `${photos.length} in the full record`],
        ),
      ],
    },
    {
      heading: 'Not original to it',
      blocks: list(
        named(
          ({ origin }) => origin !== 'original' && origin !== 'unknown',
          ({ origin, originNote, takenFrom }) =>
            [origin, originNote, takenFrom && `off ${takenFrom}`].filter(Boolean).join(', '),
        ),
      ),
    },
    {
      heading: 'Of unknown origin',
      blocks: list(named(({ origin, state }) => origin === 'unknown' && state !== 'missing')),
    },
    {
      heading: 'Mended',
      blocks: list(
        named(
          ({ mended }) => mended.length > 0,
          ({ mended, findings }) =>
            mended.map(({ task, note }) => [task, note].filter(Boolean).join(', ')).join('; ') +
            (findings.some(({ carriesLoad }) => carriesLoad) ? '. It carries a load: handle it with care' : ''),
        ),
      ),
    },
    {
      heading: 'Old paint',
      blocks: (() => {
        const old = named(hasOldPaint);
        return old.length ? [...text(`Old paint is still on it, and may hold lead. ${LEAD}`), ...list(old)] : [];
      })(),
    },
    { heading: 'Not a toy', blocks: text(NO_TOY) },
    { heading: 'As it was handed on', blocks: showLast(photos, dates) },
  ];
  return { title: `${job.number} ${job.title}`, sections: sections.filter(({ blocks }) => blocks.length > 0) };
}

/** Found on it, and no log says that it went: a part that is painted anew may still have it underneath. */
const hasOldPaint = ({ coatsFound, state, stripped }: RecordPart): boolean =>
  state !== 'missing' && coatsFound.length > 0 && stripped === null;

/** Two pictures of it as it is now: the first ones taken afterwards. */
function showLast(photos: JobRecord['photos'], dates: PaperDates): PaperBlock[] {
  const after = photos.filter(({ stage, side }) => stage === 'after' && side !== 'detail').slice(0, 2);
  return after.length ? [{ kind: 'pictures', pictures: after.map((photo) => describePicture(photo, dates)) }] : [];
}

const nameIn = ({ name }: RecordModel, models: readonly RecordModel[]) => (models.length > 1 ? ` (${name})` : '');
