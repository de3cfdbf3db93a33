import { groundOf } from '../instrument/stringGround'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { specAt, traitAt } from '../document/read'
import { printMm } from '../quantity/length'
import { slotSpec, type Slot } from '../parts/slots'
import { FACE_GUARD, tipCone } from '../physics/pilot'
import { anyBuild, everySize, everyTrait, knownBuild, untold } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { holds } from '../testing/holds'
import { USUAL_BENCH, type Bench } from './bench'
import type { HoleCard } from './holeCard'
import { cardDrawing, drawnCards, holeCards } from './holes'

/** Some of what was told is taken back again, so that cards of every standing are met. */
const somePlaces = (build: Build, drop: readonly number[]): Build => {
  let now = build
  const traits = everyTrait(build)
  for (const at of drop) {
    const [slot, trait] = traits[at % traits.length]!
    now = untold(now, 'traits', slot, trait)
  }
  return now
}
const aBench: fc.Arbitrary<Bench> = fc.record({
  bits: fc.oneof(
    fc.constant(USUAL_BENCH.bits),
    fc.uniqueArray(
      fc.integer({ min: 10, max: 130 }).map((d) => d / 10),
      { maxLength: 20 },
    ),
  ),
  throats: fc.array(fc.integer({ min: 60, max: 250 }), { maxLength: 2 }),
  stand: fc.boolean(),
  block: fc.boolean(),
  routerBits: fc.constant([6.35]),
  bushings: fc.constant([12.7]),
})
const drawn = fc.tuple(anyBuild, fc.array(fc.nat(), { maxLength: 3 })).map(([b, drop]) => somePlaces(drillable(b), drop))
/** Cases of each law in a long run. */
const RUNS = 1200
const made = (c: HoleCard) => c.work === 'new' || c.work === 'plug'

/** The one hole that is begun in another: the string ground's, in the bore of a post, right in its middle. */
function begunIn(build: Build, wire: HoleCard, bore: HoleCard): boolean {
  if (wire.id !== 'ground-wire' || bore.id !== 'stud-bores' || groundOf(traitAt(build, 'bridge', 'mount')) !== 'stud') return false
  expect(wire.places.every((p) => bore.places.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < 0.01))).toBe(true)
  return true
}

