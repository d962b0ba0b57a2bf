import { COAT_OWNERS, isStanding, sayHow, type CoatingLayer } from '@sardonyx/core';
import { Select } from '../../../../shared/ui/Select.tsx';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { formatMoment } from '../../../../shared/dates/sayDates.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { RejectCoat } from '../finish/RejectCoat.tsx';
import { COAT_OWNER_WORDS } from './AddLayer.tsx';
import { RemoveLayer } from './RemoveLayer.tsx';
import { Dab } from '../../../../shared/ui/Dab.tsx';

/** Layers in words, innermost first. Applied ones are part of the log and stay. */
export function LayerList({ layers }: { readonly layers: readonly CoatingLayer[] }) {
  const { isClosed } = useJob();
  if (layers.length === 0) return null;
  return (
    <ol>
      {layers.map((layer) => (
        <li key={layer.id} className="flex flex-wrap items-center gap-2">
          <Dab colour={layer.colourHex} />
          <span className="min-w-0 flex-1">
            {layer.name}
            <span className="text-soft-ink">
              {' '}
              {layer.kind}, {Math.round(layer.thicknessUm * 10) / 10} µm ({layer.thicknessOrigin})
              {layer.rejection && `, rejected: ${layer.rejection.because}`}
              {layer.removedAt && `, taken off ${formatMoment(layer.removedAt)}`}
              {layer.decalMm && `, ${layer.decalMm.widthMm} × ${layer.decalMm.heightMm} mm`}
              {sayHow(layer.how) && `, ${sayHow(layer.how)}`}
              {layer.appliedAt && `, ${layer.appliedBy}, ${formatMoment(layer.appliedAt)}, ${layer.tempC} °C`}
            </span>
          </span>
          {layer.stage === 'found' && <WhoseCoat layer={layer} isClosed={isClosed} />}
          {isStanding(layer) && !isClosed && <RejectCoat layer={layer} />}
          {layer.stage !== 'applied' && !isClosed && <RemoveLayer layer={layer} />}
        </li>
      ))}
    </ol>
  );
}

/** Factory, owner or restorer: a coat that is not the factory's says nothing of the issue. */
function WhoseCoat({ layer, isClosed }: { readonly layer: CoatingLayer; readonly isClosed: boolean }) {
  const dispatch = useAppDispatch();
  if (isClosed) return <span className="text-note text-soft-ink">by {COAT_OWNER_WORDS[layer.whose]}</span>;
  return (
    <span className="flex items-center gap-2">
      by
      <Select
        aria-label={`Whose coat is ${layer.name}`}
        value={layer.whose}
        options={COAT_OWNERS.map((owner) => ({ value: owner, label: COAT_OWNER_WORDS[owner] }))}
        onChange={(value) =>
          void dispatch(
            changeRow({
              kind: 'layers',
              row: layer,
              changes: { whose: value },
              label: `${layer.name}: by ${COAT_OWNER_WORDS[value]}`,
            }),
          )
        }
        style={{ width: '9.5rem' }}
      />
    </span>
  );
}
