import { doubtOfBuild, judgeJoints, measureNext, unsure, type Build, type Size, type SizeRef } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { dunlin } from './dunlin'
import { heron } from './heron'

const TODAY = '2026-11-24'

/** mulberry32 and Box-Muller: seeded readings, so that the brute force can be met again. */
function normals(seed: number) {
  let a = seed >>> 0
  const uniform = () => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform())
}

/** A neck and a body and nothing else: few sizes, so that everything can be tried. */
function small(change: (b: Build) => void): Build {
  const b = structuredClone(heron(TODAY, '2027-02-15', '2026-12-05'))
  b.parts = { body: b.parts.body!, neck: b.parts.neck!, 'neck-screws': b.parts['neck-screws']! }
  change(b)
  return b
}
const put = (b: Build, ref: SizeRef, size: Size) => (b.parts[ref.slot]!.sizes[ref.size] = size)

/** Expected doubt left after measuring one size, by drawing many readings of it. */
function bruteForce(build: Build, ref: SizeRef, runs = 400): number {
  const normal = normals(17)
  const size = build.parts[ref.slot]!.sizes[ref.size]!
  let sum = 0
  for (let i = 0; i < runs; i++) {
    const told = structuredClone(build)
    put(told, ref, { value: size.value + (normal() * size.doubt) / 2, doubt: 0.05, known: 'calipers' })
    sum += doubtOfBuild(told)
  }
  return sum / runs
}

describe('measure next', () => {
  it.each([
    [
      'two widths by rule, one near a limit',
      (b: Build) => {
        put(b, { slot: 'neck', size: 'heel.widthMouth' }, { value: 56.05, doubt: 0.3, known: 'rule' })
        put(b, { slot: 'neck', size: 'heel.widthEnd' }, { value: 55.6, doubt: 0.3, known: 'rule' })
      },
    ],
    [
      'screw and heel thickness by rule',
      (b: Build) => {
        put(b, { slot: 'neck', size: 'heel.thickness' }, { value: 22.6, doubt: 0.3, known: 'rule' })
        put(b, { slot: 'neck-screws', size: 'length' }, { value: 49.2, doubt: 1, known: 'tape' })
        put(b, { slot: 'neck', size: 'heel.widthEnd' }, { value: 56.05, doubt: 0.3, known: 'rule' })
      },
    ],
  ])('the first on the list is the best single choice by brute force: %s', (_, change) => {
    const build = small(change)
    const list = measureNext(build, ['calipers']).filter((r) => build.parts[r.ref.slot]!.sizes[r.ref.size])
    expect(list.length).toBeGreaterThan(1)
    const left = list.map((r) => bruteForce(build, r.ref))
    expect(left[0]!).toBeLessThanOrEqual(Math.min(...left) + 0.02)
  })
  it('asks for what the one open joint hangs on', () => {
    const build = small((b) => put(b, { slot: 'neck', size: 'heel.widthEnd' }, { value: 56.05, doubt: 0.3, known: 'rule' }))
    expect(measureNext(build, ['calipers'])[0]!.ref).toEqual({ slot: 'neck', size: 'heel.widthEnd' })
  })
  it('asks for nothing a better tool is not there for', () => {
    const build = small((b) => put(b, { slot: 'neck', size: 'heel.widthEnd' }, { value: 56.05, doubt: 0.3, known: 'rule' }))
    expect(measureNext(build, ['rule']).some((r) => r.ref.size === 'heel.widthEnd')).toBe(false)
  })
  it('guard and pickups before the body is measured: the routes come first', () => {
    const build = structuredClone(heron(TODAY, '2027-02-15', '2026-12-05'))
    for (const key of Object.keys(build.parts.body!.sizes).filter((k) => k.startsWith('route.'))) {
      const size = build.parts.body!.sizes[key]!
      build.parts.body!.sizes[key] = { ...size, doubt: 0.8, known: 'listed' }
    }
    expect(judgeJoints(build).find((j) => j.id === 'guard-openings')!.verdict).not.toBe('snug')
    expect(
      measureNext(build)
        .slice(0, 6)
        .some((r) => r.ref.size.startsWith('route.')),
    ).toBe(true)
  })
  it('no reading is expected to make things worse', () => {
    for (const r of measureNext(dunlin(TODAY, '2027-02-15', '2026-12-13'))) expect(r.gain).toBeGreaterThan(-0.02)
  })
  it('a joint that waits for sizes is less sure than one in doubt about those it has, and the less sure the more it waits for', () => {
    const waiting = (...sizes: string[]) => {
      const build = small((b) => {
        for (const size of sizes) delete b.parts.neck!.sizes[size]
      })
      return unsure(judgeJoints(build).find((j) => j.id === 'pocket-end')!)
    }
    expect(waiting('heel.widthEnd')).toBeGreaterThan(0.75)
    expect(waiting('heel.widthEnd', 'heel.radius')).toBeGreaterThan(waiting('heel.widthEnd'))
    expect(waiting()).toBeLessThan(0.75)
  })
})
