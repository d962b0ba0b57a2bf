import { recallFailures, sayHow } from '@sardonyx/core';
import { formatDay } from '../../../../shared/dates/sayDates.ts';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { useJob } from '../../JobContext.tsx';

interface RememberedProps {
  readonly productId: string;
  /** The pot that it would lie on; null where none does. */
  readonly overProductId: string | null;
}

const SHOWN = 2;

/** What went wrong with this pot before, over the same coat first, and what helped. */
export function Remembered({ productId, overProductId }: RememberedProps) {
  const { view } = useJob();
  const found = recallFailures(view.failures, productId, overProductId).slice(0, SHOWN);
  if (found.length === 0) return null;
  return (
    <ul role="note" aria-label="What went wrong before" className="w-full space-y-1 border-l-4 border-sard pl-3">
      {found.map((one) => (
        <li key={one.layerId}>
          <Sign of="warning" />
          <strong>{one.kind}</strong>: {one.productName} over {one.overName}, {one.jobNumber}, {formatDay(one.at)}
          {one.tempC !== null && `, ${one.tempC} °C`}
          {sayHow(one.how) && `, ${sayHow(one.how)}`}: {one.because}.{one.helped && ` What helped: ${one.helped}.`}
          {one.photoHash && (
            <a href={`/api/photos/${one.photoHash}/full`} target="_blank" rel="noreferrer" className="mt-1 block w-fit">
              <img
                src={`/api/photos/${one.photoHash}/small`}
                alt={`${one.productName}, ${one.kind}`}
                className="h-20 border border-hairline"
              />
            </a>
          )}
        </li>
      ))}
    </ul>
  );
}
