import type { BenchCasting, BenchLane } from '@sardonyx/contract';
import { STATION_LABELS } from '@sardonyx/core';
import { Link } from 'react-router';
import { Band } from '../../shared/drawing/Band.tsx';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { Notches } from '../../shared/drawing/Notches.tsx';
import { formatDay, formatDue, sayBlocked } from '../../shared/dates/sayDates.ts';
import { formatMinutes } from '../../shared/format.ts';

interface LaneProps {
  readonly lane: BenchLane;
  /** undefined while nobody knows it. */
  readonly casting: BenchCasting | undefined;
  readonly now: Date;
}

/** One job as a long lane: band, drawing, next act, what holds it up, progress and due day. */
export function Lane({ lane, casting, now }: LaneProps) {
  const { job, next } = lane;
  const path = `/jobs/${job.id}/${next?.station ?? job.station}`;
  return (
    <Link
      to={path}
      className="grid grid-cols-[40px_minmax(120px,200px)_minmax(0,1fr)_150px] items-center gap-4 border-t border-strong-line bg-sheet px-3 py-2 [contain-intrinsic-size:auto_129px] [content-visibility:auto] hover:bg-sunk"
    >
      <Band layers={lane.band} material={lane.bandMaterial} width={40} height={96} label={`${job.number} band`} />
      {casting?.side ? (
        <ModelDrawing
          view={casting.side}
          paint={lane.paint}
          parts={lane.parts}
          label={`${job.title}, side view`}
          className="h-28 w-full bg-paper"
        />
      ) : (
        <span className="grid h-28 place-items-center border border-dashed border-strong-line text-note text-soft-ink">
          {casting ? 'not drawn yet' : 'not identified yet'}
        </span>
      )}
      <div className="min-w-0">
        <p className="text-soft-ink">
          <span className="figure">{job.number}</span> {job.title}{' '}
          <span className="text-note">({casting?.name ?? 'Casting not known yet'})</span>
        </p>
        <p className="text-act font-semibold">{describeNext(lane)}</p>
        <p className="text-soft-ink">{describeWaits(lane, now)}</p>
      </div>
      <div className="space-y-1 text-note">
        <Notches progress={lane.progress} current={next?.station ?? job.station} />
        <p>{STATION_LABELS[next?.station ?? job.station]}</p>
        {job.signedOffAt ? (
          <p className="text-soft-ink">signed {formatDay(job.signedOffAt)}</p>
        ) : (
          job.dueOn && (
            <p>
              due {formatDue(job.dueOn, now)} <span className="block text-soft-ink">{formatDay(job.dueOn)}</span>
            </p>
          )
        )}
      </div>
    </Link>
  );
}

function describeNext({ job, next, blockedBy }: BenchLane): string {
  if (job.signedOffAt) return `Finished, signed by ${job.signedOffBy}`;
  if (next) return next.underWay ? `Under way: ${next.title}` : next.title;
  return blockedBy ? `Waits: ${sayBlocked(blockedBy)}` : 'Ready to be signed off';
}

function describeWaits({ job, next, openWants, roomRefusal, handsOnLeftMin }: BenchLane, now: Date): string {
  if (job.signedOffAt) return job.why;
  const wants = openWants.map(
    (want) =>
      `${want.what} ${want.state === 'ordered' ? `ordered${want.dueOn ? `, due ${formatDue(want.dueOn, now)}` : ''}` : 'not ordered yet'}`,
  );
  const pieces = [
    ...(roomRefusal ? [roomRefusal] : []),
    ...(next ? [`${formatMinutes(next.handsOnMin)} at the hands`] : []),
    ...(wants.length ? [`wants ${wants.join(', ')}`] : []),
    `${formatMinutes(handsOnLeftMin)} of hand work left in all`,
  ];
  return pieces.join(' · ');
}
