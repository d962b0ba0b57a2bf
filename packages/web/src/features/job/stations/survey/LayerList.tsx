import { isStanding, type CoatingLayer } from '@sardonyx/core';
import { deleteRow } from '../../../../shared/edits/editRow.ts';
import { formatMoment } from '../../../../shared/format.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { RejectCoat } from '../finish/RejectCoat.tsx';

/** Layers in words, innermost first. Applied ones are part of the log and stay. */
export function LayerList({ layers }: { readonly layers: readonly CoatingLayer[] }) {
  const { isClosed } = useJob();
  const dispatch = useAppDispatch();
  if (layers.length === 0) return null;
  return (
    <ol>
      {layers.map((layer) => (
        <li key={layer.id} className="flex flex-wrap items-center gap-2">
          <span aria-hidden className="size-4 shrink-0 border border-ink" style={{ background: layer.colourHex }} />
          <span className="min-w-0 flex-1">
            {layer.name}
            <span className="text-soft-ink">
              {' '}
              {layer.kind}, {layer.thicknessUm} µm ({layer.thicknessOrigin}){layer.factory ? ', factory' : ''}
              {layer.rejection && `, rejected: ${layer.rejection.because}`}
              {layer.removedAt && `, taken off ${formatMoment(layer.removedAt)}`}
              {layer.appliedAt && `, ${layer.appliedBy}, ${formatMoment(layer.appliedAt)}, ${layer.tempC} °C`}
            </span>
          </span>
          {isStanding(layer) && !isClosed && <RejectCoat layer={layer} />}
          {layer.stage !== 'applied' && !isClosed && (
            <button
              type="button"
              className="quiet-button"
              aria-label={`Remove ${layer.name}`}
              onClick={() => void dispatch(deleteRow({ kind: 'layers', row: layer, label: `removed ${layer.name}` }))}
            >
              Remove
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}
