import { STATION_NAME, STATIONS, type Station } from '@snug/core'
import { Link } from 'react-router'
import { keyOf, type Pocket } from './pocket'

/** A canvas roll with a pocket a station: its key, its name, and how many things there need a person. */
export function ToolRoll({
  id,
  station,
  counts,
  pockets,
}: {
  id: string
  station: Station | undefined
  counts: Partial<Record<Station, number>>
  pockets: Record<Station, Pocket>
}) {
  return (
    <div className="shell-roll roll-canvas border-r border-hairline">
      <nav aria-label="Stations" className="flex h-full flex-col gap-1.5 p-1.5">
        {STATIONS.map((to) => {
          const Icon = pockets[to].icon
          const here = to === station
          const count = counts[to] ?? 0
          return (
            <Link
              key={to}
              to={`/builds/${id}/${to}`}
              aria-current={here ? 'page' : undefined}
              className={`relative flex min-h-11 min-w-16 flex-1 flex-col items-center justify-center gap-0.5 border text-center ${here ? 'border-violet border-l-4 bg-paper text-violet' : 'border-hairline bg-paper/55 text-ink hover:bg-paper'}`}
              style={{ borderRadius: '2px 12px 4px 2px' }}
            >
              <span aria-hidden className="figure absolute top-0.5 left-1 text-[11px] text-soft">
                {keyOf(to)}
              </span>
              {count > 0 && (
                <span className="figure absolute top-0.5 right-1 rounded-full bg-ink px-1.5 text-[11px] leading-[17px] text-paper">
                  {count}
                  {/* Its spaces hold: readers that go by the text would run it into the number and the name. */}
                  <span className="sr-only">{'\u00a0need you\u00a0'}</span>
                </span>
              )}
              <Icon size={19} strokeWidth={1.6} aria-hidden />
              <span className="label text-[15px] leading-4 font-semibold">{STATION_NAME[to]}</span>
            </Link>
          )
        })}
      </nav>
    </div>
  )
}
