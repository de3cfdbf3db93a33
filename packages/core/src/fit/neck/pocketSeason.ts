import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import { woodNamed } from '../../parts/woods'
import { gapChange, movementPerPercent, type Grain } from '../../physics/woodMovement'

/** Movement per percent of heel and body, by their woods and grain; nothing until both woods are named. */
export function pocketWoods(build: Build): { heel: { perPercent: number }; pocket: { perPercent: number } } | undefined {
  const heel = woodNamed(traitAt(build, 'neck', 'wood'))
  const body = woodNamed(traitAt(build, 'body', 'wood'))
  if (!heel || !body) return undefined
  const grainOf = (slot: 'neck' | 'body'): Grain => (traitAt(build, slot, 'grain') === 'quarter' ? 'quarter' : 'flat')
  return {
    heel: { perPercent: movementPerPercent(heel, grainOf('neck')) },
    pocket: { perPercent: movementPerPercent(body, grainOf('body')) },
  }
}

/** What the year does to this build's pocket from today's humidity: the most it closes and opens, mm (close <= 0 <= open). */
export function pocketSeason(build: Build, width: number): { close: number; open: number; known: boolean } {
  const woods = pocketWoods(build)
  if (!woods) return { close: 0, open: 0, known: false }
  const { low, high, now } = build.room
  const ends = [gapChange(width, woods.heel, woods.pocket, now, low), gapChange(width, woods.heel, woods.pocket, now, high), 0]
  return { close: Math.min(...ends), open: Math.max(...ends), known: true }
}
