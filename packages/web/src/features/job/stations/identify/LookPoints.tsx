import type { Identification, IdentifyCatalogue, NextLook, ViewKind } from '@sardonyx/core';
import { useState } from 'react';
import { ModelDrawing } from '../../../../shared/drawing/ModelDrawing.tsx';
import { EmptyNote } from '../../../../shared/ui/Notice.tsx';
import { useJob } from '../../JobContext.tsx';
import { LookLine } from './LookLine.tsx';

const VIEW_WORDS: Readonly<Record<ViewKind, string>> = { side: 'Side', base: 'Base', end: 'Front' };

interface LookPointsProps {
  readonly catalogue: IdentifyCatalogue;
  readonly identification: Identification;
  readonly looks: readonly NextLook[];
  readonly chosen: string | null;
  readonly onChoose: (featureId: string) => void;
}

/** Numbered points on the drawing, hollow until answered, and the same list under it in the order that settles most. */
export function LookPoints({ catalogue, looks, chosen, onChoose }: LookPointsProps) {
  const { specimen, paint } = useJob();
  const drawing = specimen.casting?.casting.drawing;
  const keyOf = new Map(specimen.casting?.features.map((feature) => [feature.id, feature.key]));
  const answered = new Set(specimen.observations.map((one) => one.featureId));
  const order = [
    ...looks.map((look) => look.featureId),
    ...catalogue.features.filter((feature) => answered.has(feature.id)).map((feature) => feature.id),
  ];
  const numberOf = new Map(order.map((id, i) => [id, i + 1]));
  const homeView = drawing?.views.find((view) =>
    view.anchors.some((anchor) => anchor.featureKey === keyOf.get(chosen ?? '')),
  )?.view;
  const [picked, setPicked] = useState<ViewKind | null>(null);
  const view = drawing?.views.find((candidate) => candidate.view === (picked ?? homeView ?? 'side'));
  const choose = (id: string) => {
    setPicked(null);
    onChoose(id);
  };
  return (
    <>
      {drawing && view ? (
        <div>
          <div role="group" aria-label="Side of the drawing" className="flex gap-2">
            {drawing.views.map((candidate) => (
              <button
                key={candidate.view}
                type="button"
                aria-pressed={candidate.view === view.view}
                className={`quiet-button ${candidate.view === view.view ? 'font-bold text-ink' : ''}`}
                onClick={() => setPicked(candidate.view)}
              >
                {VIEW_WORDS[candidate.view]}
              </button>
            ))}
          </div>
          <ModelDrawing
            view={view}
            paint={paint}
            parts={specimen.parts}
            label={`${specimen.specimen.name}, ${VIEW_WORDS[view.view].toLowerCase()}`}
            className="h-64 w-full border border-hairline bg-paper"
          >
            {view.anchors.map((anchor) => {
              const feature = catalogue.features.find((candidate) => keyOf.get(candidate.id) === anchor.featureKey);
              if (!feature) return null;
              const isChosen = feature.id === chosen;
              return (
                <g key={feature.id} className="cursor-pointer" onClick={() => choose(feature.id)} aria-hidden>
                  <circle
                    cx={anchor.x}
                    cy={anchor.y}
                    r={isChosen ? 3.2 : 2.6}
                    fill={answered.has(feature.id) ? 'var(--ink)' : 'var(--sheet)'}
                    stroke={isChosen ? 'var(--sard)' : 'var(--ink)'}
                    strokeWidth={isChosen ? 0.9 : 0.4}
                  />
                  <text
                    x={anchor.x}
                    y={anchor.y + 1.1}
                    textAnchor="middle"
                    fontSize={3}
                    fontWeight={700}
                    fill={answered.has(feature.id) ? 'var(--sheet)' : 'var(--ink)'}
                  >
                    {numberOf.get(feature.id)}
                  </text>
                </g>
              );
            })}
          </ModelDrawing>
        </div>
      ) : (
        <EmptyNote title="Nobody knows yet what this is.">
          Answer what you can see below; the catalogue narrows down. When one casting leads, say so on the right and its
          drawing and parts appear.
        </EmptyNote>
      )}
      {catalogue.features.length === 0 ? (
        <EmptyNote title="The catalogue has no variants of this casting yet.">
          It can be restored all the same; what it is is written down as not known.
        </EmptyNote>
      ) : (
        <ol aria-label="Things to look at on the model" className="border border-hairline bg-sheet">
          {order.map((id) => {
            const feature = catalogue.features.find((candidate) => candidate.id === id)!;
            return (
              <LookLine
                key={id}
                feature={feature}
                number={numberOf.get(id)!}
                isChosen={id === chosen}
                onChoose={() => choose(id)}
              />
            );
          })}
        </ol>
      )}
    </>
  );
}
