import type { ShelfView } from '@sardonyx/contract';
import { convertProductToLayer, placeNewCoat, type Area, type CoatingLayer } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Chooser, type ChooserOption } from '../../../../shared/ui/Chooser.tsx';
import { capitalise } from '../../../../shared/format.ts';
import { describePot } from '../../../../shared/form/potOptions.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useGetShelfQuery } from '../../../../shared/api/api.ts';
import { createRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';

const DECAL = 'decal';

/** Plans a coat more, at the place of its kind: a pot from the shelf, or a decal. */
export function PlanCoat({ area, planned }: { readonly area: Area; readonly planned: readonly CoatingLayer[] }) {
  const decals = planned.filter((layer) => layer.kind === 'decal');
  const usual = `${area.name} decal${decals.length ? ` ${decals.length + 1}` : ''}`;
  const { data: shelf } = useGetShelfQuery();
  const options = useMemo(() => (shelf ? listCoats(shelf) : []), [shelf]);
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState('');
  const [name, setName] = useState('');
  const plan = async () => {
    const product = shelf?.products.find((candidate) => candidate.id === chosen);
    const layer = product
      ? convertProductToLayer(product)
      : {
          kind: 'decal' as const,
          name: name.trim() || usual,
          colourHex: '#e8e0c8',
          thicknessUm: 18,
          thicknessOrigin: 'planning estimate',
          productId: null,
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
  };
  return (
    <div className="flex flex-wrap items-end gap-2 pt-1">
      <Field label={`Plan a coat for the ${area.name}`} isQuiet>
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
      <button type="button" className="plain-button" disabled={!chosen} onClick={() => void plan()}>
        Plan it
      </button>
    </div>
  );
}

/** A decal, then the pots by what they are for. */
function listCoats(shelf: ShelfView): ChooserOption[] {
  const pots = shelf.products.map((product) => ({ ...describePot(shelf, product), group: capitalise(product.kind) }));
  return [{ value: DECAL, label: 'A decal' }, ...pots];
}
