import type { Build } from '../../document/build'
import { signed, type DetailTable } from '../../judge/joint'
import { gapChange } from '../../physics/woodMovement'
import { pocketWoods } from './pocketSeason'
import { SNUG } from './pocketWidth.limits'

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** The gap over the year: the room's humidity swings from its lowest in February to its highest in August. [ours] */
export function yearTable(build: Build, width: number, gap: number): DetailTable[] {
  const woods = pocketWoods(build)
  if (!woods) return []
  const { low, high, now } = build.room
  const values = MONTHS.map((_, m) => {
    const humidity = (low + high) / 2 - ((high - low) / 2) * Math.cos(((m - 1) * Math.PI) / 6)
    return gap + gapChange(width, woods.heel, woods.pocket, now, humidity)
  })
  return [
    {
      title: 'The gap over the year',
      columns: ['month', 'gap'],
      rows: MONTHS.map((m, i) => [m, `${signed(values[i]!)} mm`]),
      chart: { labels: MONTHS, values, unit: 'mm', limits: SNUG },
    },
  ]
}
