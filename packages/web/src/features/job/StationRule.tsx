import { computeStationState, STATION_LABELS, STATIONS, type Station } from '@sardonyx/core';
import { Link, useLocation } from 'react-router';
import { Tooltip } from '../../shared/ui/Tooltip.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { formatMinutes } from '../../shared/format.ts';
import { useJob } from './JobContext.tsx';

/** The seven stations on one long rule: the open one wide, the others folded to a word and what they lack. */
export function StationRule({ current }: { readonly current: Station }) {
  const { view, tasks } = useJob();
  const { search } = useLocation();
  return (
    <nav aria-label="Stations" className="mt-2 flex items-stretch border-y border-strong-line">
      {STATIONS.map((station, i) => {
        const { total, done, handsOnLeftMin } = computeStationState(tasks, station);
        const isOpen = station === current;
        const state = total === 0 ? 'nothing to do' : done === total ? 'done' : `${total - done} left`;
        return (
          <Tooltip key={station} says={`Alt+${i + 1}`}>
            <Link
              to={`/jobs/${view.job.id}/${station}${search}`}
              aria-current={isOpen ? 'step' : undefined}
              aria-keyshortcuts={`Alt+${i + 1}`}
              className={`min-w-0 border-r border-hairline px-2 py-2 min-[1100px]:px-3 last:border-r-0 ${isOpen ? 'grow-[3] border-b-4 border-b-sard bg-sheet' : 'grow bg-bench hover:bg-sunk'}`}
            >
              <span className={`block ${isOpen ? 'text-lead font-semibold' : ''}`}>
                {done === total && total > 0 && <Sign of="check" />}
                {STATION_LABELS[station]}
              </span>
              <span className="block text-note text-soft-ink">
                {state}
                {isOpen && handsOnLeftMin > 0 && `, ${formatMinutes(handsOnLeftMin)} at the hands`}
              </span>
            </Link>
          </Tooltip>
        );
      })}
    </nav>
  );
}
