import type { Dosing, MixWay, Proposal } from '@sardonyx/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Radios } from '../../../shared/ui/Radios.tsx';
import { useStartMixMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import type { Option } from '../../../shared/ui/options.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { nameOfProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';
import type { WantedColour } from './useTarget.ts';

/** dE00 that is good enough: beside each other few see it. */
const TOLERANCE = 1;

const WAYS: readonly Option<MixWay>[] = [
  { value: 'light end', label: 'from the light end', note: 'a dark can always go in, never come out' },
  { value: 'nearest pot', label: 'from the nearest pot', note: 'fewest pours when a pot is close already' },
];

interface BeginMixingProps {
  readonly target: WantedColour;
  readonly chosen: Proposal;
  readonly needMl: number;
  readonly dosing: Dosing;
  readonly doseMl: number;
}

/** Light end or nearest pot, by the job's school unless the recipe says otherwise; then the first pour. */
export function BeginMixing({ target, chosen, needMl, dosing, doseMl }: BeginMixingProps) {
  const { view, shelf, nameOfPart } = useColourBench();
  const navigate = useNavigate();
  const [start, { error, isLoading }] = useStartMixMutation();
  const school = [...view.decisions, ...view.houseChoices].find((one) => one.school === 'S9')?.option;
  const [way, setWay] = useState<MixWay>(
    school === 'from the nearest shelf colour' || chosen.kind === 'from the nearest pot' ? 'nearest pot' : 'light end',
  );
  const begin = async () => {
    const { data } = await start({
      ...{ jobId: view.job.id, specimenPartId: target.capture.specimenPartId, captureId: target.capture.id },
      name: `${nameOfPart(target.capture.specimenPartId)}, ${target.capture.place} colour`,
      target: [...target.lab],
      targetA: [...target.labA],
      ...{ geometry: target.geometry, needMl, tolerance: TOLERANCE, dosing, doseMl, way },
      recipe: chosen.lines.map(({ productId, ml }) => ({ productId, name: nameOfProduct(shelf, productId), ml })),
    });
    if (data) void navigate(`/jobs/${view.job.id}/colour/mix?mix=${data.id}`);
  };
  return (
    <div className="space-y-2">
      <Radios label="Begin" look="quiet" value={way} options={WAYS} onChange={setWay} />
      <button type="button" className="main-button" disabled={isLoading} onClick={() => void begin()}>
        Mix {formatMl(needMl)} of it
      </button>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
