import type { DrawnElement } from '@sardonyx/core';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { ColourField } from '../../../shared/ui/ColourField.tsx';
import { Dab } from '../../../shared/ui/Dab.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { Toggles } from '../../../shared/ui/Toggles.tsx';
import { NumberField } from './NumberField.tsx';

/** A colour that was captured on the model. */
export interface CapturedInk {
  readonly id: string;
  readonly name: string;
  readonly hex: string;
}

interface ElementInHandProps {
  readonly element: DrawnElement;
  readonly captured: readonly CapturedInk[];
  readonly isBend: boolean;
  readonly onBend: (isBend: boolean) => void;
  readonly onChange: (element: DrawnElement) => void;
  readonly onRemove: () => void;
}

/** What it is printed in, how thick or how high, and its points. */
export function ElementInHand({ element, captured, isBend, onBend, onChange, onRemove }: ElementInHandProps) {
  return (
    <section aria-label="In hand" className="space-y-3 border-2 border-ink bg-sheet p-3">
      {element.kind === 'text' ? (
        <TextFields element={element} onChange={onChange} />
      ) : (
        <>
          <Toggles
            aria-label="The next press sets"
            value={isBend}
            options={[
              { value: false, label: 'a corner' },
              { value: true, label: 'a bend' },
            ]}
            onChange={onBend}
          />
          <p className="text-note text-soft-ink">
            A bend between two corners: the line is the arc through all three. {sayPoints(element.points.length)}
          </p>
          {element.kind === 'line' && (
            <NumberField
              label="Thick, mm"
              value={element.strokeMm}
              onChange={(strokeMm) => onChange({ ...element, strokeMm })}
            />
          )}
          {element.points.length > 0 && (
            <button
              type="button"
              className="quiet-button"
              onClick={() => onChange({ ...element, points: element.points.slice(0, -1) })}
            >
              Take the last point back
            </button>
          )}
        </>
      )}
      <Field label="Ink">
        <ColourField value={element.ink} onChange={(ink) => onChange({ ...element, ink })} />
      </Field>
      {captured.length > 0 && (
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-note">Captured:</span>
          {captured.map(({ id, name, hex }) => (
            <button
              key={id}
              type="button"
              className="plain-button inline-flex items-center gap-2"
              onClick={() => onChange({ ...element, ink: hex })}
            >
              <Dab colour={hex} size="size-5" /> {name}
            </button>
          ))}
        </div>
      )}
      <button type="button" className="quiet-button" onClick={onRemove}>
        Take it off
      </button>
    </section>
  );
}

const sayPoints = (count: number) => (count === 0 ? 'Press the first corner.' : `${count} set.`);

function TextFields({
  element,
  onChange,
}: {
  readonly element: Extract<DrawnElement, { kind: 'text' }>;
  readonly onChange: (element: DrawnElement) => void;
}) {
  return (
    <>
      <Field label="Text">
        <input
          value={element.text}
          maxLength={200}
          onChange={(event) => onChange({ ...element, text: event.target.value })}
        />
      </Field>
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label="Capitals high, mm"
          value={element.heightMm}
          onChange={(heightMm) => onChange({ ...element, heightMm })}
        />
        <NumberField
          label="Wide, mm"
          value={element.widthMm}
          isOptional
          onChange={(widthMm) => onChange({ ...element, widthMm: widthMm || null })}
        />
        <Checkbox checked={element.isBold} onChange={(isBold) => onChange({ ...element, isBold })}>
          bold
        </Checkbox>
      </div>
      <p className="text-note text-soft-ink">
        Press where its first letter stands. Without a width it is as the font is.
      </p>
    </>
  );
}
