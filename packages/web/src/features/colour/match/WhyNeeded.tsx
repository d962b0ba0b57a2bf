import type { ColourNeed, NeededPaint } from '@sardonyx/core';

const SHOWN = 4;

const sayArea = ({ jobNumber, partName, areaName, coatsLeft }: ColourNeed): string =>
  `${jobNumber} ${partName.toLowerCase()}${areaName === 'outside' ? '' : `, ${areaName}`}${coatsLeft > 1 ? ` (${coatsLeft} coats)` : ''}`;

function listAreas(areas: readonly ColourNeed[]): string {
  const names = areas.slice(0, SHOWN).map(sayArea);
  return `${names.join('; ')}${areas.length > SHOWN ? ` and ${areas.length - SHOWN} more` : ''}`;
}

/** What an amount of paint is for, in one line. */
export function WhyNeeded({
  needed,
  isUnanswered,
}: {
  readonly needed: NeededPaint | null;
  readonly isUnanswered: boolean;
}) {
  if (isUnanswered)
    return <p className="text-note text-soft-ink">What is planned in this colour did not arrive: 2 ml is a guess.</p>;
  if (!needed || needed.areas.length === 0)
    return (
      <p className="text-note text-soft-ink">
        No planned coat comes near this colour{needed ? ', of which anybody knows the size' : ''}: 2 ml is a guess.
      </p>
    );
  return (
    <p className="text-note text-soft-ink">
      <strong className="figure text-ink">{needed.upper90.toFixed(1)} ml</strong> is enough nine times in ten (
      {needed.ml.toFixed(1)} ml on the whole) for {listAreas(needed.areas)}
      {needed.unsized.length > 0 && `; not counted, since nobody measured it: ${listAreas(needed.unsized)}`}.
    </p>
  );
}
