import { STATION_LABELS, STATIONS, type Station } from '@sardonyx/core';

/** Seven notches, one a station, each filled by the share of its tasks that is done. */
export function Notches({
  progress,
  current,
}: {
  readonly progress: Readonly<Record<Station, number | null>>;
  readonly current: Station;
}) {
  const words = STATIONS.map((station) => `${STATION_LABELS[station]} ${describeShare(progress[station])}`);
  return (
    <svg role="img" aria-label={`Progress: ${words.join(', ')}`} width={147} height={26} className="block">
      <title>{words.join(' · ')}</title>
      {STATIONS.map((station, i) => {
        const share = progress[station] ?? 0;
        return (
          <g key={station} transform={`translate(${i * 21 + 1} 1)`}>
            <rect width={18} height={18} fill="var(--sheet)" stroke="var(--strong-line)" />
            <rect y={18 - 18 * share} width={18} height={18 * share} fill="var(--ink)" />
            {station === current && <path d="M4 24l5 -4l5 4z" fill="var(--sard)" />}
          </g>
        );
      })}
    </svg>
  );
}

function describeShare(share: number | null): string {
  if (share === null) return 'nothing to do';
  if (share === 1) return 'done';
  return share === 0 ? 'not begun' : `${Math.round(share * 100)} %`;
}
