import { useJob } from '../../JobContext.tsx';

/** What was written down at Open, last off first: that is the order in which it goes back. */
export function HowItCameOff() {
  const { view, specimen } = useJob();
  const photos = view.photos.filter((photo) => photo.stage === 'during');
  if (specimen.comingsOff.length === 0) return null;
  return (
    <section aria-label="How it came off">
      <h3>How it came off, last first</h3>
      <ul>
        {[...specimen.comingsOff].reverse().map((one) => {
          const photo = photos.find((candidate) => candidate.id === one.photoId);
          const part = specimen.parts.find((candidate) => candidate.id === one.specimenPartId);
          return (
            <li key={one.id} className="flex items-center gap-3 border-t border-hairline py-1">
              {photo && (
                <a href={`/api/photos/${photo.hash}/full`} target="_blank" rel="noreferrer">
                  <img
                    src={`/api/photos/${photo.hash}/small`}
                    alt={`${part?.name ?? 'Part'} as it came off`}
                    className="h-12 w-16 border border-hairline object-cover"
                  />
                </a>
              )}
              <span>
                <strong>{part?.name ?? 'A part'}</strong>: from the {one.fromSide}
                {one.note && `, ${one.note}`}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
