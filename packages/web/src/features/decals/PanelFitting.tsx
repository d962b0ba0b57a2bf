import type { PlannedDecalView } from '@sardonyx/contract';
import {
  fillsPanel,
  USUAL_PLACING,
  type DecalArtwork,
  type FoundPanel,
  type Margins,
  type PanelFit,
} from '@sardonyx/core';
import { useState } from 'react';
import { useSizeArtworkMutation } from '../../shared/api/decalApi.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { readNumber } from '../../shared/form/readNumber.ts';
import { useTextFields } from '../../shared/form/useTextFields.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { Fold } from '../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';

interface PanelFittingProps {
  readonly decal: PlannedDecalView;
  readonly artwork: DecalArtwork;
}

/** A size smaller than this share of the artwork is no way out: the panel is to be measured, or another artwork found. */
const LEAST_SHARE = 0.7;

/** Whether a decal fits its panel, the size that would, and the panel as somebody measured it. */
export function PanelFitting({ decal: { plan, panel, fit, name }, artwork }: PanelFittingProps) {
  const [size, { error, isLoading }] = useSizeArtworkMutation();
  if (!plan) return null;
  const scale = fit?.largestScale ?? null;
  const wanted = scale === null ? null : artwork.widthMm * scale;
  return (
    <div className="space-y-1 sm:col-span-3">
      {panel && fit ? (
        <p>
          <Sign of={fit.verdict === 'fits' ? 'done' : 'warning'} /> {sayFit(fit, panel)}
        </p>
      ) : (
        <p>Nobody knows its panel: measure it, and it is told whether the decal fits.</p>
      )}
      {panel?.from === 'drawing' && panel.marginMm > 0 && fit?.verdict !== 'fits' && fillsPanel(artwork, panel) && (
        <p className="text-note text-soft-ink">
          Is it meant to fill its band? Then measure that, and say that no paint shows round it.
        </p>
      )}
      {fit && fit.verdict !== 'fits' && wanted !== null && wanted >= LEAST_SHARE * artwork.widthMm && (
        <button
          type="button"
          className="plain-button"
          disabled={isLoading}
          onClick={() => void size({ artworkId: artwork.id, widthMm: Math.floor(100 * wanted) / 100 })}
        >
          Make the artwork {wanted.toFixed(2)} mm wide
        </button>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
      <Fold title={panel?.from === 'measured' ? 'The panel was measured' : 'Measure the panel'}>
        <PanelForm key={JSON.stringify(plan.panel)} plan={plan} name={name} />
      </Fold>
    </div>
  );
}

function PanelForm({ plan, name }: { readonly plan: NonNullable<PlannedDecalView['plan']>; readonly name: string }) {
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<AppError | null>(null);
  const { fields, field } = useTextFields(
    {
      widthMm: String(plan.panel?.widthMm ?? ''),
      heightMm: String(plan.panel?.heightMm ?? ''),
      sdMm: String(plan.panel?.sdMm ?? '0.1'),
      marginMm: String(plan.panel?.marginMm ?? USUAL_PLACING.marginMm),
    },
    { numbers: ['widthMm', 'heightMm', 'sdMm', 'marginMm'], errors: problem?.fields && withoutPath(problem.fields) },
  );
  const save = async (panel: object | null) =>
    setProblem(
      await dispatch(
        changeRow({
          kind: 'decal-plans',
          row: plan,
          changes: { panel },
          label: `panel of ${name}`,
          isShownInPlace: true,
        }),
      ).unwrap(),
    );
  return (
    <form
      aria-label={`Panel of ${name}`}
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        const { widthMm, heightMm, sdMm, marginMm } = fields;
        void save({
          ...{ widthMm: readNumber(widthMm), heightMm: readNumber(heightMm) },
          ...{ sdMm: readNumber(sdMm), marginMm: readNumber(marginMm) },
        });
      }}
    >
      <div className="flex flex-wrap items-end gap-2">
        {field('widthMm', 'Width, mm', '7rem')}
        {field('heightMm', 'Height, mm', '7rem')}
        {field('sdMm', 'May be off, ± mm', '8rem')}
        {field('marginMm', 'Paint round it, mm', '8rem')}
        <button type="submit" className="plain-button">
          So it measures
        </button>
        {plan.panel && (
          <button type="button" className="quiet-button" onClick={() => void save(null)}>
            Go by the drawing again
          </button>
        )}
      </div>
      {problem && !problem.fields && <ErrorNote error={problem} />}
    </form>
  );
}

/** "panel.widthMm" is said at "widthMm". */
const withoutPath = (fields: Readonly<Record<string, string>>) =>
  Object.fromEntries(Object.entries(fields).map(([path, words]) => [path.replace(/^panel\./, ''), words]));

const sayMargin = ({ mm, sd }: Margins['left']) => `${mm.toFixed(1)} ± ${sd.toFixed(1)} mm`;

function sayMargins({ margins: { left, right, above, below } }: PanelFit): string {
  const ends = isSame(left, right)
    ? `${sayMargin(left)} at each end`
    : `${sayMargin(left)} on the left, ${sayMargin(right)} on the right`;
  const sides = isSame(above, below)
    ? `${sayMargin(above)} above and below`
    : `${sayMargin(above)} above, ${sayMargin(below)} below`;
  return `${ends}, ${sides}`;
}

const isSame = (one: Margins['left'], other: Margins['left']) => Math.abs(one.mm - other.mm) < 0.05;

function sayFit(fit: PanelFit, { width, height, from, marginMm }: FoundPanel): string {
  const panel = `${width.mm.toFixed(1)} × ${height.mm.toFixed(1)} mm ${from === 'measured' ? 'as measured' : 'by the drawing'}`;
  const margins = sayMargins(fit);
  const percent = `${Math.round(100 * fit.chance)} %`;
  const over = [
    ...(fit.tooWide > 0 ? [`${fit.tooWide.toFixed(1)} mm too long`] : []),
    ...(fit.tooHigh > 0 ? [`${fit.tooHigh.toFixed(1)} mm too high`] : []),
  ].join(' and ');
  switch (fit.verdict) {
    case 'fits':
      return `Fits its panel (${panel}): ${margins}; holds all margins ${percent} of the time.`;
    case 'tight':
      return `Tight on its panel (${panel}): ${margins}; holds all margins only ${percent} of the time.`;
    case 'does not fit':
      return `Does not fit its panel (${panel})${over ? `: ${over} for ${marginMm > 0 ? `margins of ${marginMm} mm` : 'it'}` : `: margins hold ${percent} of the time`}.`;
  }
}
