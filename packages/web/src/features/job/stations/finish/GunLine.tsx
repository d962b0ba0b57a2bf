import type { GunPlace } from '@sardonyx/contract';
import { chooseOption, RINSE_MIN } from '@sardonyx/core';
import { useGetGunQuery } from '../../../../shared/api/api.ts';
import { useJob } from '../../JobContext.tsx';
import { sayPlace } from './sayBearing.ts';

/** Windows open and shut by the minute. */
const LOOK_MS = 60_000;

/** What may be sprayed now on the models of all open jobs, gathered by what is in the gun. */
export function GunLine() {
  const { view, specimen } = useJob();
  const isSprayed = chooseOption('S6', specimen.facts.decisions) === 'airbrush';
  const { data } = useGetGunQuery(undefined, { pollingInterval: LOOK_MS, skip: !isSprayed });
  if (!isSprayed || !data?.gun) return null;
  const { gun, runs } = data;
  if (runs.length < 2 && gun.holds === '') return null;
  return (
    <p>
      Gun: {gun.holds === '' ? 'clean' : <strong>{gun.holds}</strong>}.{' '}
      {runs.length === 0
        ? 'Nothing may be sprayed now: rinse it before it dries.'
        : runs.map(({ paint, coats, isRinsedBefore }, i) => (
            <span key={paint}>
              {i > 0 && '; '}
              {isRinsedBefore && (
                <>
                  {i > 0 ? 'rinse' : 'Rinse'} ({RINSE_MIN} min), then{' '}
                </>
              )}
              <strong>{paint}</strong> on {coats.map((place) => sayGunPlace(place, view.job.id)).join(', ')}
            </span>
          ))}
      {runs.length > 0 && '.'}
    </p>
  );
}

/** "body, roof"; with the job where it is another one, and the model where that has several. */
function sayGunPlace({ jobId, jobNumber, specimenName, part, areaName }: GunPlace, inHand: string): string {
  const whose = [...(jobId === inHand ? [] : [jobNumber]), ...(specimenName ? [specimenName] : [])].join(' ');
  return `${whose && `${whose}: `}${sayPlace(part, areaName).toLowerCase()}`;
}
