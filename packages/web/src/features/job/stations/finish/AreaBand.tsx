import {
  computeStack,
  isStanding,
  nameOfArea,
  type Area,
  type AreaPlan,
  type AreaSize,
  type SpecimenPart,
} from '@sardonyx/core';
import { Band } from '../../../../shared/drawing/Band.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { useJob } from '../../JobContext.tsx';
import { LayerList } from '../survey/LayerList.tsx';
import { AreaMeasures } from './AreaMeasures.tsx';
import { BandEditor } from './BandEditor.tsx';
import { CoatClocks } from './CoatClocks.tsx';
import { PlanCoat } from './PlanCoat.tsx';
import { sayCm2 } from './sayCm2.ts';
import { useAreaPlan } from './useAreaPlan.ts';

interface AreaBandProps {
  readonly area: Area;
  readonly part: SpecimenPart;
  readonly now: Date;
}

/** One area: what is on it now beside what is planned, as bands; what it bears and when; how much film it gets. */
export function AreaBand({ area, part, now }: AreaBandProps) {
  const { specimen, isClosed } = useJob();
  const layersOf = (stage: 'found' | 'applied') =>
    specimen.layers.filter((layer) => layer.areaId === area.id && layer.stage === stage);
  const [found, applied] = [layersOf('found'), layersOf('applied')];
  const standing = applied.filter(isStanding);
  const plan = useAreaPlan(area, part);
  const name = nameOfArea(area);
  const stack = computeStack(standing);
  return (
    <div className="space-y-3">
      <div className="flex gap-4">
        <figure className="shrink-0 space-y-1 text-note">
          <Band
            layers={standing.length ? standing : found}
            material={part.material}
            width={64}
            height={112}
            label={`${part.name}, ${name}, ${standing.length ? 'on it now' : 'as found'}`}
          />
          <figcaption>
            <strong className="block">{standing.length ? 'On it now' : found.length ? 'As found' : 'Bare'}</strong>
            {standing.length > 0 && (
              <span className="figure">
                {Math.round(stack.totalUm)} ± {Math.round(stack.spreadUm)} µm
              </span>
            )}
          </figcaption>
        </figure>
        <div className="min-w-0 flex-1 space-y-2">
          <p className="text-note text-soft-ink">Planned, the outermost on top</p>
          {plan && <BandEditor areaName={name} material={part.material} plan={plan} />}
          {plan && plan.layers.length > 0 && <Build plan={plan} />}
        </div>
      </div>
      <CoatClocks area={area} now={now} />
      {!isClosed && <PlanCoat area={area} part={part} />}
      {!isClosed && <AreaMeasures area={area} part={part} />}
      {(found.length > 0 || applied.length > 0) && (
        <Fold title="Coats in words">
          {found.length > 0 && <p className="text-note text-soft-ink">As found, from the metal outwards</p>}
          <LayerList layers={found} />
          {applied.length > 0 && <p className="text-note text-soft-ink">Put on, from the metal outwards</p>}
          <LayerList layers={applied} />
        </Fold>
      )}
    </div>
  );
}

const BUILD_WORDS: Readonly<Record<AreaPlan['build']['verdict'], string>> = {
  fine: 'letters stay sharp',
  rounds: 'edges of letters soften: spray thin',
  'fills in': 'letters fill in, and only stripping brings them back: fewer or thinner coats',
};

/** All layers against the relief, and how large the area was taken to be. */
function Build({ plan: { build, relief, size } }: { readonly plan: AreaPlan }) {
  return (
    <p className={build.verdict === 'fills in' ? 'border-l-4 border-sard pl-3' : ''}>
      When all is on{' '}
      <strong className="figure">
        {Math.round(build.totalUm)} ± {Math.round(build.spreadUm)} µm
      </strong>{' '}
      over relief of {relief.depthUm} µm ({relief.origin}): {BUILD_WORDS[build.verdict]}.
      {size && (
        <span className="text-note text-soft-ink">
          {' '}
          <span className="figure">{sayArea(size)}</span> {AREA_WAY_WORDS[size.way]}.
        </span>
      )}
    </p>
  );
}

const sayArea = ({ value, relativeSd }: AreaSize): string =>
  `${sayCm2(value)} ± ${sayCm2(value * relativeSd, value)} cm²`;

const AREA_WAY_WORDS = {
  mesh: 'by its mesh',
  weighed: 'by weighing',
  box: 'by its box',
  drawing: 'by the drawing',
  typed: 'as typed',
  'same casting': 'as measured on another of this casting',
} as const;
