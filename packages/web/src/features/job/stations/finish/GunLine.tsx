import { chooseOption, listNextCoats, planGunRuns, RINSE_MIN, type NextCoat } from '@sardonyx/core';
import { useMemo } from 'react';
import { useGetWorkshopQuery } from '../../../../shared/api/api.ts';
import { useJob } from '../../JobContext.tsx';
import { sayPlace } from './sayBearing.ts';

interface SprayedNow {
  readonly paint: string;
  readonly until: number | null;
  readonly colourHex: string;
  readonly place: string;
}

/** What may be sprayed now on all models of the job, gathered by what is in the gun. */
export function GunLine({ now }: { readonly now: Date }) {
  const { view, specimen } = useJob();
  const { data: workshop } = useGetWorkshopQuery();
  const gun = workshop?.tools.find(({ kind }) => kind === 'airbrush');
  const runs = useMemo(() => {
    const coats = view.specimens.flatMap((model) => {
      const tasks = view.tasks.filter(({ specimenId }) => specimenId === model.specimen.id);
      return listNextCoats({ ...model, tasks }, now.getTime()).flatMap((next): SprayedNow[] =>
        isSprayed(next) ? [describe(next, view.specimens.length > 1 ? model.specimen.name : '')] : [],
      );
    });
    return planGunRuns(coats, gun?.holds ?? '');
  }, [view, gun, now]);
  if (chooseOption('S6', specimen.facts.decisions) !== 'airbrush' || !gun) return null;
  if (runs.length < 2 && gun.holds === '') return null;
  return (
    <p>
      Gun: {gun.holds === '' ? 'clean' : <strong>{gun.holds}</strong>}.{' '}
      {runs.length === 0
        ? 'Nothing may be sprayed now: rinse it before it dries.'
        : runs.map(({ paint, coats, isRinsedBefore }, i) => (
            <span key={paint}>
              {i > 0 && '; '}
              {isRinsedBefore && <>rinse ({RINSE_MIN} min), then </>}
              <strong>{paint}</strong> on {coats.map(({ place }) => place).join(', ')}
            </span>
          ))}
      {runs.length > 0 && '.'}
    </p>
  );
}

const isSprayed = ({ state, planned }: NextCoat): boolean =>
  state === 'now' && planned !== null && ['primer', 'colour', 'clear'].includes(planned.kind);

const describe = (next: NextCoat, model: string): SprayedNow => ({
  ...{ paint: next.planned!.name, until: next.until, colourHex: next.planned!.colourHex },
  place: `${model && `${model}: `}${sayPlace(next.part, next.areaName).toLowerCase()}`,
});
