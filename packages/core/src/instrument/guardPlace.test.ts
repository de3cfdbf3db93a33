import fc from 'fast-check'
import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { pt } from '../geometry/point'
import { laid, placeGuard, seenFrom, type GuardRoom, type OpeningFit } from './guardPlace'

/** A humbucker's opening over its route, off by so much along and across; half a cover is 18 x 34.5 mm. */
const fit = (
  place: OpeningFit['place'],
  x: number,
  off: { along?: number; across?: number },
  play = { along: 0.3, across: 0.8 },
): OpeningFit => ({
  place,
  opening: pt(x, 0),
  route: pt(x + (off.along ?? 0), off.across ?? 0),
  play,
  half: { along: 18, across: 34.5 },
})
const AMPLE: GuardRoom = { along: 20, across: 20, turn: 0 }
const TURNING: GuardRoom = { along: 1, across: 1, turn: 1 }

describe('guard over routes, shifted', () => {
  it('one offset for all is cured by a shift', () => {
    const g = placeGuard([fit('neck', 30, { along: 2 }), fit('middle', 88, { along: 2 }), fit('bridge', 143, { along: 2 })], AMPLE)
    expect(g.worst).toBeLessThanOrEqual(0)
    expect(g.file).toEqual([])
    expect(g.pose.along).toBeCloseTo(1.7, 9)
  })
  it('openings 5.8 mm too close together: no shift cures it, and the filing is shared by the two that quarrel', () => {
    const g = placeGuard([fit('neck', 36, { along: -5.8 }), fit('bridge', 140, {})], { ...AMPLE, along: 0 })
    expect(g.worst).toBeCloseTo(5.5, 9)
    expect(g.file).toEqual([{ place: 'neck', edge: 'neck side', amount: expect.closeTo(5.5, 9) as number }])
    const free = placeGuard([fit('neck', 36, { along: -2.9 }), fit('bridge', 140, { along: 2.9 })], { ...AMPLE, along: 1 })
    expect(free.worst).toBeCloseTo(2.6, 9)
    expect(free.file.map((f) => f.edge)).toEqual(['neck side', 'bridge side'])
  })
  it('the heel is a stop: a guard that would like to go into it cannot', () => {
    const g = placeGuard([fit('neck', 30, { along: -2 }), fit('bridge', 143, { along: -2 })], AMPLE)
    expect(g.pose.along).toBe(0)
    expect(g.worst).toBeCloseTo(1.7, 9)
  })
  it('all a little to the bass side: shifted across, no further than it must', () => {
    const g = placeGuard([fit('neck', 30, { across: 1.3 }), fit('bridge', 143, { across: 1.3 })], AMPLE)
    expect(g.worst).toBeLessThanOrEqual(0)
    expect(g.pose.across).toBeCloseTo(0.5, 9)
  })
  it('no room at the heel’s sides: what is off across has to be filed on that side', () => {
    const g = placeGuard([fit('neck', 30, { across: 1.3 }), fit('bridge', 143, { across: 1.3 })], { ...AMPLE, across: 0 })
    expect(g.file.map((f) => [f.edge, f.amount.toFixed(2)])).toEqual([
      ['bass side', '0.50'],
      ['bass side', '0.50'],
    ])
  })
})

describe('guard over routes, turned', () => {
  it('openings that drift to one side towards the bridge: a turn brings them back where a shift cannot', () => {
    const drift = [fit('neck', 30, { across: -1.2 }), fit('bridge', 143, { across: 1.2 })]
    const straight = placeGuard(drift, { ...TURNING, turn: 0 })
    const turned = placeGuard(drift, TURNING)
    expect(straight.worst).toBeCloseTo(0.4, 9)
    // The turn itself takes a little room at the covers' corners.
    expect(turned.worst).toBeLessThan(0.05)
    expect(turned.pose.turn).toBeGreaterThan(0)
  })
  it('a turn that saves nothing is not made: the guard lies straight', () => {
    expect(placeGuard([fit('neck', 30, {}), fit('bridge', 143, { along: 6 })], TURNING).pose.turn).toBe(0)
    expect(placeGuard([fit('neck', 30, { across: 0.2 }), fit('bridge', 143, { across: -0.2 })], TURNING).pose.turn).toBe(0)
  })
  it('laid: shift and turn about the neck cut-out', () => {
    expect(laid({ along: 0.5, across: -0.2, turn: 0 }, pt(100, 10))).toEqual(pt(100.5, 9.8))
    const p = laid({ along: 0, across: 0, turn: 1 }, pt(100, 0))
    expect(p.y).toBeCloseTo((100 * Math.PI) / 180, 9)
  })
  it('seenFrom is the way back, to a hundredth of a millimetre over a guard', () => {
    const pose = { along: 0.7, across: -0.4, turn: 0.3 }
    for (const p of [pt(0, 0), pt(165, 50), pt(230, -88)]) {
      const there = seenFrom(pose, laid(pose, p))
      expect(Math.hypot(there.x - p.x, there.y - p.y)).toBeLessThan(0.01)
    }
  })
  it('mirrored across the centre line it is the same answer, mirrored', () => {
    const fits = [fit('neck', 30, { along: 1, across: -1.4 }), fit('middle', 88, { across: 0.3 }), fit('bridge', 143, { across: 1.1 })]
    const mirror = fits.map((f) => ({ ...f, opening: pt(f.opening.x, -f.opening.y), route: pt(f.route.x, -f.route.y) }))
    const [a, b] = [placeGuard(fits, TURNING), placeGuard(mirror, TURNING)]
    expect(b.worst).toBeCloseTo(a.worst, 6)
    expect(b.pose.turn).toBeCloseTo(-a.pose.turn, 3)
    expect(b.file.map((f) => f.edge)).toEqual(
      a.file.map((f) => ({ 'bass side': 'treble side', 'treble side': 'bass side' })[f.edge as string] ?? f.edge),
    )
  })
})

