import { useEffect, useRef, type KeyboardEvent } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useGetBenchQuery } from '../shared/api/api.ts';
import { Band } from '../shared/drawing/Band.tsx';

/** One small band per open job; arrow keys move along it. */
export function Tray() {
  const { data } = useGetBenchQuery();
  const { pathname } = useLocation();
  const row = useRef<HTMLElement>(null);
  // The one in hand is to be seen however many there are.
  useEffect(() => {
    row.current?.querySelector('[aria-current="page"]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [pathname, data]);
  const lanes = (data?.lanes ?? [])
    .filter((lane) => !lane.job.signedOffAt)
    .sort((a, b) => a.job.number.localeCompare(b.job.number, undefined, { numeric: true }));
  if (lanes.length === 0) return <nav className="grow" aria-label="Tray" />;
  const move = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (!step) return;
    event.preventDefault();
    const links = [...(row.current?.querySelectorAll('a') ?? [])];
    const at = links.indexOf(document.activeElement as HTMLAnchorElement);
    links[(at + step + links.length) % links.length]?.focus();
  };
  return (
    <nav
      ref={row}
      aria-label="Tray"
      className="order-last flex w-full min-w-0 grow items-end overflow-x-auto min-[1100px]:order-none min-[1100px]:w-0 min-[1100px]:flex-1"
      onKeyDown={move}
    >
      {lanes.map((lane) => {
        const isCurrent = pathname.startsWith(`/jobs/${lane.job.id}/`) || pathname === `/jobs/${lane.job.id}`;
        return (
          <NavLink
            key={lane.job.id}
            to={`/jobs/${lane.job.id}`}
            // The browser’s own hint: the kit’s would come with the first view, and a quarter of a second later.
            title={`${lane.job.number} ${lane.job.title}`}
            className="flex shrink-0 flex-col items-center px-0.5 py-1 text-note whitespace-nowrap"
          >
            <Band
              layers={lane.band}
              material={lane.bandMaterial}
              width={isCurrent ? 44 : 30}
              height={isCurrent ? 22 : 14}
              label={`${lane.job.number} ${lane.job.title}`}
            />
            <span className={isCurrent ? 'font-bold' : 'text-soft-ink'}>{lane.job.number}</span>
          </NavLink>
        );
      })}
    </nav>
  );
}
