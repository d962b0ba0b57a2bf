import {
  formatPercent,
  type MeasuredState,
  type Identification,
  type IdentifyCatalogue,
  type IdentifyFeature,
  type NextLook,
  type ViewKind,
} from '@sardonyx/core';
import { useRef, useState, type KeyboardEvent } from 'react';
import { ModelDrawing } from '../../../../shared/drawing/ModelDrawing.tsx';
import { Toggles } from '../../../../shared/ui/Toggles.tsx';
import { EmptyNote } from '../../../../shared/ui/Notice.tsx';
import { areSingleKeysOn, isField } from '../../../../shared/ui/singleKeys.ts';
import { useJob } from '../../JobContext.tsx';
import { LookInHand } from './LookInHand.tsx';
import { describeEffort } from './describeEffort.ts';
import { CERTAINTY_KEYS, useAnswer } from './useAnswer.ts';

const VIEW_WORDS: Readonly<Record<ViewKind, string>> = { side: 'Side', base: 'Base', end: 'Front' };

interface LookPointsProps {
  readonly catalogue: IdentifyCatalogue;
  /** Not taken yet, best first. */
  readonly looks: readonly NextLook[];
  readonly measured: Identification['measured'];
  /** null: whatever tells most next. */
  readonly chosen: string | null;
  readonly onChoose: (featureId: string | null) => void;
}

/**
 * Things to look at on the model: numbered points on the drawing, hollow until answered, and the same list under it in the
 * order that settles the question fastest. One selection for both; the whole run works by keyboard.
 */
