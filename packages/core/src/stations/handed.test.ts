import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import { turnedOver } from '../drawing/turnedOver'
import { axisAdvice } from '../drill/axis'
import { USUAL_BENCH } from '../drill/bench'
import { cardDrawing, drawnCards } from '../drill/holes'
import { headDrawing } from '../drill/head/headDrawing'
import { headTask, postsOf, viewed } from '../drill/head/layout'
import { widthId, widthsDrawing, widthSet } from '../drill/widths'
import { lookDrawing } from '../finish/looks'
import { findJoints } from '../fit/findJoints'
import { drawJoint } from '../fit/inHand'
import { pt, type Point } from '../geometry/point'
import { sketchOf } from '../portrait/sketches'
import type { Slot } from '../parts/slots'
import { frontView } from '../instrument/longView'
import { anyBuild } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'

/** Laid on the bench with the neck to the left, or looked at from the bridge: what lies on the one side of a right-handed one lies on the other of a left-handed one. */
const IN_PLAN = /from above|from the front|From the front|From the back|over the routes|axis over the body|hangs from|in place and opened/
const FROM_THE_BRIDGE = /from the bridge/
/** The part a hole waits for, from several sides at once. */
const PORTRAIT = /from its sizes|jaws|found$/

const rounded = (n: number) => Math.round(n * 1e6) / 1e6 + 0
const place = (p: Point) => `${rounded(p.x)} ${rounded(p.y)}`
/** The same mark whichever way it was begun. */
const plain = (m: Mark): string => {
  const points = m.mark === 'area' || m.mark === 'line' ? m.points : m.mark === 'dimension' ? [m.from, m.to] : [m.at]
  return [m.mark, 'role' in m ? m.role : '', 'r' in m ? m.r : '', 'text' in m ? m.text : '', ...points.map(place).sort()].join('/')
}
/** Figures and names stand where there is room; what lies where, and which side is which, is told by the rest. */
const tells = (m: Mark) => (m.mark !== 'dimension' && m.mark !== 'label') || (m.mark === 'label' && /bass|treble/.test(m.text))
const marksOf = (d: Pick<Drawing, 'marks'>) => d.marks.filter(tells).map(plain).sort()

const left = (build: Build): Build => ({ ...build, handedness: 'left' })
const right = (build: Build): Build => ({ ...build, handedness: 'right' })

describe('what is drawn as it lies on the bench', () => {
  it('is a left-handed one’s where the build is: every drawing of it turned over, each cut and side view as it was', () => {
    let turned = 0
    let same = 0
    const asked = holds(
      fc.property(anyBuild, (any) => {
        const [r, l] = [right(any), left(any)]
        const drawn = (b: Build): [string, Drawing][] => [
          ...findJoints(b).flatMap((j): [string, Drawing][] => [[`joint ${j.id}`, drawJoint(b, j.id)!]]),
          ...drawnCards(b, USUAL_BENCH).map((c): [string, Drawing] => [`hole ${c.id}`, cardDrawing(c)]),
          ...[axisAdvice(b)].flatMap((a): [string, Drawing][] => (a ? [['axis', a.draw()]] : [])),
          ...(['front', 'back'] as const).map((view): [string, Drawing] => [`look ${view}`, lookDrawing(b, view)]),
        ]
        const [ofRight, ofLeft] = [new Map(drawn(r)), new Map(drawn(l))]
        for (const [id, was] of ofRight) {
          const is = ofLeft.get(id)
          // What hangs on the hand itself, as which tuners are right, is another question.
          if (!is || is.title !== was.title) continue
          const says = `${was.title} ${was.note ?? ''}`
          if (FROM_THE_BRIDGE.test(says) || PORTRAIT.test(says)) continue
          const should = IN_PLAN.test(says) ? { marks: was.marks.map(turnedOver) } : was
          expect(marksOf(is), `${id}: ${says}`).toEqual(marksOf(should))
          if (IN_PLAN.test(says)) turned++
          else same++
        }
      }),
      60,
    )
    expect(turned).toBeGreaterThan(asked)
    expect(same).toBeGreaterThan(asked)
  })
  it('holds for each part from each side, and for where a size of it is taken', () => {
    let turned = 0
    const asked = holds(
      fc.property(anyBuild, (any) => {
        for (const slot of Object.keys(any.parts) as Slot[]) {
          const [was, is] = [sketchOf(right(any), slot), sketchOf(left(any), slot)]
          for (const [i, view] of is.views.entries()) {
            const before = was.views[i]!
            if (FROM_THE_BRIDGE.test(view.title)) continue
            const should = view.onInstrument ? before.marks.map(turnedOver) : before.marks
            expect(marksOf(view), `${slot} ${view.title}`).toEqual(marksOf({ marks: should }))
            if (view.onInstrument) turned++
          }
          for (const [size, { view, from }] of is.places) {
            const at = was.places.get(size)!.from
            const over = is.views.find((v) => v.id === view)!.onInstrument
            if (view !== 'face') expect(place(from), `${slot} ${size}`).toEqual(place(over ? pt(at.x, -at.y) : at))
          }
        }
      }),
      40,
    )
    expect(turned).toBeGreaterThan(asked)
  })
  it('treble lies at the top of a right-handed one and at the bottom of a left-handed one: pots, jack and the outline alike', () => {
    const build = changed(fullBuild(), { 'guard/volume.y': -82 })
    const at = (b: Build) => sketchOf(b, 'guard').places.get('volume.y')!.to.y
    expect([at(right(build)), at(left(build))]).toEqual([-82, 82])
    // Both look at the same guard from the front as the long view has it, where y grows downwards.
    const pots = (b: Build) => frontView(b).filter((m) => m.mark === 'circle' && m.thing === 'pot-volume')
    expect(pots(right(build)).every((m) => m.mark === 'circle' && m.at.y < 0)).toBe(true)
  })
  it('what is dragged up the drawing goes up the drawing, whichever hand it is for', () => {
    for (const hand of ['left', 'right'] as const) {
      const found = headTask({ ...fullBuild(), handedness: hand })
      if (!('task' in found)) throw new Error('the head of the whole build is known')
      const { task } = found
      const drawing = (row: typeof task.now) => headDrawing(task, viewed(task, postsOf(task, row)), row, 10, hand)
      const before = drawing(task.now).handles!.find((h) => h.id === 'offset')!
      const after = drawing({ ...task.now, offset: before.value + before.perUp * 2 }).handles!.find((h) => h.id === 'offset')!
      // Up the page y grows less.
      expect(after.at.y - before.at.y, hand).toBeCloseTo(-2, 6)
      const rows = [0, 100, 200].map((x) => ({ x, bass: 150, treble: 120 }))
      const at = (of: typeof rows, id: string) => widthsDrawing(of, 'Edge', hand).handles!.find((h) => h.id === id)!
      for (const side of ['bass', 'treble'] as const) {
        const handle = at(rows, widthId(1, side))
        const moved = widthSet(rows, 1, side, handle.value + handle.perUp * 3)
        expect(at([...moved] as typeof rows, widthId(1, side)).at.y - handle.at.y, `${hand} ${side}`).toBeCloseTo(-3, 6)
      }
      expect(widthsDrawing(rows, 'Edge', hand).note).toContain(hand === 'left' ? 'bass side above' : 'bass side below')
      // y grows downwards.
      expect(Math.sign(at(rows, widthId(1, 'bass')).at.y)).toBe(hand === 'left' ? -1 : 1)
    }
  })
})
