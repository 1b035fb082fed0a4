import { memo, type ReactNode } from 'react';

export type Column = { readonly name: string; readonly isFigure?: boolean };
export type Row = { readonly key: string | number; readonly cells: readonly ReactNode[] };

/** A small table to work from. Bare elements, styled in the theme: these are redrawn with every edit. */
export const PlainTable = memo(function PlainTable({
  label,
  columns,
  rows,
}: {
  readonly label: string;
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}) {
  const kind = (i: number) => (columns[i]?.isFigure ? 'figure' : undefined);
  return (
    <table className="plain-table" aria-label={label}>
      <thead>
        <tr>
          {columns.map(({ name }, i) => (
            <th key={name} scope="col" className={kind(i)}>
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, cells }) => (
          <tr key={key}>
            {cells.map((cell, i) => (
              <td key={columns[i]?.name ?? i} className={kind(i)}>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
});
