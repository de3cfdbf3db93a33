import type { DetailTable } from '@snug/core'
import { lazy, Suspense, useDeferredValue } from 'react'

const YearChart = lazy(() => import('./YearChart'))

const charted = (t: DetailTable): t is DetailTable & { chart: NonNullable<DetailTable['chart']> } => t.chart !== undefined

/** What a joint has to show besides its drawing: a line over the year, a row for each string or tilt. */
export function DetailTables({ tables }: { tables: readonly DetailTable[] }) {
  // The number just typed is shown first; its tables and charts follow.
  const later = useDeferredValue(tables)
  return later.map((t) => (
    <section key={t.title} className="mt-3">
      <h3 className="label text-[15px] text-soft">{t.title}</h3>
      {charted(t) && (
        <Suspense fallback={<div className="h-36" />}>
          <YearChart table={t} />
        </Suspense>
      )}
      {charted(t) ? (
        <details>
          <summary className="label min-h-8 cursor-pointer text-[14px] text-soft">The same in numbers</summary>
          <Rows table={t} />
        </details>
      ) : (
        <Rows table={t} />
      )}
    </section>
  ))
}

const Rows = ({ table }: { table: DetailTable }) => (
  <table aria-label={table.title} className="w-full text-[14px]">
    <thead>
      <tr className="label text-left text-soft">
        {table.columns.map((c) => (
          <th key={c} className="pr-2 font-medium">
            {c}
          </th>
        ))}
      </tr>
    </thead>
    <tbody className="figure">
      {table.rows.map((row, i) => (
        <tr key={i} className="border-t border-hairline">
          {row.map((cell, k) => (
            <td key={k} className="py-0.5 pr-2">
              {cell}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  </table>
)
