import {
  BENDS,
  LEAST_NODES,
  TRACE_LINES,
  TRACED_SURFACES,
  type Bend,
  type CastingPart,
  type TracedShape,
  type TraceNode,
  type ViewKind,
} from '@sardonyx/core';
import { useState } from 'react';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { Toggles } from '../../../shared/ui/Toggles.tsx';
import { BEND_WORDS, SURFACE_WORDS } from './traceWords.ts';

interface ShapeInHandProps {
  readonly shape: TracedShape;
  readonly parts: readonly CastingPart[];
  readonly view: ViewKind;
  readonly bend: Bend;
  readonly onBend: (bend: Bend) => void;
  readonly onChange: (changes: Partial<TracedShape>) => void;
  /** null without a photograph under it. */
  readonly onSnap: (() => void) | null;
  readonly onRemove: () => void;
}

/** Whose line it is, what it shows, how it runs; and each of its points. */
export function ShapeInHand({ shape, parts, view, bend, onBend, onChange, onSnap, onRemove }: ShapeInHandProps) {
  const isCircle = shape.line === 'circle';
  const enough = isCircle || !shape.isMirrored ? LEAST_NODES : 2;
  return (
    <section aria-label="Line in hand" className="space-y-3 border-2 border-ink bg-sheet p-3">
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Part" isQuiet width="12rem">
          <Select
            value={shape.partKey}
            options={parts.map(({ key, name }) => ({ value: key, label: name }))}
            onChange={(partKey) => onChange({ partKey })}
          />
        </Field>
        <Field label="It is" isQuiet width="11rem">
          <Select
            value={shape.surface}
            options={TRACED_SURFACES.map((value) => ({ value, label: SURFACE_WORDS[value] }))}
            onChange={(surface) => onChange({ surface })}
          />
        </Field>
      </div>
      {shape.surface === 'coat' && (
        <Field label="Area with a colour of its own, if it is one: grille, roof" isQuiet width="20rem">
          <input value={shape.area} maxLength={40} onChange={(event) => onChange({ area: event.target.value })} />
        </Field>
      )}
      <Toggles
        aria-label="Line"
        value={shape.line}
        options={TRACE_LINES.map((value) => ({
          value,
          label: value === 'circle' ? 'circle by three points' : 'outline',
        }))}
        onChange={(line) => onChange({ line })}
      />
      {!isCircle && (
        <>
          <div>
            <span className="block text-note">The next point is a</span>
            <Toggles
              aria-label="The next point is a"
              value={bend}
              options={BENDS.map((value) => ({ value, label: BEND_WORDS[value] }))}
              onChange={onBend}
            />
          </div>
          {view !== 'side' && (
            <Checkbox checked={shape.isMirrored} onChange={(isMirrored) => onChange({ isMirrored })}>
              Both halves alike: trace one, the other is mirrored over the middle
            </Checkbox>
          )}
        </>
      )}
      <p role="status">
        {shape.nodes.length < enough
          ? `Press along its edge: ${shape.nodes.length} of at least ${enough} points.`
          : `${shape.nodes.length} points. Drag them, or move the one in hand by 0.1 mm with the arrow keys.`}
      </p>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="main-button"
          disabled={!onSnap || shape.nodes.length < enough}
          onClick={onSnap ?? undefined}
        >
          Lay it on the edge
        </button>
        <button type="button" className="quiet-button" onClick={onRemove}>
          Remove this line
        </button>
      </div>
      {!isCircle && shape.nodes.length > 0 && (
        <OnePoint nodes={shape.nodes} onChange={(nodes) => onChange({ nodes })} />
      )}
    </section>
  );
}

interface OnePointProps {
  readonly nodes: readonly TraceNode[];
  readonly onChange: (nodes: readonly TraceNode[]) => void;
}

function OnePoint({ nodes, onChange }: OnePointProps) {
  const [chosen, setChosen] = useState(0);
  const at = Math.min(chosen, nodes.length - 1);
  return (
    <div className="flex flex-wrap items-end gap-3 border-t border-hairline pt-2">
      <Field label="Point" isQuiet width="6rem">
        <Select value={at} options={nodes.map((_, i) => ({ value: i, label: String(i + 1) }))} onChange={setChosen} />
      </Field>
      <Toggles
        aria-label={`Point ${at + 1} is a`}
        value={nodes[at]!.bend}
        options={BENDS.map((value) => ({ value, label: BEND_WORDS[value] }))}
        onChange={(bend) => onChange(nodes.map((node, i) => (i === at ? { ...node, bend } : node)))}
      />
      <button type="button" className="quiet-button" onClick={() => onChange(nodes.filter((_, i) => i !== at))}>
        Take point {at + 1} out
      </button>
    </div>
  );
}
