import type { MeshView } from '@sardonyx/core';

const VIEW_WORDS: Readonly<Record<MeshView['name'], string>> = {
  'from the front': 'From the front',
  'from the side': 'From the side',
  'from above': 'From above',
};
/** Paper round the drawing, millimetres. */
const MARGIN = 2;

/** Three flat drawings to one scale, with their sizes. */
export function ThreeViews({ name, views }: { readonly name: string; readonly views: readonly MeshView[] }) {
  const widest = Math.max(...views.map(({ width }) => width)) + 2 * MARGIN;
  return (
    <div className="grid grid-cols-3 items-end gap-3">
      {views.map((view) => {
        const { width, height, d } = view;
        return (
          <figure key={view.name} className="space-y-1">
            <svg
              role="img"
              aria-label={`${name} ${view.name}, ${width.toFixed(1)} × ${height.toFixed(1)} mm`}
              viewBox={`${-MARGIN} ${-MARGIN} ${width + 2 * MARGIN} ${height + 2 * MARGIN}`}
              style={{ width: `${(100 * (width + 2 * MARGIN)) / widest}%` }}
              className="border border-hairline bg-paper"
            >
              <path d={d} fill="none" stroke="currentColor" strokeWidth={1} vectorEffect="non-scaling-stroke" />
            </svg>
            <figcaption className="text-note">
              {VIEW_WORDS[view.name]}
              <span className="figure block">
                {width.toFixed(1)} × {height.toFixed(1)} mm
              </span>
            </figcaption>
          </figure>
        );
      })}
    </div>
  );
}
