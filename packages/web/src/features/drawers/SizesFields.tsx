import { listTraitOptions, STOCK_KINDS, type StockKind, type StockSizes, type StockTraits } from '@sardonyx/core';
import { readNumber } from '../../shared/form/readNumber.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { SIZE_WORDS } from './sayThing.ts';

/** As they are typed: a size that is not there is empty. */
export type Typed = Readonly<Record<string, string>>;

interface SizesFieldsProps {
  readonly kind: StockKind;
  readonly typed: Typed;
  readonly errors: Readonly<Record<string, string>> | undefined;
  readonly onType: (field: string, value: string) => void;
  /** A field was left, or one of few chosen: with all that is typed then. */
  readonly onSettle?: (typed: Typed) => void;
}

const NOT_SAID = '–';

/** What things of a kind are measured by, and what is said of them. */
export function SizesFields({ kind, typed, errors, onType, onSettle }: SizesFieldsProps) {
  const { sizes, traits } = STOCK_KINDS[kind];
  return (
    <>
      {sizes.map((size) => (
        <Field key={size} label={`${SIZE_WORDS[size]}, mm`} isQuiet width="7rem" error={errors?.[size]}>
          <input
            inputMode="decimal"
            value={typed[size] ?? ''}
            onChange={(event) => onType(size, event.target.value)}
            onBlur={() => onSettle?.(typed)}
          />
        </Field>
      ))}
      {traits.map((trait) => {
        const options = listTraitOptions(kind, trait);
        return (
          <Field
            key={trait}
            label={trait === 'serves' ? 'plans call it' : trait}
            isQuiet
            width={options ? '10rem' : '9rem'}
            error={errors?.[trait]}
          >
            {options ? (
              <Select
                value={typed[trait] || NOT_SAID}
                options={[NOT_SAID, ...options]}
                onChange={(chosen) => {
                  const value = chosen === NOT_SAID ? '' : chosen;
                  onType(trait, value);
                  onSettle?.({ ...typed, [trait]: value });
                }}
              />
            ) : (
              <input
                value={typed[trait] ?? ''}
                onChange={(event) => onType(trait, event.target.value)}
                onBlur={() => onSettle?.(typed)}
              />
            )}
          </Field>
        );
      })}
    </>
  );
}

/** What was typed, as the server takes it; what is no number stays as it is, for the server to say so. */
export function readTyped(kind: StockKind, typed: Typed): { readonly sizes: StockSizes; readonly traits: StockTraits } {
  const facts = STOCK_KINDS[kind];
  const said = (fields: readonly string[], read: (text: string) => unknown) =>
    Object.fromEntries(
      fields.flatMap((field) => (typed[field]?.trim() ? [[field, read(typed[field].trim())] as const] : [])),
    );
  return {
    sizes: said(facts.sizes, readNumber) as StockSizes,
    traits: said(facts.traits, (text) => text) as StockTraits,
  };
}

export const typeSizes = (sizes: StockSizes, traits: StockTraits): Typed =>
  Object.fromEntries(Object.entries({ ...sizes, ...traits }).map(([field, value]) => [field, String(value)]));
