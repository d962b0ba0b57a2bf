import { completeSheet, isDryingSheet, type CoatAct, type DryingSheet, type PaintProduct } from '@sardonyx/core';
import { useState } from 'react';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { readNumber } from '../../shared/form/readNumber.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

/** Minutes as a restorer writes them: "20", "3 h", "2 d". */
const UNITS = { min: 1, h: 60, d: 1440 } as const;

const FIELDS = [
  ['touch', 'Dry to the touch after'],
  ['handle', 'Taken in hand after'],
  ['mask', 'Bears tape after'],
  ['unmask', 'Tape comes off before'],
  ['wet', 'Another coat, first window: from – to'],
  ['recoat', 'Another coat, dry through: from – to'],
  ['decal', 'Decals after'],
  ['bake', 'Low bake after'],
  ['wear', 'Cured through after'],
] as const;
type FieldName = (typeof FIELDS)[number][0];

/** When its coats bear what, as its own sheet says; left alone, as its binder usually dries. */
export function DryingSheetForm({ product }: { readonly product: PaintProduct }) {
  const dispatch = useAppDispatch();
  const [texts, setTexts] = useState(() => writeSheet(product.drying ?? completeSheet(product)));
  const [problem, setProblem] = useState('');
  const save = async (drying: DryingSheet | null) => {
    const refused = await dispatch(
      changeRow({ kind: 'paint-products', row: product, changes: { drying }, label: `${product.name}: its sheet` }),
    ).unwrap();
    setProblem(refused?.message ?? '');
  };
  const read = () => {
    const sheet = readSheet(texts);
    const unread = FIELDS.filter(([name]) => !isReadable(name, texts[name])).map(([, label]) => `“${label}”`);
    if (unread.length > 0) return setProblem(`${unread.join(', ')}: a time is wanted, as 20 min, 3 h, 2 d.`);
    if (!isDryingSheet(sheet)) return setProblem('A window ends after it begins, and before the next one begins.');
    void save(sheet);
  };
  return (
    <form
      aria-label={`Drying of ${product.name}`}
      className="grid gap-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        read();
      }}
    >
      <p className="text-note text-soft-ink sm:col-span-2">
        {product.drying
          ? 'By its own sheet, at 20 °C.'
          : `As ${product.binder} usually dries, at 20 °C (planning estimate).`}{' '}
        Where a coat lifts in between it has two windows; leave the first one empty where it has one.
      </p>
      {FIELDS.map(([name, label]) => (
        <label key={name}>
          <span className="block text-note">{label}</span>
          <input
            value={texts[name]}
            onChange={(event) => setTexts((before) => ({ ...before, [name]: event.target.value }))}
          />
        </label>
      ))}
      <div className="flex flex-wrap gap-3 sm:col-span-2">
        <button type="submit" className="plain-button">
          Save its sheet
        </button>
        {product.drying && (
          <button
            type="button"
            className="quiet-button"
            onClick={() => {
              setTexts(writeSheet(completeSheet(product)));
              void save(null);
            }}
          >
            As its binder usually dries
          </button>
        )}
      </div>
      {problem && (
        <div className="sm:col-span-2">
          <ErrorNote error={{ kind: 'bad input', message: problem }} />
        </div>
      )}
    </form>
  );
}

function writeMinutes(minutes: number): string {
  if (minutes >= 1440 && minutes % 720 === 0) return `${minutes / 1440} d`;
  return minutes >= 60 && minutes % 30 === 0 ? `${minutes / 60} h` : `${minutes} min`;
}

function readMinutes(text: string): number {
  const found = /^\s*(\d+(?:[.,]\d+)?)\s*(min|h|d)?\s*$/.exec(text);
  if (!found) return Number.NaN;
  return readNumber(found[1]!) * UNITS[(found[2] ?? 'min') as keyof typeof UNITS];
}

/** These may be left empty: one window only, tape for as long as it likes. */
const isReadable = (name: FieldName, text: string) =>
  text.trim() === ''
    ? name === 'wet' || name === 'unmask'
    : text.split(/[–-]/).every((piece, i) => (i > 0 && piece.trim() === '') || !Number.isNaN(readMinutes(piece)));

function writeSheet({ spans }: DryingSheet): Record<FieldName, string> {
  const from = (act: CoatAct) => writeMinutes(spans[act][0]!.fromMin);
  const window = (i: number) => {
    const span = spans.recoat.at(i);
    if (!span) return '';
    return `${writeMinutes(span.fromMin)}${span.toMin === null ? '' : ` – ${writeMinutes(span.toMin)}`}`;
  };
  const unmask = spans.unmask[0]!.toMin;
  return {
    ...{ touch: from('touch'), handle: from('handle'), mask: from('mask'), decal: from('decal') },
    ...{ bake: from('bake'), wear: from('wear'), unmask: unmask === null ? '' : writeMinutes(unmask) },
    wet: spans.recoat.length > 1 ? window(0) : '',
    recoat: window(-1),
  };
}

function readSheet(texts: Record<FieldName, string>): unknown {
  const from = (name: FieldName) => [{ fromMin: readMinutes(texts[name]), toMin: null }];
  const window = (text: string) => {
    const [begin = '', end] = text.split(/[–-]/);
    return { fromMin: readMinutes(begin), toMin: end === undefined || end.trim() === '' ? null : readMinutes(end) };
  };
  return {
    refC: 20,
    spans: {
      ...{ touch: from('touch'), handle: from('handle'), mask: from('mask') },
      unmask: [{ fromMin: 0, toMin: texts.unmask.trim() === '' ? null : readMinutes(texts.unmask) }],
      recoat: [...(texts.wet.trim() === '' ? [] : [window(texts.wet)]), window(texts.recoat)],
      ...{ decal: from('decal'), bake: from('bake'), wear: from('wear') },
    },
  };
}
