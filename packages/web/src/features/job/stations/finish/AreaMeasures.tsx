import {
  computeBoxArea,
  computeTypedArea,
  computeWeighedArea,
  densityOf,
  listAreasOf,
  takeOneFace,
  nameOfArea,
  type Area,
  type AreaSize,
  type SpecimenPart,
} from '@sardonyx/core';
import { useState } from 'react';
import { Autosaved } from '../../../../shared/form/Autosaved.tsx';
import { changeRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { readNumber } from '../../../../shared/form/readNumber.ts';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { Toggles } from '../../../../shared/ui/Toggles.tsx';
import { MeshFile } from './MeshFile.tsx';
import { SizeFromElsewhere } from './SizeFromElsewhere.tsx';

const WAYS = { weighed: 'weighed', box: 'by its box', mesh: 'by a mesh', typed: 'I know it' } as const;
type Way = keyof typeof WAYS;

const FIELDS: Readonly<Record<Way, readonly string[]>> = {
  weighed: ['Bare, grams', 'Walls, mm, with spaces between'],
  box: ['Length, mm', 'Width, mm', 'Height, mm'],
  mesh: [],
  typed: ['cm²'],
};

/** What was measured on an area: its finest relief, and how large it is. */
export function AreaMeasures({ area, part }: { readonly area: Area; readonly part: SpecimenPart }) {
  const dispatch = useAppDispatch();
  // A field or an underside has no weight of its own.
  const isWhole = area.kind === 'outside' || area.kind === 'inside';
  const isShell = listAreasOf(part.role, part.material).includes('inside');
  const ways = isWhole ? (Object.keys(WAYS) as Way[]) : (['typed'] as const);
  const [way, setWay] = useState<Way>(ways[0]!);
  const [texts, setTexts] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState('');
  const keep = async (size: AreaSize | null) => {
    const refused = await dispatch(
      changeRow({
        kind: 'areas',
        row: area,
        changes: { size },
        label: size ? `${area.name}: ${Math.round(size.value)} cm²` : `${area.name}: by the drawing`,
      }),
    ).unwrap();
    setProblem(refused?.message ?? '');
  };
  const work = () => {
    const numbers = (texts[0] ?? '').trim() === '' ? [] : texts.map((text) => readNumbers(text));
    const size = computeSize(way, numbers, part);
    if (typeof size === 'string') return setProblem(size);
    setProblem('');
    void keep(way === 'typed' || !isShell ? size : takeOneFace(size));
  };
  return (
    <Fold title="Measured on it">
      <div className="grid gap-4 py-2 sm:grid-cols-[2fr_3fr]">
        <Autosaved kind="areas" row={area} field="reliefUm" type="number" label="Finest relief that must be seen, µm" />
        <div className="space-y-2">
          <Toggles
            aria-label="How large it is"
            value={way}
            options={ways.map((one) => ({ value: one, label: WAYS[one] }))}
            onChange={(next) => {
              setWay(next);
              setTexts([]);
              setProblem('');
            }}
          />
          <div className="flex flex-wrap items-end gap-2">
            {FIELDS[way].map((label, i) => (
              <label key={label}>
                <span className="block text-note">{label}</span>
                <input
                  inputMode="decimal"
                  style={{ width: '8rem' }}
                  value={texts[i] ?? ''}
                  onChange={(event) => {
                    const next = FIELDS[way].map((_, at) => (at === i ? event.target.value : (texts[at] ?? '')));
                    setTexts(next);
                  }}
                />
              </label>
            ))}
            {way === 'mesh' ? (
              <MeshFile onRead={(size) => void keep(isShell ? takeOneFace(size) : size)} onProblem={setProblem} />
            ) : (
              <button type="button" className="plain-button" onClick={work}>
                Reckon with it
              </button>
            )}
          </div>
          <SizeFromElsewhere area={area} onTake={(size) => void keep(size)} />
          {area.size && (
            <button type="button" className="quiet-button" onClick={() => void keep(null)}>
              By the drawing again
            </button>
          )}
          {problem && (
            <p role="alert" className="border-l-4 border-sard pl-3">
              {problem}
            </p>
          )}
        </div>
      </div>
      {!listAreasOf(part.role, part.material).includes(area.kind) && (
        <button
          type="button"
          className="quiet-button"
          onClick={() =>
            void dispatch(
              deleteRow({ kind: 'areas', row: area, label: `${part.name}: ${nameOfArea(area)} taken away` }),
            )
          }
        >
          Take this area away
        </button>
      )}
    </Fold>
  );
}

const readNumbers = (text: string): number[] => text.trim().split(/\s+/).map(readNumber);

/** The size, or what is missing for it. */
function computeSize(way: Way, numbers: readonly (readonly number[])[], part: SpecimenPart): AreaSize | string {
  const [first = [], second = [], third = []] = numbers;
  if (![...first, ...second, ...third].every((one) => one > 0) || first.length !== 1)
    return 'Numbers above 0 are wanted.';
  if (way === 'typed') return computeTypedArea(first[0]!);
  if (way === 'box') {
    if (second.length !== 1 || third.length !== 1) return 'Length, width and height are wanted.';
    return computeBoxArea({ lengthMm: first[0]!, widthMm: second[0]!, heightMm: third[0]! }, 'shell');
  }
  const density = densityOf(part.material);
  if (density === null) return `Nobody can weigh an area of ${part.material}: measure its box.`;
  if (second.length === 0) return 'At least one reading of the wall is wanted.';
  return computeWeighedArea({ massG: first[0]!, densityGPerCm3: density, wallsMm: second });
}