const offs = fc.record({ along: fc.double({ min: -4, max: 4, noNaN: true }), across: fc.double({ min: -3, max: 3, noNaN: true }) })
const three = fc
  .tuple(offs, offs, offs, fc.double({ min: 0.1, max: 1.5, noNaN: true }))
  .map(([n, m, b, play]) => [fit('neck', 32, n), fit('middle', 88, m), fit('bridge', 143, b, { along: play, across: play })])

describe('guard over routes, proved', () => {
  it('is the best place there is: no shift and turn on a grid does better', () => {
    fc.assert(
      fc.property(three, (fits) => {
        const { worst } = placeGuard(fits, TURNING)
        for (let turn = -1; turn <= 1; turn += 0.25)
          for (let dx = 0; dx <= 1; dx += 0.25)
            for (let dy = -1; dy <= 1; dy += 0.25) {
              const t = (turn * Math.PI) / 180
              const lack = Math.max(
                ...fits.flatMap((f) => [
                  Math.abs(dx - (f.route.x - f.opening.x + t * f.opening.y)) - f.play.along + Math.abs(t) * f.half.across,
                  Math.abs(dy - (f.route.y - f.opening.y - t * f.opening.x)) - f.play.across + Math.abs(t) * f.half.along,
                ]),
              )
              // A straight guard is kept where a turn would save less than 0.02 mm, or nothing needs saving.
              expect(Math.max(0, lack)).toBeGreaterThanOrEqual(Math.max(0, worst) - 0.021)
            }
      }),
      { numRuns: 40 },
    )
  })
  it('agrees with a linear program given to a general solver', async () => {
    const solver = await highs()
    fc.assert(
      fc.property(three, (fits) => {
        const { worst } = placeGuard(fits, TURNING)
        expect(Math.max(0, worst)).toBeCloseTo(Math.max(0, leastByProgram(solver, fits)), 1)
        expect(Math.max(0, worst) - Math.max(0, leastByProgram(solver, fits))).toBeLessThan(0.021)
      }),
      { numRuns: 40 },
    )
  }, 30_000)
  it('what it says to file is what then lets every cover through', () => {
    fc.assert(
      fc.property(three, (fits) => {
        const g = placeGuard(fits, TURNING)
        // An edge filed by f: the opening's middle moves by f/2 towards it and the play grows by f/2.
        const filed = fits.map((f) => {
          const mine = g.file.filter((x) => x.place === f.place)
          const take = (edge: string) => mine.find((x) => x.edge === edge)?.amount ?? 0
          return {
            ...f,
            opening: pt(
              f.opening.x + (take('bridge side') - take('neck side')) / 2,
              f.opening.y + (take('bass side') - take('treble side')) / 2,
            ),
            play: {
              along: f.play.along + (take('bridge side') + take('neck side')) / 2,
              across: f.play.across + (take('bass side') + take('treble side')) / 2,
            },
          }
        })
        const t = (Math.abs(g.pose.turn) * Math.PI) / 180
        for (const f of filed) {
          const at = laid(g.pose, f.opening)
          expect(Math.abs(at.x - f.route.x)).toBeLessThan(f.play.along - t * f.half.across + 0.05)
          expect(Math.abs(at.y - f.route.y)).toBeLessThan(f.play.across - t * f.half.along + 0.05)
        }
      }),
      { numRuns: 60 },
    )
  })
})

/** The same minimax as a linear program: least f with every lack at most f, the turn's size split in two. */
function leastByProgram(solver: Awaited<ReturnType<typeof highs>>, fits: readonly OpeningFit[]): number {
  const rows: string[] = []
  const n = (v: number) => `${v < 0 ? '-' : '+'} ${Math.abs(v).toFixed(12)}`
  const lack = (shift: 'dx' | 'dy', wants: number, slope: number, play: number, half: number) => {
    // ±(shift - wants - slope t) - play + |t| half <= f, with t = p - m and |t| <= p + m.
    rows.push(`${shift} ${n(half - slope)} p ${n(half + slope)} m - f <= ${play + wants}`)
    rows.push(`- ${shift} ${n(half + slope)} p ${n(half - slope)} m - f <= ${play - wants}`)
  }
  for (const f of fits) {
    lack('dx', f.route.x - f.opening.x, f.opening.y, f.play.along, f.half.across)
    lack('dy', f.route.y - f.opening.y, -f.opening.x, f.play.across, f.half.along)
  }
  const most = Math.PI / 180
  const program = `Minimize\n obj: f\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBounds\n 0 <= dx <= 1\n -1 <= dy <= 1\n 0 <= p <= ${most}\n 0 <= m <= ${most}\n f free\nEnd\n`
  const solved = solver.solve(program)
  if (solved.Status !== 'Optimal') throw new Error(solved.Status)
  return solved.ObjectiveValue
}
