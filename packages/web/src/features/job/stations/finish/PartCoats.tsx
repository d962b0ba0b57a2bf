import { nameOfArea, type NextCoat, type SpecimenPart } from '@sardonyx/core';
import { Toggles } from '../../../../shared/ui/Toggles.tsx';
import { useJob } from '../../JobContext.tsx';
import { AreaBand } from './AreaBand.tsx';
import { OrderOfColours } from './OrderOfColours.tsx';
import { LogCoatForm } from './LogCoatForm.tsx';

interface PartCoatsProps {
  readonly part: SpecimenPart;
  readonly now: Date;
  /** What goes on next on which area. */
  readonly list: readonly NextCoat[];
  readonly areaId: string | null;
  readonly onChoose: (areaId: string) => void;
}

/** The part in hand, one area of it at a time: its band is the editor of its coats. */
export function PartCoats({ part, now, list, areaId, onChoose }: PartCoatsProps) {
  const { specimen, isClosed } = useJob();
  const areas = specimen.areas.filter((area) => area.specimenPartId === part.id);
  const area = areas.find(({ id }) => id === areaId) ?? areas.find(({ kind }) => kind === 'outside') ?? areas[0];
  if (!area) return null;
  const next = list.find((one) => one.areaId === area.id);
  const first = { areaId: area.id, productId: next?.planned?.productId ?? '', isMist: next?.isMist ?? false };
  return (
    <section aria-label={`Coats: ${part.name}`} className="space-y-4 border border-strong-line bg-sheet p-4">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>
          {part.name} <span className="text-body font-normal text-soft-ink">({part.material})</span>
        </h2>
        {areas.length > 1 && (
          <Toggles
            aria-label={`Areas of the ${part.name.toLowerCase()}`}
            value={area.id}
            options={areas.map((one) => ({ value: one.id, label: nameOfArea(one) }))}
            onChange={onChoose}
          />
        )}
      </div>
      <OrderOfColours part={part} />
      <AreaBand key={area.id} area={area} part={part} now={now} />
      {!isClosed && <LogCoatForm key={`log ${area.id}`} part={part} areas={areas} first={first} />}
    </section>
  );
}
