import type { ShelfView } from '@sardonyx/contract';
import {
  convertProductToLayer,
  isEarlyField,
  isMadeFor,
  judgeOver,
  layersUnder,
  nameOfArea,
  placeNewCoat,
  planGround,
  sortPlanned,
  type Area,
  type DecalSize,
  type SpecimenPart,
} from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Chooser, type ChooserOption } from '../../../../shared/ui/Chooser.tsx';
import { describePot } from '../../../../shared/form/potOptions.ts';
import { readNumber } from '../../../../shared/form/readNumber.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useGetShelfQuery } from '../../../../shared/api/api.ts';
import { createRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { Remembered } from './Remembered.tsx';
import { useJob } from '../../JobContext.tsx';

const DECAL = 'decal';

/** Plans a coat more, at the place of its kind: a pot that lies well on what is below first, or a decal. */
export function PlanCoat({ area, part }: { readonly area: Area; readonly part: SpecimenPart }) {
  const { specimen } = useJob();
  const planned = specimen.layers.filter((layer) => layer.areaId === area.id && layer.stage === 'planned');
  const decals = planned.filter((layer) => layer.kind === 'decal');
  const usual = `${nameOfArea(area)} decal${decals.length ? ` ${decals.length + 1}` : ''}`;
  const { data: shelf } = useGetShelfQuery();
  const facts = specimen.facts.parts.find(({ key }) => key === part.key)!;
  const isFirst = isEarlyField(facts, nameOfArea(area));
  const options = useMemo(
    () => (shelf ? listCoats(shelf, part, area, { ...specimen, isFirst }) : []),
    [shelf, part, area, specimen, isFirst],
  );
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState('');
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const [size, setSize] = useState('');
  const decalMm = readSize(size);
  // It would come to lie on the last of its kind, or below.
  const all = specimen.layers.filter(({ stage }) => stage === 'planned');
  const below = sortPlanned(planned).at(-1) ?? sortPlanned(layersUnder(area, specimen.areas, all, isFirst)).at(-1);
  const plan = async () => {
    const product = shelf?.products.find((candidate) => candidate.id === chosen);
    if (decalMm === undefined) return setProblem('Its size in mm, as 12 × 4; or nothing where nobody measured it.');
    setProblem('');
    const layer = product
      ? convertProductToLayer(product)
      : {
          kind: 'decal' as const,
          name: name.trim() || usual,
          colourHex: '#e8e0c8',
          thicknessUm: 18,
          thicknessOrigin: 'planning estimate',
          productId: null,
          decalMm,
        };
    const problem = await dispatch(
      createRow({
        kind: 'layers',
        body: { areaId: area.id, stage: 'planned', seq: placeNewCoat(planned, layer.kind), ...layer },
        label: `planned ${layer.name}`,
      }),
    ).unwrap();
    if (problem) return;
    setChosen('');
    setName('');
    setSize('');
  };
  return (
    <div className="flex flex-wrap items-end gap-2 pt-1">
      <Field label={`Plan a coat for the ${nameOfArea(area)}`} isQuiet>
        <Chooser value={chosen} options={options} onChange={setChosen} placeholder="choose a pot or a decal" />
      </Field>
      {chosen === DECAL && (
        <label>
          <span className="block text-note">Which decal</span>
          <input
            style={{ width: '14rem' }}
            value={name}
            placeholder={usual}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
      )}
      {chosen === DECAL && (
        <Field label="Its size, mm" isQuiet width="9rem">
          <input value={size} placeholder="12 × 4" onChange={(event) => setSize(event.target.value)} />
        </Field>
      )}
      <button type="button" className="plain-button" disabled={!chosen} onClick={() => void plan()}>
        Plan it
      </button>
      {chosen === DECAL && problem && (
        <p role="alert" className="w-full border-l-4 border-sard pl-3">
          {problem}
        </p>
      )}
      {chosen && chosen !== DECAL && <Remembered productId={chosen} overProductId={below?.productId ?? null} />}
    </div>
  );
}

/** "12 x 4" as it is typed; null where nothing was, undefined where it is no size. */
function readSize(text: string): DecalSize | null | undefined {
  if (text.trim() === '') return null;
  const found = /^\s*([\d.,]+)\s*(?:×|x|X|\*|\s)\s*([\d.,]+)\s*$/.exec(text);
  const [widthMm, heightMm] = [found?.[1], found?.[2]].map((one) => readNumber(one ?? ''));
  return widthMm && heightMm ? { widthMm, heightMm } : undefined;
}

const GROUPS = {
  fine: 'Lies well on what is below',
  'when cured': 'When what is below has cured',
  'barrier first': 'A primer between first',
  never: 'Not over what is below',
} as const;

/** A decal, then the pots by how they lie on what they would come to lie on. */
function listCoats(
  shelf: ShelfView,
  part: SpecimenPart,
  area: Area,
  {
    layers,
    areas,
    isFirst,
  }: Pick<Parameters<typeof planGround>[0], 'layers' | 'isFirst'> & { readonly areas: readonly Area[] },
): ChooserOption[] {
  const pots = shelf.products.map((product) => {
    const ground = planGround({
      product,
      area,
      areas,
      layers,
      material: part.material,
      products: shelf.products,
      isFirst,
    });
    const { verdict, reason } = isMadeFor(product.kind, ground)
      ? { verdict: 'fine' as const, reason: '' }
      : judgeOver(product.binder, ground);
    const pot = describePot(shelf, product);
    return { ...pot, group: GROUPS[verdict], note: verdict === 'fine' ? pot.note : `${pot.note}; ${reason}` };
  });
  const ranked = Object.values(GROUPS).flatMap((group) => pots.filter((pot) => pot.group === group));
  return [{ value: DECAL, label: 'A decal' }, ...ranked];
}
