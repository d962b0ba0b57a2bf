import { formatEvening } from '../../shared/dates/sayDates.ts';
import { Fold } from '../../shared/ui/Fold.tsx';
import type { Names } from './sayEvenings.ts';
import type { Evenings } from './useEvenings.ts';

interface DecidingProps {
  readonly evenings: Evenings;
  /** Local day. */
  readonly on: string;
  readonly names: Names;
}

/** More than these are folded away. */
const FEW = 3;

/** Which evenings cannot be lost, when somebody asks. */
export function Deciding({ evenings: { deciding, share, decide }, on, names }: DecidingProps) {
  if (deciding === null)
    return share === null ? (
      <button type="button" className="quiet-button" onClick={() => decide(on)}>
        Which evening decides it?
      </button>
    ) : null;
  if (deciding.length === 0) return <p>Each single evening can be lost, and as many are ready.</p>;
  return (
    <Fold
      title={`${deciding.length === 1 ? 'This evening decides it' : `These ${deciding.length} evenings decide it`}; each other one can be lost`}
      isOpen={deciding.length <= FEW}
    >
      <ul className="list-disc pl-5">
        {deciding.map((one) => (
          <li key={one.on}>
            {formatEvening(one.on)}: without it {one.late.map((id) => names.jobs.get(id)).join(', ')}{' '}
            {one.late.length === 1 ? 'comes' : 'come'} too late, unless a search finds another way.
          </li>
        ))}
      </ul>
    </Fold>
  );
}
