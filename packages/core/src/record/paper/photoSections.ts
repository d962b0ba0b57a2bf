import type { JobRecord, RecordPhoto } from '../jobRecord.ts';
import { join, num, under } from './blocks.ts';
import type { PaperBlock, PaperDates, PaperPair, PaperPicture, PaperSection } from './paper.ts';

const STAGES: readonly (readonly [stage: RecordPhoto['stage'], title: string])[] = [
  ['before', 'Before the work'],
  ['during', 'While it was worked on'],
  ['after', 'Afterwards'],
];

/** Every photograph, by when it was taken. */
export const writePhotos = ({ photos }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'Photographs',
  blocks: STAGES.flatMap(([stage, title]): PaperBlock[] => {
    const own = photos.filter((photo) => photo.stage === stage);
    return own.length
      ? [under(title), { kind: 'pictures', pictures: own.map((photo) => describePicture(photo, dates)) }]
      : [];
  }),
});

export function describePicture(photo: RecordPhoto, dates: PaperDates): PaperPicture {
  const { sha256, side, caption, model, takenAt, control, measures, widthPx, heightPx } = photo;
  return {
    ...{ sha256, widthPx, heightPx },
    caption: join([
      caption || side,
      caption && caption !== side && side,
      model,
      dates.day(takenAt),
      control && `straightened by: ${control.name}`,
      ...measures.map(
        ({ label, kind, value, sd }) =>
          `${join([label, kind])} ${num(value)} ± ${num(sd)} ${kind === 'angle' || kind === 'twist' ? '°' : 'mm'}`,
      ),
    ]),
  };
}

/** The same side of the same model before and after: of several the first before, the last after. */
export function pairPhotos({ photos }: Pick<JobRecord, 'photos'>, dates: PaperDates): PaperPair[] {
  const before = photos.filter(({ stage, side }) => stage === 'before' && side !== 'detail');
  const keys = [...new Set(before.map(({ side, model }) => `${side} ${model}`))];
  return keys.flatMap((key) => {
    const isOwn = ({ side, model }: RecordPhoto) => `${side} ${model}` === key;
    const first = before.find(isOwn)!;
    const last = photos.filter((photo) => photo.stage === 'after' && isOwn(photo)).at(-1);
    if (!last) return [];
    const isOneModel = new Set(before.map(({ model }) => model)).size === 1;
    const side = join([first.side, !isOneModel && first.model]);
    return [{ side, before: describePicture(first, dates), after: describePicture(last, dates) }];
  });
}
