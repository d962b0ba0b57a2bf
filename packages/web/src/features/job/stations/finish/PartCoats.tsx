import { computeStack, isStanding, type Area, type CoatingLayer, type SpecimenPart } from '@sardonyx/core';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { Band } from '../../../../shared/drawing/Band.tsx';
import { useJob } from '../../JobContext.tsx';
import { LayerList } from '../survey/LayerList.tsx';
import { CoatClocks } from './CoatClocks.tsx';
import { LogCoatForm } from './LogCoatForm.tsx';
import { PlanCoat } from './PlanCoat.tsx';
import { PlannedCoats } from './PlannedCoats.tsx';

const STAGES: readonly (readonly [CoatingLayer['stage'], string])[] = [
  ['found', 'As found'],
  ['planned', 'As planned'],
  ['applied', 'On it now'],
];

/** The part's areas, each as found beside as planned beside what is on it now. */
export function PartCoats({ part, now }: { readonly part: SpecimenPart; readonly now: Date }) {
  const { specimen, isClosed } = useJob();
  const areas = specimen.areas.filter((area) => area.specimenPartId === part.id);
  return (
    <section aria-label={`Coats: ${part.name}`} className="space-y-4 border border-strong-line bg-sheet p-4">
      <h2>
        {part.name} <span className="text-body font-normal text-soft-ink">({part.material})</span>
      </h2>
      {areas.map((area) => (
        <AreaCoats key={area.id} area={area} part={part} now={now} />
      ))}
      {!isClosed && <LogCoatForm part={part} areas={areas} />}
    </section>
  );
}

interface AreaCoatsProps {
  readonly area: Area;
  readonly part: SpecimenPart;
  readonly now: Date;
}

function AreaCoats({ area, part, now }: AreaCoatsProps) {
  const { specimen, isClosed } = useJob();
  const layersOf = (stage: CoatingLayer['stage']) =>
    specimen.layers.filter((layer) => layer.areaId === area.id && layer.stage === stage);
  const planned = layersOf('planned');
  const isBare = STAGES.every(([stage]) => layersOf(stage).length === 0);
  return (
    <div className="border-t border-hairline pt-2">
      <h3>
        {area.name}
        {isBare && <span className="font-normal text-soft-ink"> bare as found, nothing planned</span>}
      </h3>
      {!isBare && (
        <>
          <div className="grid gap-3 sm:grid-cols-3">
            {STAGES.map(([stage, word]) => {
              const layers = layersOf(stage);
              // What was rejected counts for the record, not for what is on it now.
              const on = stage === 'applied' ? layers.filter(isStanding) : layers;
              const stack = computeStack(on);
              return (
                <div key={stage} className="flex gap-2">
                  <Band
                    layers={on}
                    material={part.material}
                    width={44}
                    height={72}
                    label={`${part.name}, ${area.name}, ${word.toLowerCase()}`}
                  />
                  <p className="text-note">
                    <strong className="block">{word}</strong>
                    {on.length ? (
                      <>
                        <span className="figure">
                          {Math.round(stack.totalUm)} ± {Math.round(stack.spreadUm)} µm
                        </span>
                        <span className="block text-soft-ink">{stack.measured ? 'measured' : 'estimated'}</span>
                      </>
                    ) : (
                      <span className="text-soft-ink">nothing</span>
                    )}
                  </p>
                </div>
              );
            })}
          </div>
          <CoatClocks area={area} now={now} />
          <Fold title="Coats in words">
            {STAGES.map(([stage, word]) => {
              const layers = layersOf(stage);
              return (
                stage !== 'planned' &&
                layers.length > 0 && (
                  <div key={stage}>
                    <p className="text-note text-soft-ink">{word}, from the metal outwards</p>
                    <LayerList layers={layers} />
                  </div>
                )
              );
            })}
          </Fold>
        </>
      )}
      <PlannedCoats areaName={area.name} layers={planned} />
      {!isClosed && <PlanCoat area={area} planned={planned} />}
    </div>
  );
}
