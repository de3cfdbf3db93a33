import type { Build } from '../document/build'
import { bassString } from '../document/setupReadings'
import { wantedOf } from '../instrument/targets'
import { printMm, sayMm } from '../quantity/length'
import { counted, theStrings } from '../quantity/words'
import { balanceWork } from './balance'
import { buzzMap } from './buzz'
import { chokes } from './choke'
import { highFrets, setupModel } from './model'
import { nutSlots, type SlotWork } from './nutSlots'
import { pickupHeights } from './pickupHeights'
import { returnTest } from './returnTest'
import { freshReading } from './staleness'

/** What in a build's readings speaks for a cause; nothing where nothing was read, or what was read no longer holds. */
type Evidence = (build: Build) => string | undefined

/** Relief over what is wanted of this instrument by so much is too much, mm. [ours] */
const MORE = 0.1
export const heavyRelief = (build: Build): number => wantedOf(build).relief.to + MORE
const NEAR = 1.2

const relief = (build: Build) => freshReading(build, { what: 'relief' })
export const slackRod: Evidence = (b) =>
  (relief(b) ?? 0) > heavyRelief(b) ? `relief read ${sayMm(relief(b)!)} mm: the rod may be slack` : undefined
export const muchRelief: Evidence = (b) => ((relief(b) ?? 0) > heavyRelief(b) ? `relief read ${sayMm(relief(b)!)} mm` : undefined)
export const backBow: Evidence = (b) => ((relief(b) ?? 1) < 0.03 ? `relief read ${sayMm(relief(b)!)} mm` : undefined)
export const rocks: Evidence = (b) => {
  const [worst] = highFrets(b)
  return worst ? `a rocker tipped at fret ${worst.fret}` : undefined
}
export const buzzes: Evidence = (b) => {
  const model = setupModel(b)
  // Of an instrument nobody has read the map says what is wanted, not what is.
  if (!model.actionHolds) return undefined
  const map = buzzMap(b, model)
  return map.buzzes ? `the buzz map: ${map.buzzes} ${map.buzzes === 1 ? 'place hits' : 'places hit'} at this attack` : undefined
}
const slotsOf = (list: readonly SlotWork[]) => `${list.length === 1 ? 'slot' : 'slots'} of ${theStrings(list.map((s) => s.number))}`
const slots = (b: Build, state: 'low' | 'file') => nutSlots(b, setupModel(b)).filter((s) => s.state === state)
export const lowSlots: Evidence = (b) => {
  const low = slots(b, 'low')
  return low.length ? `${slotsOf(low)} read too deep` : undefined
}
export const highSlots: Evidence = (b) => {
  const high = slots(b, 'file').filter((s) => s.file > 0.1)
  return high.length ? `${slotsOf(high)} read high` : undefined
}
const hangs = (b: Build, what: RegExp) => returnTest(b).filter((r) => what.test(r.says))
export const hangsAtNut: Evidence = (b) => {
  const list = hangs(b, /rubs at the nut/)
  return list.length ? `${theStrings(list.map((r) => r.string))} hung at the nut in the return test` : undefined
}
export const hangsAtBridge: Evidence = (b) => {
  const list = hangs(b, /does not come home/)
  return list.length ? `${counted(list.length, 'string')} came back off in the return test as the bridge leaves them` : undefined
}
export const stillHigh: Evidence = (b) => {
  const read = freshReading(b, { what: 'action', string: bassString(b) })
  return read !== undefined && read > wantedOf(b).actionBass + 0.3 ? `action read ${printMm(read)} mm at the bass` : undefined
}
export const floatsHigh: Evidence = (b) => {
  const read = freshReading(b, { what: 'float' })
  return read !== undefined && read > 2 ? `its back edge read ${printMm(read)} mm up` : undefined
}
export const runsAway: Evidence = (b) => {
  const work = balanceWork(b)
  return work && !work.assumed.length && !work.balance.stable ? 'by its measured sizes it has no stable rest' : undefined
}
export const offAtTwelve: Evidence = (b) => {
  const off = Array.from({ length: b.strings }, (_, i) => i + 1).filter(
    (string) => Math.abs(freshReading(b, { what: 'cents', string }) ?? 0) > 2,
  )
  return off.length ? `${theStrings(off)} read off at fret 12` : undefined
}
export const nearPickup: Evidence = (b) => {
  const near = pickupHeights(b).filter((p) => p.sides.some((s) => s.read !== undefined && !s.stale && s.read < NEAR))
  return near.length ? `${near.map((p) => p.label.toLowerCase()).join(', ')} read nearer than ${NEAR} mm` : undefined
}
export const bendsChoke: Evidence = (b) => {
  const model = setupModel(b)
  if (!model.actionHolds) return undefined
  const bad = chokes(b, 2, model).filter((c) => c.margin < 0)
  return bad.length
    ? `by the board’s radius ${bad.length} ${bad.length === 1 ? 'place chokes' : 'places choke'} at a whole step`
    : undefined
}
