import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contains } from '../geometry/polygon'
import { pt } from '../geometry/point'
import { CONTROL_HOLES } from '../drill/overOpen'
import { holeCards } from '../drill/holes'
import { judgeJoints } from '../fit/findJoints'
import { anyBuild, knownBuild, untold } from '../testing/anyBuild'
import { changed } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { onBody, onPlate, plateEdge, poseFrom } from './platePlace'
import { isCarrierUntold, panelOf } from './panel'

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const pose = fc
  .tuple(mm(0, 400), mm(-200, 200), mm(-60, 60), mm(60, 300))
  .map(([x, y, off, long]) => ({ ...poseFrom(x, y, y + off, long), long, y, off }))

describe('a control plate’s place', () => {
  it('there and back is the same place, and nothing on it comes nearer to anything else on it', () =>
    holds(
      fc.property(pose, mm(-20, 300), mm(-40, 40), mm(-20, 300), mm(-40, 40), (at, ax, ay, bx, by) => {
        const [a, b] = [pt(ax, ay), pt(bx, by)]
        const back = onPlate(at, onBody(at, a))
        expect(Math.hypot(back.x - a.x, back.y - a.y)).toBeLessThan(1e-9)
        const [onA, onB] = [onBody(at, a), onBody(at, b)]
        expect(Math.hypot(onA.x - onB.x, onA.y - onB.y)).toBeCloseTo(Math.hypot(a.x - b.x, a.y - b.y), 9)
      }),
      300,
    ))
  it('its two ends lie where they were measured, and its bass side stays its bass side', () =>
    holds(
      fc.property(pose, (at) => {
        expect(onBody(at, pt(0, 0)).y).toBeCloseTo(at.y, 9)
        expect(onBody(at, pt(at.long, 0)).y).toBeCloseTo(at.y + at.off, 9)
        expect(onBody(at, pt(at.long, 0)).x).toBeGreaterThanOrEqual(at.front.x)
        expect(onBody(at, pt(50, 10)).y).toBeGreaterThanOrEqual(onBody(at, pt(50, 0)).y)
      }),
      300,
    ))
  it('rounded ends lie within square ones and reach as far', () =>
    holds(
      fc.property(mm(60, 300), mm(15, 50), (long, wide) => {
        const round = plateEdge(long, wide, true)
        expect(Math.min(...round.map((p) => p.x))).toBeCloseTo(0, 9)
        expect(Math.max(...round.map((p) => p.x))).toBeCloseTo(long, 9)
        for (const p of round) expect(Math.abs(p.y)).toBeLessThanOrEqual(wide / 2 + 1e-9)
        const corner = pt(0.5, wide / 2 - 0.5)
        expect([contains(plateEdge(long, wide, false), corner), contains(round, corner)]).toEqual([true, false])
      }),
      100,
    ))
})

describe('what carries the controls', () => {
  it('is the same part to every joint and every hole of theirs', () =>
    holds(
      fc.property(anyBuild, (build) => {
        // Until someone says how the controls go in, what is judged by either says so and no hole is told.
        fc.pre(!isCarrierUntold(build))
        const { slot, name } = panelOf(build)
        for (const j of judgeJoints(build).filter(({ id }) => /^pot-/.test(id))) {
          expect(j.title).toMatch(new RegExp(`in ${name}$`))
          const of = j.checks.flatMap((c) => c.reads).filter((r) => r.size === 'pot.hole')
          for (const ref of of) expect(ref.slot, j.id).toBe(slot)
        }
        for (const c of holeCards(build).filter(({ id }) => CONTROL_HOLES.has(id)))
          expect([c.title.endsWith(name) || c.title.includes(`${name}`), c.side], c.id).toEqual([true, slot === 'body' ? 'front' : name])
      }),
      150,
    ))
  it('is asked for where a guard may carry them or only keep the top whole: nothing is snug by a guess, no hole of theirs is told', () =>
    holds(
      fc.property(knownBuild, (build) => {
        const less = untold(build, 'traits', 'body', 'access')
        fc.pre(isCarrierUntold(less))
        const [guard, top] = ['front', 'back'].map((access) => changed(less, {}, { 'body/access': access }))
        for (const j of judgeJoints(less).filter(({ id }) => /^pot-/.test(id)))
          for (const c of j.checks) {
            const [a, b] = [guard!, top!].map(
              (x) =>
                judgeJoints(x)
                  .find(({ id }) => id === j.id)!
                  .checks.find(({ id }) => id === c.id)?.raw.verdict,
            )
            if (a !== b) expect(c.raw.verdict, `${j.id}/${c.id}`).toBe('cant-tell')
          }
        for (const c of holeCards(less).filter(({ id }) => CONTROL_HOLES.has(id))) {
          expect(c.stands, c.id).toBe('waiting')
          expect(c.untold).toEqual([{ slot: 'body', trait: 'access' }])
        }
      }),
      100,
    ))
})
