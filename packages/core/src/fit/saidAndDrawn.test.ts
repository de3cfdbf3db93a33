import fc from 'fast-check'
import { drawJoint } from './inHand'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Drawing } from '../drawing/drawing'
import { boxAround } from '../geometry/box'
import { pt } from '../geometry/point'
import { saddleWindow } from '../instrument/bridgePlace'
import { laid, PLACES } from '../instrument/guardPlace'
import type { JudgedJoint } from '../judge/joint'
import { sizeToDraw } from '../judge/known'
import { KINDS } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import { likelyOf } from '../quantity/distribution'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { someJoint } from '../testing/someJoint'
import { guardFit } from './guard/guardOpenings'
import { jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'

/** Verdict, figure, words and drawing come from the same values: over builds of every kind. */

/** Every size of these parts as it is drawn. */
const sizesOf = (build: Build, slots: readonly Slot[]): number[] =>
  slots.flatMap((slot) =>
    !build.parts[slot] ? [] : Object.keys(KINDS[slotSpec(slot).kind].sizes).map((size) => sizeToDraw(build, { slot, size }).value),
  )
const figuresOf = (joint: JudgedJoint): number[] => joint.checks.flatMap((c) => [likelyOf(c.clearance), likelyOf(c.shown ?? c.clearance)])
const numbersIn = (d: Drawing) =>
  d.marks.flatMap((m) => (m.mark === 'dimension' && /^-?\d+(\.\d+)?$/.test(m.text) ? [{ mark: m, text: m.text }] : []))

/** How far each opening of the guard, laid where it fits best, stands beside the route below: what three sizes and its place make. */
function openingsBeside(build: Build): number[] {
  const fit = guardFit(build)
  const size = (slot: 'body' | 'guard', name: string) => sizeToDraw(build, { slot, size: name }).value
  return PLACES.map((place) => {
    const opening = pt(size('guard', `opening.${place}.centre`), size('guard', `opening.${place}.side`))
    const route = size('body', `route.${place}.centre`) - size('body', 'pocket.length')
    return (fit ? laid(fit.pose, opening) : opening).x - route
  })
}

/** What the saddles can do more than they must, at either end: by where the studs stand and how far the saddles go. */
function travelToSpare(build: Build): number[] {
  const size = (slot: 'neck' | 'body' | 'bridge', name: string) => sizeToDraw(build, { slot, size: name }).value
  const window = saddleWindow(size('neck', 'scale'))
  const studs = size('neck', 'nutToHeelEnd') - size('body', 'pocket.length') + size('body', 'mouthToBridge')
  return [window.front - studs + size('bridge', 'travel.front'), studs + size('bridge', 'travel.back') - window.back]
}

/** Their drawings show what three sizes and more make: what is left of one under two others, a place counted from elsewhere. */
const SUMS = new Set([
  ...['bridge-height', 'saddle-break', 'bridge-on-body', 'bridge-screws', 'bridge-reach', 'strings-on-board', 'string-reach'],
  ...['neck-screws', 'pocket-depth', 'balance', 'strap-buttons', 'guard-openings', 'harness'],
  ...['pot-volume', 'pot-tone', 'pot-volume-2', 'pot-tone-2'],
])

/** Each dimension is a size, a figure of a check, or what two sizes that it reads differ by. @returns how many there were */
function dimensionsAreSizes(build: Build, joint: JudgedJoint, drawing: Drawing): number {
  const sizes = sizesOf(build, joint.slots)
  const parted = SUMS.has(joint.id)
    ? sizesOf(build, Object.keys(build.parts) as Slot[])
    : joint.reads.map((ref) => sizeToDraw(build, ref).value)
  const more = joint.id === 'guard-openings' ? openingsBeside(build) : joint.id === 'bridge-reach' ? travelToSpare(build) : []
  const known = [...sizes, ...figuresOf(joint), ...more]
  const told = numbersIn(drawing)
  for (const { text } of told) {
    const [said, within] = [Math.abs(Number(text)), lastDigit(text)]
    const is = (x: number) => Math.abs(Math.abs(x) - said) <= within
    const made = known.some(is) || parted.some((a) => parted.some((b) => is(a - b)))
    // A figure of what nobody knows is not shown to anybody.
    expect(made || !numbersIn(drawJoint(build, joint.id)!).some((shown) => shown.text === text), `${joint.id}: ${text}`).toBe(true)
  }
  return told.length
}

/** Half of the last digit printed. */
const lastDigit = (text: string) => 0.5 * 10 ** -(text.split('.')[1]?.length ?? 0) + 1e-6

/** In true proportion each dimension is as long as it says. */
function trueProportion(joint: JudgedJoint, d: Drawing): void {
  if (d.note && /×|µm/.test(d.note)) return
  for (const { mark, text } of numbersIn(d)) {
    const apart = Math.hypot(mark.to.x - mark.from.x, mark.to.y - mark.from.y)
    expect(Math.abs(apart - Math.abs(Number(text))), `${joint.id}: ${text} for ${apart.toFixed(3)}`).toBeLessThanOrEqual(lastDigit(text))
  }
}

/** Nothing is drawn to be taken off where no check is sure of a fault: what nobody knows is drawn as usual, and is no ground to cut. */
function nothingToTakeOff(joint: JudgedJoint, drawing: Drawing): void {
  if (!joint.checks.some((c) => c.raw.verdict === 'tight' || c.raw.verdict === 'wont-go'))
    expect(
      drawing.marks.filter((m) => m.mark === 'area' && m.role === 'remove'),
      joint.id,
    ).toEqual([])
}

/** No length below nothing, no number that is none, no job of nothing. */
function readsWell({ id, checks }: JudgedJoint): void {
  for (const check of checks) {
    const sure = check.raw.verdict === 'cant-tell' ? [] : [check.says]
    for (const words of [...sure, ...check.cures.flatMap((c) => [c.job, c.how])]) {
      expect(words, `${id}/${check.id}`).not.toMatch(/NaN|Infinity|undefined|\bby 0 mm|\bof 0 mm\b|\d\.\d{4}/)
      // What is no wider is not wider by nothing.
      expect(words, `${id}/${check.id}`).not.toMatch(
        /(?<![\d.])0(?: mm|°) (?:too|larger|wider|narrower|to spare|to the|back|deeper|lower|longer)/,
      )
      // A stretch from more to less is none.
      for (const [stretch, from, to] of words.matchAll(/(?<![\d.−])([\d.]+)(?: mm|°)? (?:to|and) ([\d.]+)(?= ?(?:mm|°))/g))
        expect(Number(from), `${id}/${check.id}: ${stretch}`).toBeLessThanOrEqual(Number(to))
      // What is not known is given as the band it may lie in, which has signs of its own.
      expect(words.replace(/ By how much hangs on .*/, ''), `${id}/${check.id}`).not.toMatch(/(^|[\s(])-\d/)
    }
  }
}

describe('every joint', () => {
  it('is said and drawn by its sizes, whatever the build', { timeout: 600_000 }, () => {
    let held = 0
    const cases = holds(
      fc.property(fc.oneof(knownBuild, anyBuild), fc.nat(), (build, n) => {
        const joint = someJoint(build, n)
        const drawing = joint.draw()
        readsWell(joint)
        held += dimensionsAreSizes(build, joint, drawing)
        trueProportion(joint, drawing)
        nothingToTakeOff(joint, drawing)
      }),
      5_000,
    )
    expect(held).toBeGreaterThan(0.8 * cases)
  })
})

describe('the hatched side is the side that is named', () => {
  const hatched = (d: Drawing) => d.marks.flatMap((m) => (m.mark === 'area' && m.role === 'remove' ? [boxAround(m.points)] : []))
  it('pocket walls: bass and treble as the words have them, at the end they speak of, the deeper cut drawn deeper', {
    timeout: 600_000,
  }, () => {
    let [one, both] = [0, 0]
    const pockets = fc.record({
      mouth: fc.double({ min: 55.6, max: 56.5, noNaN: true }),
      end: fc.double({ min: 55.6, max: 56.5, noNaN: true }),
      axis: fc.double({ min: -4, max: 4, noNaN: true }),
      left: fc.boolean(),
    })
    fc.assert(
      fc.property(pockets, ({ mouth, end, axis, left }) => {
        const b: Build = {
          ...changed(fullBuild(), { 'body/pocket.widthMouth': mouth, 'body/pocket.widthEnd': end, 'body/axisAtBridge': axis }),
          handedness: left ? 'left' : 'right',
        }
        for (const place of ['mouth', 'end'] as const) {
          const joint = jointIn(b, `pocket-${place}`)
          const d = joint.draw()
          const job = joint.cures.find((c) => c.id === 'shave-wall')?.job
          if (!job) continue
          // In a view from above the bass wall of a left-handed body lies on the other side.
          const boxes = hatched(d).map((box) => ({
            wall: box.y + box.height / 2 > 0 === !left ? 'bass' : 'treble',
            deep: box.height,
            box,
          }))
          const only = /off the (bass|treble) wall near/.exec(job)?.[1]
          const more = /off the (bass|treble) wall and/.exec(job)?.[1]
          if (only) expect(boxes.map((x) => x.wall)).toEqual([only])
          else expect(boxes.map((x) => x.wall).toSorted()).toEqual(['bass', 'treble'])
          if (more) expect(boxes.find((x) => x.wall === more)!.deep).toBeGreaterThanOrEqual(boxes.find((x) => x.wall !== more)!.deep)
          for (const { box } of boxes) expect(box.x === 0, `${place}: ${job}`).toBe(place === 'mouth')
          if (only) one++
          else both++
        }
      }),
      { numRuns: 300, seed: 29 },
    )
    expect([one > 20, both > 20]).toEqual([true, true])
  })
  it('guard openings: each strip lies on the edge that is to be filed', { timeout: 600_000 }, () => {
    const sides = { 'neck side': [-1, 0], 'bridge side': [1, 0], 'bass side': [0, 1], 'treble side': [0, -1] } as const
    let held = 0
    fc.assert(
      fc.property(
        fc.constantFrom('neck', 'middle', 'bridge'),
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (place, along, across) => {
          const centre = { neck: 31, middle: 88, bridge: 143 }[place]
          const b = changed(fullBuild(), { [`guard/opening.${place}.centre`]: centre + along, [`guard/opening.${place}.side`]: across })
          const joint = jointIn(b, 'guard-openings')
          const job = joint.cures.find((c) => c.id === 'file-openings')?.job
          const strips = hatched(joint.draw())
          if (!job) return
          const named = [...job.matchAll(/(neck|middle|bridge) opening, (\w+ side)/g)]
          expect(strips).toHaveLength(named.length)
          const openings = joint.draw().marks.flatMap((m) => (m.mark === 'area' && m.role === 'open' ? [boxAround(m.points)] : []))
          for (const [i, [, at, side]] of named.entries()) {
            const opening = openings[['neck', 'middle', 'bridge'].indexOf(at!)]!
            const [dx, dy] = sides[side as keyof typeof sides]
            const away = (s: (typeof strips)[number]) =>
              dx
                ? dx * (s.x + s.width / 2 - opening.x - opening.width / 2) > opening.width / 2 - 0.5
                : dy * (s.y + s.height / 2 - opening.y - opening.height / 2) > opening.height / 2 - 0.5
            expect(strips.some(away), `${i}: ${job}`).toBe(true)
            held++
          }
        },
      ),
      { numRuns: 200, seed: 30 },
    )
    expect(held).toBeGreaterThan(20)
  })
})
