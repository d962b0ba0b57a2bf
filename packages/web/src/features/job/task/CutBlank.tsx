import { BLANK_SHAPES, cutBlank, type BlankMeasure, type BlankShape } from '@sardonyx/core';
import { useState } from 'react';
import { readNumber } from '../../../shared/form/readNumber.ts';
import { Field } from '../../../shared/ui/Field.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { Select } from '../../../shared/ui/Select.tsx';

const SHAPES = Object.keys(BLANK_SHAPES) as BlankShape[];
const SHAPE_WORDS: Readonly<Record<BlankShape, string>> = {
  bent: 'wire, strip or tube, bent once',
  'bent twice': 'the same, bent twice alike',
  tab: 'a tab, bent over square',
  'rail or pillar': 'a rail or pillar along an arc',
  ball: 'a ball, formed out of wire',
  horn: 'a horn, formed out of wire',
};

/** What to cut for a piece that is made here: by its shape, with the bends' allowance. */
export function CutBlank() {
  const [shape, setShape] = useState<BlankShape>('bent');
  const [typed, setTyped] = useState<Readonly<Partial<Record<BlankMeasure, string>>>>({});
  const asked: readonly BlankMeasure[] = BLANK_SHAPES[shape];
  const blank = cutBlank(shape, Object.fromEntries(asked.map((what) => [what, readNumber(typed[what] ?? '')])));
  return (
    <Fold title="What to cut for it">
      <section aria-label="What to cut" className="space-y-3 pt-2">
        <Field label="It is" isQuiet width="18rem">
          <Select
            value={shape}
            options={SHAPES.map((value) => ({ value, label: SHAPE_WORDS[value] }))}
            onChange={setShape}
          />
        </Field>
        <div className="flex flex-wrap items-start gap-3">
          {asked.map((what) => (
            <Field key={what} label={`${what}, ${what === 'angle' ? 'degrees' : 'mm'}`} isQuiet width="9rem">
              <input
                inputMode="decimal"
                value={typed[what] ?? ''}
                onChange={(event) => setTyped({ ...typed, [what]: event.target.value })}
              />
            </Field>
          ))}
        </div>
        <p role="status">
          {blank ? (
            <>
              Cut{' '}
              <strong className="figure">
                {blank.mm.toFixed(2)} ± {(2 * blank.sd).toFixed(2)} mm
              </strong>
              ; a little more, and file it to fit.
            </>
          ) : (
            'All of its measures, and it says what to cut.'
          )}
        </p>
        <p className="text-note text-soft-ink">
          Straights run from where one bend ends to where the next begins. Where a bend keeps its length is a planning
          estimate.
        </p>
      </section>
    </Fold>
  );
}