export function LookPoints({ catalogue, looks, measured, chosen, onChoose }: LookPointsProps) {
  const { specimen, isClosed } = useJob();
  const answer = useAnswer();
  const list = useRef<HTMLOListElement>(null);
  const answered = new Set(specimen.observations.map((one) => one.featureId));
  const featureById = new Map(catalogue.features.map((feature) => [feature.id, feature]));
  const open = looks.filter((look) => featureById.has(look.featureId) && !answered.has(look.featureId));
  const order = [...open.map((look) => look.featureId), ...[...answered].filter((id) => featureById.has(id))];
  const inHand = featureById.get(chosen ?? order[0] ?? '') ?? null;

  const move = (id: string | null) => {
    onChoose(id);
    requestAnimationFrame(() => list.current?.querySelector<HTMLElement>('[aria-current="true"]')?.focus());
  };
  const onKey = (event: KeyboardEvent) => {
    if (!inHand || isField(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
    const at = order.indexOf(inHand.id);
    if (event.key === 'ArrowDown') move(order[Math.min(order.length - 1, at + 1)]!);
    else if (event.key === 'ArrowUp') move(order[Math.max(0, at - 1)]!);
    else if (!areSingleKeysOn() || isClosed) return;
    else if (event.key === 'n') move(null);
    else if (/^\d$/.test(event.key)) {
      const state = inHand.states[(Number(event.key) + 9) % 10];
      if (state) answer(inHand, { stateId: state.id });
      onChoose(inHand.id);
    } else if (CERTAINTY_KEYS[event.key]) {
      answer(inHand, { certainty: CERTAINTY_KEYS[event.key]! });
      onChoose(inHand.id);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };

  if (catalogue.features.length === 0)
    return (
      <>
        <Drawing catalogue={catalogue} order={[]} answered={answered} inHand={null} onChoose={onChoose} />
        <EmptyNote title="The catalogue has no issues of this casting yet.">
          It can be restored all the same; what it is is written down as not known.
        </EmptyNote>
      </>
    );
  return (
    <div className="space-y-3" onKeyDown={onKey}>
      <Drawing catalogue={catalogue} order={order} answered={answered} inHand={inHand} onChoose={onChoose} />
      {inHand && (
        <LookInHand
          feature={inHand}
          measured={measured[inHand.id]}
          onNext={() => move(null)}
          hasNext={open.some((look) => look.featureId !== inHand.id)}
        />
      )}
      <ol ref={list} aria-label="Things to look at on the model" className="border border-hairline bg-sheet">
        {order.map((id, i) => (
          <LookRow
            key={id}
            feature={featureById.get(id)!}
            number={i + 1}
            isInHand={id === inHand?.id}
            measured={measured[id]?.[0]}
            onChoose={onChoose}
          />
        ))}
      </ol>
    </div>
  );
}

interface LookRowProps {
  readonly feature: IdentifyFeature;
  readonly number: number;
  readonly isInHand: boolean;
  /** The likeliest state by what was measured. */
  readonly measured: MeasuredState | undefined;
  readonly onChoose: (featureId: string) => void;
}

function LookRow({ feature, number, isInHand, measured, onChoose }: LookRowProps) {
  const { specimen } = useJob();
  const answer = specimen.observations.find((one) => one.featureId === feature.id);
  const labelOf = (id: string | null | undefined) => feature.states.find((state) => state.id === id)?.label;
  const byEye = [labelOf(answer?.stateId), answer?.certainty].filter(Boolean).join(', ');
  const byMeasuring = measured && `${labelOf(measured.stateId)}, measured, ${formatPercent(measured.share)}`;
  return (
    <li
      className={`border-b border-hairline border-l-4 last:border-b-0 ${isInHand ? 'border-l-sard' : 'border-l-transparent'}`}
    >
      <button
        type="button"
        aria-current={isInHand}
        className="flex min-h-11 w-full items-center gap-3 px-3 text-left"
        onClick={() => onChoose(feature.id)}
      >
        <span
          className={`figure inline-grid size-7 shrink-0 place-items-center border border-ink ${answer ? 'bg-ink text-sheet' : ''}`}
        >
          {number}
        </span>
        <span className={isInHand ? 'font-semibold' : ''}>{feature.label}</span>
        <span className="ml-auto text-right text-soft-ink">
          {answer ? (byMeasuring ?? byEye) : describeEffort(feature)}
        </span>
      </button>
    </li>
  );
}

interface DrawingProps {
  readonly catalogue: IdentifyCatalogue;
  readonly order: readonly string[];
  readonly answered: ReadonlySet<string>;
  readonly inHand: IdentifyFeature | null;
  readonly onChoose: (featureId: string) => void;
}

function Drawing({ catalogue, order, answered, inHand, onChoose }: DrawingProps) {
  const { specimen, paint } = useJob();
  const drawing = specimen.casting?.casting.drawing;
  const keyOf = new Map(specimen.casting?.features.map((feature) => [feature.id, feature.key]));
  const home = drawing?.views.find((view) =>
    view.anchors.some((anchor) => anchor.featureKey === keyOf.get(inHand?.id ?? '')),
  )?.view;
  const [picked, setPicked] = useState<{ readonly view: ViewKind; readonly for: string | undefined } | null>(null);
  const shown = picked && picked.for === inHand?.id ? picked.view : home;
  const view = drawing?.views.find((candidate) => candidate.view === (shown ?? 'side')) ?? drawing?.views[0];
  if (!drawing || !view)
    return (
      <EmptyNote title="Nobody knows yet what this is.">
        Answer what you can see, and measure it on the right; the catalogue narrows down. When one casting leads, say so
        and its drawing and parts appear.
      </EmptyNote>
    );
  return (
    <div>
      <Toggles
        aria-label="Side of the drawing"
        value={view.view}
        options={drawing.views.map((candidate) => ({ value: candidate.view, label: VIEW_WORDS[candidate.view] }))}
        onChange={(kind) => setPicked({ view: kind, for: inHand?.id })}
      />
      <ModelDrawing
        view={view}
        paint={paint}
        parts={specimen.parts}
        label={`${specimen.specimen.name}, ${VIEW_WORDS[view.view].toLowerCase()}`}
        className="h-44 w-full border border-hairline bg-paper"
      >
        {view.anchors.map((anchor) => {
          const feature = catalogue.features.find((candidate) => keyOf.get(candidate.id) === anchor.featureKey);
          if (!feature) return null;
          const isInHand = feature.id === inHand?.id;
          return (
            <g key={feature.id} className="cursor-pointer" onClick={() => onChoose(feature.id)} aria-hidden>
              <circle
                cx={anchor.x}
                cy={anchor.y}
                r={isInHand ? 3.2 : 2.6}
                fill={answered.has(feature.id) ? 'var(--ink)' : 'var(--sheet)'}
                stroke={isInHand ? 'var(--sard)' : 'var(--ink)'}
                strokeWidth={isInHand ? 0.9 : 0.4}
              />
              <text
                x={anchor.x}
                y={anchor.y + 1.1}
                textAnchor="middle"
                fontSize={3}
                fontWeight={700}
                fill={answered.has(feature.id) ? 'var(--sheet)' : 'var(--ink)'}
              >
                {order.indexOf(feature.id) + 1}
              </text>
            </g>
          );
        })}
      </ModelDrawing>
    </div>
  );
}
