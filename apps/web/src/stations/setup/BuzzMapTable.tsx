import type { BuzzCell } from '@snug/core'

/** Strings by frets, each with what is left over the fret that comes nearest; a dark cell hits. */
export function BuzzMapTable({
  cells,
  strings,
  frets,
  seen,
  onSee,
}: {
  cells: readonly BuzzCell[]
  strings: number
  frets: number
  seen: BuzzCell | undefined
  onSee: (at: { string: number; stop: number }) => void
}) {
  const rows = Array.from({ length: strings }, (_, i) => cells.filter((c) => c.string === i + 1))
  return (
    <div className="overflow-x-auto px-4 py-2">
      <table className="w-full table-fixed border-collapse text-center">
        <caption className="sr-only">Clearance of every string at every fret</caption>
        <thead>
          <tr className="figure text-[11px] text-soft">
            <th className="w-6" />
            {Array.from({ length: frets }, (_, i) => (
              <th key={i} className="font-normal">
                {i}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              <th scope="row" className="figure text-[12px]">
                {i + 1}
              </th>
              {row.map((c) => {
                const here = c.string === seen?.string && c.stop === seen.stop
                return (
                  <td key={c.stop} className="p-0">
                    <button
                      type="button"
                      aria-pressed={here}
                      aria-label={`${Math.round(100 * c.margin)}: string ${c.string}, ${c.stop ? `held at ${c.stop}` : 'open'}, ${c.margin.toFixed(2)} mm over fret ${c.hits}`}
                      onClick={() => onSee(c)}
                      className={`figure block min-h-9 w-full text-[10.5px] ${here ? 'outline-2 -outline-offset-2 outline-violet' : ''} ${c.margin < 0 ? 'bg-wont text-sheet' : ''}`}
                      style={
                        c.margin < 0
                          ? {}
                          : { background: `color-mix(in srgb, var(--snug) ${Math.round(Math.min(0.4, c.margin) * 120)}%, var(--sheet))` }
                      }
                    >
                      {Math.round(100 * c.margin)}
                    </button>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
