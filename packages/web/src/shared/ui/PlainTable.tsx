import type { ReactNode } from 'react';

interface PlainTableProps {
  /** Said before it, for who cannot see it. */
  readonly label: string;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly ReactNode[])[];
  /** Shares of the width as they are to each other; as wide as what is in them where left out. */
  readonly widths?: readonly number[];
  /** Of what scrolls. */
  readonly className?: string;
  readonly tableClassName?: string;
  /** Of every cell: the room round it. */
  readonly cellClassName?: string;
  /** Columns of numbers, set in figures. */
  readonly areFigures?: (column: number) => boolean;
}

/** Rows of words and numbers to be read, not to be sorted or asked: those are a DataTable. */
export function PlainTable(props: PlainTableProps) {
  const { label, headings, rows, widths, className = '', tableClassName = '', cellClassName = '' } = props;
  const { areFigures = () => false } = props;
  const all = widths?.reduce((sum, width) => sum + width, 0) ?? 1;
  return (
    <div className={`overflow-auto ${className}`} tabIndex={0} role="region" aria-label={label}>
      <table className={`text-left ${tableClassName}`}>
        <thead>
          <tr>
            {headings.map((heading, i) => (
              <th
                key={heading}
                scope="col"
                className={`font-semibold ${cellClassName}`}
                style={widths && { width: `${(100 * widths[i]!) / all}%` }}
              >
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i} className="border-t border-hairline align-top">
              {row.map((cell, k) => (
                <td key={k} className={`${cellClassName} ${areFigures(k) ? 'figure' : ''}`}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
