import {
  changePart,
  joinParts,
  MATERIALS,
  removePart,
  ROLE_OF_SHAPE,
  splitPart,
  type BuildDraft,
  type PartSizes,
} from '@sardonyx/core';
import { useState } from 'react';
import { lowerFirst } from '../../../shared/format.ts';
import { Field } from '../../../shared/ui/Field.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { Menu } from '../../../shared/ui/Menu.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { SHAPE_OPTIONS, SIZE_WORDS, sizesOf } from './buildWords.ts';

interface PartInHandProps {
  readonly part: BuildDraft['parts'][number];
  readonly draft: BuildDraft;
  readonly onChange: (next: BuildDraft) => void;
  readonly onCount: (count: number) => void;
  readonly onTake: (key: string) => void;
}

const MOST = 60;
/** Names that halves usually have; they can be called otherwise afterwards. */
const SPLITS = [
  ['Front', 'Rear'],
  ['Left', 'Right'],
  ['Upper', 'Lower'],
  ['Inner', 'Outer'],
] as const;

/** The part that was pointed at: what it is called, made of and looks like, and what else can be done with it. */
export function PartInHand({ part, draft, onChange, onCount, onTake }: PartInHandProps) {
  const [name, setName] = useState(part.name);
  const set = (changes: Parameters<typeof changePart>[2]) => onChange(changePart(draft, part.key, changes));
  const lost = draft.joints.filter(({ partKeys }) => partKeys.includes(part.key) && partKeys.length === 2);
  return (
    <section aria-label={`Part in hand: ${part.name}`} className="space-y-3 border-2 border-ink bg-sheet p-4">
      <h2>{part.name}</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="Name" error={name.trim() === '' ? 'Name the part.' : undefined}>
          <input
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.target.value)}
            onBlur={() => name.trim() !== '' && name !== part.name && set({ name: name.trim() })}
          />
        </Field>
        <Field label="Looks like">
          <Select
            value={part.shape}
            options={SHAPE_OPTIONS}
            onChange={(shape) => set({ shape, role: ROLE_OF_SHAPE[shape] })}
          />
        </Field>
        <Field label="Made of">
          <Select value={part.material} options={MATERIALS} onChange={(material) => set({ material })} />
        </Field>
        <Field label="How many">
          <input
            inputMode="numeric"
            value={part.count}
            onChange={(event) => {
              const count = Number(event.target.value);
              if (Number.isInteger(count) && count >= 1 && count <= MOST) onCount(count);
            }}
          />
        </Field>
      </div>
      <Fold title="Sizes, where they were measured">
        <Sizes part={part} onChange={(sizes) => set({ sizes })} />
      </Fold>
      <div className="flex flex-wrap gap-3">
        <Menu
          acts={SPLITS.map(([one, other]) => ({
            word: `${one} and ${other.toLowerCase()}`,
            onAct: () =>
              onChange(
                splitPart(draft, part.key, [`${one} ${lowerFirst(part.name)}`, `${other} ${lowerFirst(part.name)}`]),
              ),
          }))}
        >
          <button type="button" className="plain-button">
            Split it into ...
          </button>
        </Menu>
        {draft.parts.length > 1 && (
          <Menu
            acts={draft.parts
              .filter(({ key }) => key !== part.key)
              .map((other) => ({
                word: `one piece with the ${lowerFirst(other.name)}`,
                onAct: () => onChange(joinParts(draft, part.key, other.key)),
              }))}
          >
            <button type="button" className="plain-button">
              It is one piece with ...
            </button>
          </Menu>
        )}
        <button
          type="button"
          className="quiet-button"
          disabled={draft.parts.length === 1}
          onClick={() => {
            const next = removePart(draft, part.key);
            onChange(next);
            onTake(next.parts[0]!.key);
          }}
        >
          Remove the {lowerFirst(part.name)}
        </button>
      </div>
      {lost.length > 0 && (
        <p className="text-note text-soft-ink">
          Removing it takes the joint with it: {lost.map(({ label }) => label).join(', ')}.
        </p>
      )}
    </section>
  );
}

function Sizes({ part, onChange }: Pick<PartInHandProps, 'part'> & { readonly onChange: (sizes: PartSizes) => void }) {
  return (
    <div className="grid gap-3 py-2 sm:grid-cols-3">
      {sizesOf(part.shape).map((size) => (
        <Field key={size} label={`${SIZE_WORDS[size]}, mm`} isQuiet>
          <input
            inputMode="decimal"
            defaultValue={part.sizes[size] ?? ''}
            onBlur={(event) => {
              const mm = Number(event.target.value.replace(',', '.'));
              const others = Object.entries(part.sizes).filter(([name]) => name !== size);
              const next: PartSizes = Object.fromEntries(mm >= 0.05 && mm <= 600 ? [...others, [size, mm]] : others);
              if (next[size] !== part.sizes[size]) onChange(next);
            }}
          />
        </Field>
      ))}
    </div>
  );
}
