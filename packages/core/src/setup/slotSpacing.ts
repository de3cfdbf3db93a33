import type { Build } from '../document/build'
import { valueAt } from '../document/read'
import { toldAt } from '../judge/known'

/** Two strings of a course lie so far apart, centre to centre, mm. [practice] */
const IN_COURSE = 1.9

export interface SlotPlace {
  number: number
  /** By equal centres, and by equal gaps between strings or courses, mm from the middle, the first negative. */
  centres: number
  gaps: number
  gauge?: number
}

/**
 * Places of the slots across: by equal centres, and by equal gaps; of twelve strings course by course. Nothing while nobody has measured
 * board or nut: slots filed by a guess are a new nut.
 */
export function slotSpacing(build: Build): SlotPlace[] | undefined {
  const width = toldAt(build, { slot: 'neck', size: 'nut.width' })?.value
  const spread = toldAt(build, { slot: 'nut', size: 'spread' })?.value ?? (width === undefined ? undefined : width - 7)
  if (spread === undefined || build.strings < 2) return undefined
  const gauges = Array.from({ length: build.strings }, (_, i) => valueAt(build, { slot: 'strings', size: `gauge.${i + 1}` }))
  const inCourse = build.strings === 12 ? 2 : 1
  const groups = build.strings / inCourse
  const pair = inCourse === 2 ? IN_COURSE : 0
  const known = gauges.every((g) => g !== undefined)
  // Width of each group between its outer strings' outer edges is what equal gaps are counted from.
  const half = (i: number) => (known ? gauges[i]! / 2 : 0)
  const first = (g: number) => g * inCourse
  const last = (g: number) => first(g) + inCourse - 1
  const taken = Array.from({ length: groups }, (_, g) => pair + (g === 0 ? 0 : half(first(g))) + (g === groups - 1 ? 0 : half(last(g))))
  const gap = (spread - taken.reduce((s, t) => s + t, 0)) / (groups - 1)
  const step = (spread - pair) / (groups - 1)
  const places: SlotPlace[] = []
  let at = -spread / 2
  for (let g = 0; g < groups; g++) {
    if (g) at += half(last(g - 1)) + gap + half(first(g))
    for (let k = 0; k < inCourse; k++) {
      if (k) at += pair
      const i = first(g) + k
      const centres = -spread / 2 + step * g + pair * k
      places.push({ number: i + 1, centres, gaps: known ? at : centres, ...(gauges[i] === undefined ? {} : { gauge: gauges[i] }) })
    }
  }
  return places
}
