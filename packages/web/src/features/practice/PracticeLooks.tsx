import type { CastingView } from '@sardonyx/contract';
import type { IdentifyCatalogue, PracticeRound } from '@sardonyx/core';
import { Sign } from '../../shared/ui/Sign.tsx';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { Dab } from '../../shared/ui/Dab.tsx';

interface PracticeLooksProps {
  readonly view: CastingView;
  readonly catalogue: IdentifyCatalogue;
  readonly round: PracticeRound;
  readonly lookedAt: readonly string[];
  readonly isOver: boolean;
  readonly onLook: (featureId: string) => void;
}

/** The specimen under a cloth: every place can be looked at, for its effort. */
export function PracticeLooks({ view, catalogue, round, lookedAt, isOver, onLook }: PracticeLooksProps) {
  const keyOf = new Map(view.features.map((feature) => [feature.id, feature.key]));
  const hexOf = new Map(view.states.map((state) => [state.id, state.colourHex]));
  const numberOf = new Map(catalogue.features.map((feature, i) => [keyOf.get(feature.id), i + 1]));
  const parts = view.parts.map((part) => ({ key: part.key, material: part.material, state: 'sound' as const }));
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-[3fr_2fr] gap-3">
        {view.casting.drawing.views.slice(0, 2).map((side) => (
          <ModelDrawing
            key={side.view}
            view={side}
            paint={{}}
            parts={parts}
            label={`${view.casting.name}, ${side.view}`}
            className="h-44 w-full border border-hairline bg-paper"
          >
            {side.anchors.map((anchor) =>
              numberOf.has(anchor.featureKey) ? (
                <g key={anchor.featureKey} aria-hidden>
                  <circle
                    cx={anchor.x}
                    cy={anchor.y}
                    r={2.6}
                    fill="var(--sheet)"
                    stroke="var(--ink)"
                    strokeWidth={0.4}
                  />
                  <text
                    x={anchor.x}
                    y={anchor.y + 1.1}
                    textAnchor="middle"
                    fontSize={3}
                    fontWeight={700}
                    fill="var(--ink)"
                  >
                    {numberOf.get(anchor.featureKey)}
                  </text>
                </g>
              ) : null,
            )}
          </ModelDrawing>
        ))}
      </div>
      <ol aria-label="What can be looked at" className="border border-hairline bg-sheet">
        {catalogue.features.map((feature, i) => {
          const isSeen = lookedAt.includes(feature.id);
          const stateId = round.readings.get(feature.id)!.stateId;
          const state = feature.states.find((candidate) => candidate.id === stateId);
          return (
            <li
              key={feature.id}
              className="flex min-h-12 items-center gap-3 border-b border-hairline px-3 last:border-b-0"
            >
              <span
                className={`figure inline-grid size-7 shrink-0 place-items-center border border-ink ${isSeen ? 'bg-ink text-sheet' : ''}`}
              >
                {i + 1}
              </span>
              <span className="min-w-0 grow">
                {feature.label}
                {feature.destroys && (
                  <span className="block text-note">
                    <Sign of="warning" />
                    destroys {feature.destroys}
                  </span>
                )}
              </span>
              {isSeen ? (
                <span className="flex items-center gap-2 font-semibold">
                  {hexOf.get(stateId ?? '') && <Dab colour={hexOf.get(stateId!)!} />}
                  {state?.label}
                </span>
              ) : (
                <button type="button" className="plain-button" disabled={isOver} onClick={() => onLook(feature.id)}>
                  Look, effort {feature.effort}
                  <span className="sr-only">: {feature.label}</span>
                </button>
              )}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
