import type { FoundPanel, Margins, PanelFit } from '@sardonyx/core';

interface MarginDrawingProps {
  readonly panel: FoundPanel;
  readonly fit: PanelFit;
  readonly name: string;
}

/** The decal on its panel with the paint that should show on each side, to be read while it floats. */
export function MarginDrawing({ panel, fit: { margins }, name }: MarginDrawingProps) {
  return (
    <figure className="space-y-1">
      <div className="grid max-w-xl grid-cols-[auto_1fr_auto] items-center gap-x-3 gap-y-1 border-2 border-ink bg-paper p-2 text-center">
        <Side of={margins.above} word="above" className="col-span-3" />
        <Side of={margins.left} word="left" />
        <span className="border border-dashed border-ink px-2 py-3 wrap-anywhere">{name}</span>
        <Side of={margins.right} word="right" />
        <Side of={margins.below} word="below" className="col-span-3" />
      </div>
      <figcaption className="text-note text-soft-ink">
        Paint that shows round it, mm; the panel is {panel.width.mm.toFixed(1)} × {panel.height.mm.toFixed(1)} mm{' '}
        {panel.from === 'measured' ? 'as measured' : 'by the drawing'}.
      </figcaption>
    </figure>
  );
}

const Side = ({
  of: { mm, sd },
  word,
  className = '',
}: {
  readonly of: Margins['left'];
  readonly word: string;
  readonly className?: string;
}) => (
  <span className={className}>
    <span className="figure text-lead">{mm.toFixed(1)}</span>
    <span className="text-note">
      {' '}
      ± {sd.toFixed(1)} {word}
    </span>
  </span>
);