describe('laws of holes, over generated builds of every kind', () => {
  it('no bit comes nearer to a face than the guard, however the sizes fall; what is refused says what to do', () =>
    void holds(
      fc.property(drawn, aBench, (build, bench) => {
        for (const c of holeCards(build, bench)) {
          // Read one after the other on paper.
          for (const line of c.mind) expect(line, c.id).toMatch(/^[^a-z].*[.:]$/s)
          if (c.stands === 'refused') {
            expect(c.says.length, c.id).toBeGreaterThan(20)
            expect(c.steps, c.id).toEqual([])
          } else if (c.stands !== 'done' && c.flag !== undefined) expect(Math.min(c.flag, c.depth!), c.id).toBeGreaterThan(0)
          if (!made(c) || c.left === undefined || c.stands === 'refused') continue
          expect(c.left, c.id).toBeGreaterThanOrEqual(FACE_GUARD - 1e-9)
          if (c.bit !== undefined) expect(c.flag, c.id).toBeCloseTo(c.depth! + tipCone(c.bit), 9)
        }
      }),
      RUNS,
    ))
  it('a pilot stays under its screw’s root, and its words, its steps and its tape are one value', () =>
    void holds(
      fc.property(drawn, aBench, (build, bench) => {
        for (const c of holeCards(build, bench)) {
          if (c.flag === undefined || c.stands === 'done' || c.stands === 'refused' || !made(c)) continue
          expect(
            c.steps.some((s) => s.includes(`tape at ${printMm(c.flag!, 1)} mm`)),
            `${c.id}: ${c.steps.join('; ')}`,
          ).toBe(true)
          expect(
            c.steps.some((s) => s.includes(`${printMm(c.bit!)} mm`)),
            c.id,
          ).toBe(true)
          // The sizes to go on with in scrap lie over the first and under the root.
          const on = /wants force, (.*) mm/.exec(c.steps[0] ?? '')?.[1]?.match(/[\d.]+/g) ?? []
          const root = rootOf(build, c.id)
          if (root === undefined) continue
          expect(Number(printMm(c.bit!)), c.id).toBeLessThan(root)
          for (const size of on.map(Number)) {
            expect(size, c.id).toBeGreaterThan(c.bit!)
            expect(size, c.id).toBeLessThan(root)
          }
        }
      }),
      RUNS,
    ))
  it('less known is never readier: what was to be minded, refused or waited for does not become ready by forgetting', () =>
    void holds(
      fc.property(drawn, fc.nat(), fc.boolean(), (build, at, trait) => {
        const names = trait ? everyTrait(build) : everySize(build)
        const [slot, name] = names[at % names.length]!
        const now = holeCards(build)
        // Somebody who read a hole and says that it is not there has said two things; forgetting one of them is no law's matter.
        if (now.some((c) => c.work === 'keep') && !trait && /bore|hole|route|passage/i.test(name)) return
        const then = holeCards(untold(build, trait ? 'traits' : 'sizes', slot, name))
        for (const c of then) {
          const was = now.find((n) => n.id === c.id)
          if (was && c.stands === 'ready') expect(was.stands, `${c.id} without ${slot} ${name}`).toBe('ready')
        }
      }),
      RUNS,
    ))
  it('two holes that are made never share wood unless one of them is refused', () =>
    void holds(
      fc.property(fc.oneof(drawn, knownBuild.map(drillable)), (build) => {
        const cards = holeCards(build).filter((c) => made(c) && c.bit !== undefined && c.stands !== 'refused')
        for (const a of cards)
          for (const b of cards) {
            if (a.side !== b.side || a.side === 'rim') continue
            if (begunIn(build, a, b) || begunIn(build, b, a)) continue
            a.places.forEach((p, i) =>
              b.places.forEach((q, j) => {
                if (a.id === b.id && i === j) return
                const apart = Math.hypot(p.x - q.x, p.y - q.y) - (a.bit! + b.bit!) / 2
                if (apart <= 0)
                  expect(
                    a.guards.some((g) => g.id === `near-${b.id}` && g.verdict !== 'snug'),
                    `${a.id} ${b.id}`,
                  ).toBe(true)
              }),
            )
          }
      }),
      RUNS,
    ))
  it('thicker wood never makes a hole shallower', () =>
    void holds(
      fc.property(
        drawn,
        fc.constantFrom(['body', 'thickness'], ['neck', 'heel.thickness'], ['neck', 'head.thickness']),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (build, ref, by) => {
          const [slot, size] = ref as [Slot, string]
          const now = build.parts[slot]?.sizes[size]
          if (!now || now.value + by > specAt({ slot, size }).max) return
          const thicker = {
            ...build,
            parts: {
              ...build.parts,
              [slot]: { ...build.parts[slot]!, sizes: { ...build.parts[slot]!.sizes, [size]: { ...now, value: now.value + by } } },
            },
          }
          const after = holeCards(thicker)
          for (const c of holeCards(build)) {
            const then = after.find((a) => a.id === c.id)
            // A thicker body takes more of a neck screw's length before its heel.
            if (c.depth === undefined || then?.depth === undefined || (c.id === 'neck-screws' && slot === 'body')) continue
            expect(then.depth, c.id).toBeGreaterThanOrEqual(c.depth - 1e-9)
          }
        },
      ),
      RUNS,
    ))
  it('a left-handed instrument has the same holes, bass for bass', () =>
    void holds(
      fc.property(drawn, (build) => {
        const other: Build = { ...build, handedness: build.handedness === 'left' ? 'right' : 'left' }
        expect(holeCards(other)).toEqual(holeCards(build))
      }),
      RUNS,
    ))
  it('no card has an empty loupe: it shows the hole, or what to measure and where', () =>
    void holds(
      fc.property(drawn, (build) => {
        for (const c of drawnCards(build, USUAL_BENCH)) {
          expect(cardDrawing(c).marks.length, c.id).toBeGreaterThan(1)
          if (c.stands === 'waiting') expect(c.missing.length + c.untold.length, c.id).toBeGreaterThan(0)
          for (const ref of [...c.missing]) expect(build.parts[ref.slot], `${c.id} asks for ${ref.slot}`).toBeDefined()
          for (const ref of [...c.untold]) expect(build.parts[ref.slot], `${c.id} asks for ${ref.slot}`).toBeDefined()
        }
      }),
      // Each draws every card of a build.
      240,
    ))
  it('no advice names a part that is not on this build', () =>
    void holds(
      fc.property(drawn, (build) => {
        for (const c of holeCards(build)) {
          expect(build.parts[c.slot], c.id).toBeDefined()
          const words = [c.says, ...c.steps, ...c.from, ...c.guards.map((g) => g.says)].join(' ')
          if (!build.parts.guard) expect(words, c.id).not.toMatch(/guard’s/)
          if (!build.parts.ferrules && c.id !== 'string-holes') expect(words, c.id).not.toMatch(/ferrule/)
        }
      }),
      RUNS,
    ))
})

const ROOTS: Record<string, Slot> = {
  'bridge-screws': 'bridge',
  'neck-screws': 'neck-screws',
  'tuner-screws': 'tuners',
  'strap-buttons': 'strap-buttons',
  'guard-screws': 'guard',
  'claw-screws': 'springs',
  'string-tree': 'string-tree',
}
function rootOf(build: Build, id: string): number | undefined {
  const slot = ROOTS[id]
  return slot && build.parts[slot]?.sizes[slotSpec(slot).kind === 'neck-screws' ? 'root' : 'screw.root']?.value
}
