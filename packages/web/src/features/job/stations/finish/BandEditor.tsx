import { refusePlace, type AreaPlan, type PlannedLayer } from '@sardonyx/core';
import { useEffect, useEffectEvent, useState } from 'react';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { MinusIcon, PlusIcon } from '../../../../shared/ui/icons.ts';
import { OrderedList } from '../../../../shared/ui/OrderedList.tsx';
import { RemoveLayer } from '../survey/RemoveLayer.tsx';
import { useJob } from '../../JobContext.tsx';

interface BandEditorProps {
  readonly areaName: string;
  readonly material: string;
  readonly plan: AreaPlan;
}

/** The band of an area as its editor: planned coats lie on each other, the outermost on top, the metal below. */
export function BandEditor({ areaName, material, plan }: BandEditorProps) {
  const { isClosed } = useJob();
  const dispatch = useAppDispatch();
  const [refusal, setRefusal] = useState('');
  const inwards = [...plan.layers].reverse();
  const coats = plan.layers.map(({ layer }) => layer);
  const move = (id: string, fromTop: number) => {
    const place = coats.length - 1 - fromTop;
    const problem = refusePlace(coats, id, place);
    setRefusal(problem?.message ?? '');
    if (problem) return;
    const from = coats.findIndex((coat) => coat.id === id);
    // Taken back, it goes to the place it had in this list, whatever its number was.
    const coat = { ...coats[from]!, seq: from };
    void dispatch(
      changeRow({
        kind: 'layers',
        row: coat,
        changes: { seq: place },
        label: `${coat.name}: ${place < from ? 'further in' : 'further out'}`,
      }),
    );
  };
  return (
    <div>
      <OrderedList
        label={`Planned for the ${areaName}`}
        isFixed={isClosed}
        onMove={move}
        items={inwards.map((row) => ({ id: row.layer.id, name: row.layer.name, content: <Coat row={row} /> }))}
      />
      <div className="flex items-center gap-3 border-t-2 border-ink pt-1">
        <span
          aria-hidden
          className="h-5 w-16 shrink-0 border border-strong-line"
          style={{ background: 'repeating-linear-gradient(115deg, #a6a6a6 0 9px, #8e8e8e 9px 10px)' }}
        />
        <span className="text-note text-soft-ink">{material}</span>
      </div>
      {refusal && (
        <p role="alert" className="border-l-4 border-sard pl-3">
          {refusal}
        </p>
      )}
    </div>
  );
}

/** So long after the last press it counts. */
const PRESSED_MS = 400;

/** One layer: its slice, how many coats of it, how many are on, what to pour for the rest. */
function Coat({ row: { layer, coats: planned, on, pour, ground } }: { readonly row: PlannedLayer }) {
  const { isClosed } = useJob();
  const dispatch = useAppDispatch();
  // Several presses are one edit.
  const [wished, setWished] = useState<number | null>(null);
  const coats = wished ?? planned;
  const isOn = on >= coats;
  const isColour = layer.kind === 'colour';
  const setCoats = (count: number | null) =>
    dispatch(
      changeRow({
        kind: 'layers',
        row: layer,
        changes: { coats: count },
        label: `${layer.name}: ${count === null ? 'as many coats as hide the ground' : `${count} coats`}`,
      }),
    ).unwrap();
  const keepWish = useEffectEvent((count: number) => void setCoats(count).then(() => setWished(null)));
  useEffect(() => {
    if (wished === null) return;
    const resting = setTimeout(() => keepWish(wished), PRESSED_MS);
    return () => clearTimeout(resting);
  }, [wished]);
  return (
    <span className="flex min-w-0 flex-1 items-center gap-3 py-1">
      <span
        aria-hidden
        className={`w-16 shrink-0 self-stretch border-ink ${isOn ? 'border' : 'border-2 border-dashed'}`}
        style={{ background: layer.colourHex, minHeight: '2.75rem' }}
      />
      <span className="min-w-0 flex-1">
        <span className="flex flex-wrap items-baseline gap-x-2">
          <strong>{layer.name}</strong>
          <span className="text-note text-soft-ink">
            {layer.kind}, {layer.thicknessUm} µm {layer.kind === 'decal' ? 'thick' : 'a coat'} ({layer.thicknessOrigin})
            {layer.decalMm && `, ${layer.decalMm.widthMm} × ${layer.decalMm.heightMm} mm`}
          </span>
        </span>
        <span className="flex flex-wrap items-center gap-x-3">
          {isColour && !isClosed && (
            <span className="inline-flex items-center" role="group" aria-label={`Wet coats of ${layer.name}`}>
              <button
                type="button"
                className="grid size-11 place-items-center border border-strong-line disabled:text-soft-ink"
                aria-label="One coat less"
                disabled={coats <= Math.max(1, on)}
                onClick={() => setWished(coats - 1)}
              >
                <MinusIcon aria-hidden size={18} />
              </button>
              <span className="figure w-9 text-center" aria-live="polite">
                {coats}
              </span>
              <button
                type="button"
                className="grid size-11 place-items-center border border-strong-line disabled:text-soft-ink"
                aria-label="One coat more"
                disabled={coats >= 12}
                onClick={() => setWished(coats + 1)}
              >
                <PlusIcon aria-hidden size={18} />
              </button>
            </span>
          )}
          <span>
            {[
              ...(isColour ? [`wet ${coats === 1 ? 'coat' : 'coats'}`] : []),
              ...(on > 0 ? [isOn ? 'on' : `${on} on`] : []),
              ...(pour ? [on > 0 ? 'for the rest pour ' : 'pour '] : []),
            ].join(', ')}
            {pour && (
              <>
                <strong className="figure">
                  {pour.upper90.toFixed(1)} {pour.unit}
                </strong>
                {pour.drops !== null && <span className="text-soft-ink"> ({pour.drops} drops; 90 % sure)</span>}
              </>
            )}
          </span>
          {layer.coats !== null && !isClosed && (
            <button type="button" className="quiet-button" onClick={() => void setCoats(null)}>
              As many as hide it
            </button>
          )}
        </span>
        {ground && (ground.better || (ground.coats ?? Infinity) > coats) && !isOn && (
          <span className="block text-note">
            {sayGround(ground.coats)}
            {ground.better && ` Over ${ground.better.name} ${ground.better.coats}.`}
            {ground.wantsOwnGround && ' It is weak: a light coat of its own kind goes on first.'}
          </span>
        )}
      </span>
      {!isClosed && on === 0 && <RemoveLayer layer={layer} />}
    </span>
  );
}

const sayGround = (coats: number | null): string =>
  coats === null ? 'Twelve coats do not hide what is below.' : `Hides what is below in ${coats}.`;
