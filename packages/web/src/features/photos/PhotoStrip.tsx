import { PhotoDrop } from './PhotoDrop.tsx';
import { findMissingSides, type Photo } from '@sardonyx/core';
import { Link } from 'react-router';
import { Tooltip } from '../../shared/ui/Tooltip.tsx';
import { formatMoment } from '../../shared/dates/sayDates.ts';
import { capitalise } from '../../shared/format.ts';

interface PhotoStripProps {
  readonly jobId: string;
  readonly photos: readonly Photo[];
  readonly stage: Photo['stage'];
  readonly isClosed: boolean;
}

/** The photographs of a stage, what the set still lacks, and a place to drop more. */
export function PhotoStrip({ jobId, photos, stage, isClosed }: PhotoStripProps) {
  const missing = findMissingSides(photos, stage);
  const own = photos.filter((photo) => photo.stage === stage);
  return (
    <section aria-label={`Photographs ${stage}`} className="space-y-2">
      <h3>
        {capitalise(stage)}-set: {missing.length === 0 ? 'complete' : `${missing.join(', ')} missing`}
      </h3>
      {own.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {own.map((photo) => (
            <li key={photo.id} className="w-36">
              <Tooltip says="Straighten, measure, pin, compare">
                <Link to={`/jobs/${jobId}/photos/${photo.id}`}>
                  <img
                    src={`/api/photos/${photo.hash}/small`}
                    alt={`${photo.side}, ${photo.stage}${photo.caption ? `: ${photo.caption}` : ''}`}
                    className="h-24 w-36 border border-hairline object-cover"
                  />
                </Link>
              </Tooltip>
              <p className="text-note text-soft-ink">
                {photo.side}, {formatMoment(photo.takenAt)}
                {photo.control && ' · straight'}
              </p>
            </li>
          ))}
        </ul>
      )}
      {!isClosed && <PhotoDrop jobId={jobId} stage={stage} nextSide={missing[0] ?? 'detail'} />}
    </section>
  );
}
