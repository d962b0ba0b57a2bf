import { Fold } from './Fold.tsx';

/** The figures of a chart, in words and numbers. */
export interface ChartTwin {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** What a chart or a drawn scale shows, folded, as a table. */
export function Twin({ label, headings, rows }: ChartTwin & { readonly label: string }) {
  return (
    <Fold title="The same as a table">
      <div className="max-h-60 overflow-auto" tabIndex={0} role="region" aria-label={`${label}, as a table`}>
        <table className="text-note">
          <thead>
            <tr>
              {headings.map((heading) => (
                <th key={heading} scope="col" className="pr-6 text-left font-semibold">
                  {heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i} className="border-t border-hairline">
                {row.map((cell, at) => (
                  <td key={at} className="figure py-0.5 pr-6">
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Fold>
  );
}
