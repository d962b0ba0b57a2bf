/** A dab of a colour beside its name; it keeps its colour whatever the page's own are. */
export const Dab = ({ colour, size = 'size-4' }: { readonly colour: string; readonly size?: string }) => (
  <span
    aria-hidden
    data-swatch
    className={`inline-block shrink-0 border border-strong-line ${size}`}
    style={{ background: colour }}
  />
);
