import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { specAt, type SizeRef } from '../document/read'
import { bandOf } from '../parts/kind'
import { normal } from '../quantity/distribution'
import { aBuild, aPart } from '../testing/bench'
import { holds } from '../testing/holds'
import { Asker } from './ask'
import type { Question } from './joint'
import { sizeIn } from './known'

/** Three sizes of a body, and how far each lies along its band, 0 to 1. */
const SIZES: readonly SizeRef[] = ['thickness', 'pocket.depth', 'pocket.length'].map((size) => ({ slot: 'body', size }))
const along = (ref: SizeRef, share: number) => {
  const { low, high } = bandOf(specAt(ref))
  return low + share * (high - low)
}
const shareOf = (build: Build, ref: SizeRef) => {
  const { low, high } = bandOf(specAt(ref))
  return (sizeIn(build, ref).value - low) / (high - low)
}
const known = (shares: readonly (number | undefined)[]): Build =>
  aBuild({
    body: aPart(
      'body',
      Object.fromEntries(
        SIZES.flatMap((ref, i) => (shares[i] === undefined ? [] : [[ref.size, [along(ref, shares[i]), 'calipers', 0.001]]])),
      ),
    ),
  })

/** A straight line in each of the three, or one with a bend where it turns back. */
const line = fc.record({
  at: fc.integer({ min: -12, max: 12 }),
  by: fc.tuple(...SIZES.map(() => fc.constantFrom(-16, -8, -4, 0, 0, 4, 8, 16))),
  bent: fc.boolean(),
  top: fc.integer({ min: -6, max: 6 }),
})
type Line = { at: number; by: number[]; bent: boolean; top?: number }
const reckonOne = ({ at, by, bent, top = 3 }: Line, shares: readonly number[]) => {
  const straight = by.reduce((sum, b, i) => sum + b * shares[i]!, at)
  return bent ? top - Math.abs(straight) : straight
}
/** Sometimes the nearer of two such walls. */
const walls = fc.oneof(fc.tuple(line), fc.tuple(line, line))
const reckon = (lines: readonly Line[], shares: readonly number[]) => Math.min(...lines.map((l) => reckonOne(l, shares)))

const BANDS = [
  { upTo: -4, is: 'wont-go' },
  { upTo: 0, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
] as const

/** A check of one clearance that exists only where the other line is above nothing. */
const asking =
  (clearance: readonly Line[], there: Line) =>
  (build: Build): Question | undefined => {
    if (
      reckonOne(
        there,
        SIZES.map((r) => (there.by[SIZES.indexOf(r)] ? shareOf(build, r) : 0)),
      ) <= 0
    )
      return undefined
    return {
      id: 'x',
      label: 'x',
      clearance: normal(
        reckon(
          clearance,
          SIZES.map((r) => (clearance.some((l) => l.by[SIZES.indexOf(r)]) ? shareOf(build, r) : 0)),
        ),
        0.0001,
      ),
      bands: BANDS,
      says: () => 'x',
    }
  }
const share = fc.integer({ min: 0, max: 20 }).map((n) => n / 20)

describe('a class given to parts of which some sizes are not known', () => {
  it('is the class of every body such parts may be: snug only if all are that have the check, a fault only if all have it', () => {
    let sure = 0
    let silent = 0
    const asked = holds(
      fc.property(
        walls,
        line,
        fc.tuple(share, share, share),
        fc.tuple(fc.boolean(), fc.boolean(), fc.boolean()),
        fc.array(fc.tuple(share, share, share), { minLength: 12, maxLength: 12 }),
        (clearance, there, at, told, others) => {
          const ask = asking(clearance, { ...there, bent: false })
          const [check] = new Asker(known(at.map((s, i) => (told[i] ? s : undefined)))).judge(ask)
          for (const other of others) {
            const whole = at.map((s, i) => (told[i] ? s : other[i]!))
            const [really] = new Asker(known(whole)).judge(ask)
            if (!check) expect(really, `${whole} has a check nobody heard of`).toBeUndefined()
            else if (check.raw.verdict === 'snug') {
              if (really) expect(really.raw.verdict, `${whole}`).toBe('snug')
            } else if (check.raw.verdict !== 'cant-tell') expect(really?.raw.verdict, `${whole}`).toBe(check.raw.verdict)
          }
          if (told.some((t) => !t)) check && check.raw.verdict !== 'cant-tell' ? sure++ : silent++
        },
      ),
      4_000,
    )
    // Neither always silent nor never.
    expect(sure).toBeGreaterThan(asked / 20)
    expect(silent).toBeGreaterThan(asked / 20)
  })
  // 3 - |6 - 8 s| is 1 at the middle and at the far end, and under nothing near s = 0, where the check is not there: 4 s > 0.
  it('is none where it vanishes towards one end, is the same at the middle and at the other, and bends between', () => {
    const ask = asking([{ at: 1, by: [4, -8, 8], bent: true }], { at: -4, by: [8, 4, 4], bent: false })
    expect(new Asker(known([0.25, undefined, 0.5])).judge(ask)[0]!.raw.verdict).toBe('cant-tell')
    expect(new Asker(known([0.25, 0.05, 0.5])).judge(ask)[0]!.raw.verdict).toBe('tight')
    expect(new Asker(known([0.25, 0.5, 0.5])).judge(ask)[0]!.raw.verdict).toBe('snug')
  })
  // The nearer of two walls: -1 - 16 t, and -3 - |8 s - 6|. In the middle of t the first alone counts, -9, whatever s is; where t is 0
  // the second does, and is -3 at s = 0.75 though -9, -5 and -5 at its ends and its middle.
  it('is none where one size alone moves nothing and another’s end lets it bend', () => {
    const ask = asking(
      [
        { at: -1, by: [0, -16, 0], bent: false },
        { at: -6, by: [8, 0, 0], bent: true, top: -3 },
      ],
      { at: 4, by: [0, 0, 0], bent: false },
    )
    expect(new Asker(known([0.75, 0, 0.5])).judge(ask)[0]!.raw.verdict).toBe('tight')
    for (const s of [0, 0.5, 1]) expect(new Asker(known([s, 0, 0.5])).judge(ask)[0]!.raw.verdict).toBe('wont-go')
    expect(new Asker(known([undefined, undefined, 0.5])).judge(ask)[0]!.raw.verdict).toBe('cant-tell')
  })
})
