import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../../document/build'
import { specAt } from '../../document/read'
import { bandOf } from '../../parts/kind'
import { normal, probabilityBetween } from '../../quantity/distribution'
import { START_IDS, STARTING_SETS } from '../../parts/starting/sets'
import { fullBuild } from '../../testing/fullBuild'
import { judgeJoints } from '../findJoints'
import { bundled, measureNext, measuringRound } from './measureNext'
import { slices, withSizes } from './readings'
import { stakes } from './stakes'
import { doubtOfBuild } from './unsure'

/** The full build with some sizes known only by listing. */
function listed(refs: readonly string[], doubt = 0.6): Build {
  const b = structuredClone(fullBuild())
  for (const ref of refs) {
    const [slot, size] = ref.split('/') as ['body', string]
    b.parts[slot]!.sizes[size] = { ...b.parts[slot]!.sizes[size]!, known: 'listed', doubt }
  }
  return b
}

describe('what to measure next', () => {
  it('nothing, where every size is read and every joint snug', () => expect(measureNext(fullBuild())).toEqual([]))
  it('the one size a joint hangs on, with its tool and its minutes', () => {
    const [first] = measureNext(listed(['body/pocket.widthMouth']))
    expect(first!.ref).toEqual({ slot: 'body', size: 'pocket.widthMouth' })
    expect(first!.tool).toBe('calipers')
    expect(first!.minutes).toBeGreaterThan(0)
    expect(first!.joints).toContain('pocket-mouth')
  })
  it('the size with more say goes before one with less', () => {
    const ranked = measureNext(listed(['body/pocket.widthMouth', 'body/thickness']))
    const at = (size: string) => ranked.findIndex((r) => r.ref.size === size)
    expect(at('pocket.widthMouth')).toBe(0)
    expect(at('thickness') === -1 || at('thickness') > 0).toBe(true)
  })
  it('a gain is never negative, and what pays best for its minutes goes first', () => {
    const round = measuringRound(
      listed(['body/pocket.widthMouth', 'neck/heel.widthMouth', 'bridge/studDiameter', 'nut/height', 'guard/opening.neck.centre']),
    )
    const rates = [...new Set(round.map((b) => b.set))].map((set) => {
      const ranked = round.filter((b) => b.set === set).flatMap((b) => b.readings)
      for (const r of ranked) expect(r.gain).toBeGreaterThanOrEqual(-1e-9)
      const minutes = ranked.reduce((s, r) => s + r.minutes, 0) + 0.5 * new Set(ranked.map((r) => `${r.ref.slot} ${r.tool}`)).size
      return ranked.reduce((s, r) => s + r.gain, 0) / minutes
    })
    expect(rates.length).toBeGreaterThan(1)
    for (let i = 1; i < rates.length; i++) expect(rates[i]!).toBeLessThanOrEqual(rates[i - 1]! + 1e-9)
  })
  it('a rule where there are no calipers; nothing to say of ohms without a meter', () => {
    expect(measureNext(listed(['body/pocket.widthMouth'], 1.4), ['rule'])[0]!.tool).toBe('rule')
    const b = listed(['body/pocket.widthMouth'])
    expect(measureNext(b, ['meter', 'scale'])).toEqual([])
  })
  it('a part still to be bought weighs more than one in hand', () => {
    const here = listed(['bridge/studDiameter'])
    const dear = structuredClone(here)
    dear.parts.bridge!.state = 'planned'
    dear.parts.bridge!.price = 120
    expect(measureNext(dear)[0]!.gain).toBeGreaterThan(measureNext(here)[0]!.gain)
  })
  it('one joint at a time, so that it can be left off; put together it is the whole', () => {
    const build = listed(['body/pocket.widthMouth', 'nut/height', 'bridge/studDiameter'])
    const every = stakes(build, ['calipers'])
    const first = every.next()
    expect(first.done).toBe(false)
    expect(bundled([first.value!, ...every].flat(), ['calipers'])).toEqual(measuringRound(build, ['calipers']))
  })
  it('partners are asked for together: heel and pocket width, one part in each hand, two minutes, two readings', () => {
    const build = listed([])
    for (const [slot, size] of [
      ['body', 'pocket.widthMouth'],
      ['neck', 'heel.widthMouth'],
    ] as const)
      delete build.parts[slot]!.sizes[size]
    const [first] = measuringRound(build)
    expect(first!.readings.map((r) => `${r.ref.slot}/${r.ref.size}`).toSorted()).toEqual(['body/pocket.widthMouth', 'neck/heel.widthMouth'])
    // Two readings of half a minute, and half a minute to take each part in hand.
    expect(first!.minutes).toBeCloseTo(2, 9)
    expect(first!.settles).toContain('pocket-mouth')
    for (const r of first!.readings) expect(r.gain).toBeGreaterThan(0.05)
  })
  it('a size whose partner is unknown too is never worth nothing', () => {
    for (const start of START_IDS) {
      const { strings, scale } = STARTING_SETS[start]
      const build = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
      const round = measuringRound(build)
      expect(round.length, start).toBeGreaterThan(4)
      for (const r of round.flatMap((b) => b.readings)) expect(r.gain, `${start} ${r.ref.slot}/${r.ref.size}`).toBeGreaterThan(0)
      // No reading is asked for twice, and none of a part that is not there.
      const keys = round.flatMap((b) => b.readings.map((r) => `${r.ref.slot}/${r.ref.size}`))
      expect(new Set(keys).size).toBe(keys.length)
      for (const r of round.flatMap((b) => b.readings)) expect(build.parts[r.ref.slot]).toBeDefined()
      // A strap button is not what a kit is begun with.
      expect(round[0]!.readings.some((r) => r.ref.slot === 'strap-buttons')).toBe(false)
    }
  })
  it('read as asked, bundle after bundle, no joint it names lacks a size', () => {
    let build = newBuild({ name: 'New', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-guard-vibrato' }, '2026-11-24')
    for (let k = 0; k < 4; k++) {
      const [bundle] = measuringRound(build)
      for (const r of bundle!.readings) {
        const size = build.parts[r.ref.slot]!.sizes[r.ref.size]
        const { low, high } = bandOf(specAt(r.ref))
        build = withSizes(build, [[r.ref, { value: size?.value ?? (low + high) / 2, doubt: 0.05, known: 'calipers' }]])
      }
      const joints = judgeJoints(build)
      for (const id of bundle!.settles) {
        const joint = joints.find((j) => j.id === id)!
        expect(joint.missing, id).toEqual([])
      }
    }
  })
  it('the first bundle is as good as the best of all sets of readings there are, on a build small enough to try them', () => {
    const build = listed([])
    build.parts = { body: build.parts.body!, neck: build.parts.neck!, 'neck-screws': build.parts['neck-screws']! }
    for (const [slot, size] of [
      ['body', 'pocket.widthMouth'],
      ['neck', 'heel.widthMouth'],
      ['body', 'pocket.depth'],
      ['neck', 'heel.thickness'],
      ['neck-screws', 'length'],
      ['body', 'pocket.widthEnd'],
    ] as const)
      delete build.parts[slot]!.sizes[size]
    const at = [...stakes(build, ['calipers'])].flat()
    const refs = [...new Map(at.flatMap((s) => s.needs.map((r) => [`${r.slot}/${r.size}`, r] as const))).entries()]
    expect(refs.length).toBeGreaterThan(4)
    const worth = (set: ReadonlySet<string>) =>
      at.reduce((sum, s) => sum + (s.needs.every((r) => set.has(`${r.slot}/${r.size}`)) ? s.worth : 0), 0)
    const minutes = (set: ReadonlySet<string>) => 0.5 * set.size + 0.5 * new Set([...set].map((k) => k.split('/')[0])).size
    let best = 0
    for (let mask = 1; mask < 1 << refs.length; mask++) {
      const set = new Set(refs.flatMap(([key], i) => (mask & (1 << i) ? [key] : [])))
      best = Math.max(best, worth(set) / minutes(set))
    }
    const first = measuringRound(build, ['calipers']).filter((b) => b.set === 0)
    const set = new Set(first.flatMap((b) => b.readings.map((r) => `${r.ref.slot}/${r.ref.size}`)))
    expect(worth(set) / minutes(set)).toBeCloseTo(best, 9)
    // Within it the joint that is settled soonest goes first.
    const rate = (b: (typeof first)[number]) => worth(new Set(b.readings.map((r) => `${r.ref.slot}/${r.ref.size}`))) / b.minutes
    const alone = at.filter((s) => s.needs.every((r) => set.has(`${r.slot}/${r.size}`)))
    for (const s of alone) {
      const own = new Set(s.needs.map((r) => `${r.slot}/${r.size}`))
      expect(rate(first[0]!)).toBeGreaterThanOrEqual(s.worth / minutes(own) - 1e-9)
    }
  })
  it('what is read settles: the doubt of the whole build falls', () => {
    expect(doubtOfBuild(listed(['body/pocket.widthMouth']))).toBeGreaterThan(doubtOfBuild(fullBuild()))
  })
})

describe('slices of equal chance', () => {
  it('each holds its share of a normal', () => {
    const d = normal(10, 2)
    const values = slices(d, 9)
    expect(values[4]).toBeCloseTo(10, 6)
    values.forEach((v, i) => expect(probabilityBetween(d, -Infinity, v)).toBeCloseTo((i + 0.5) / 9, 5))
  })
  it('reach into the wide part of a mixture', () => {
    const values = slices(
      [
        { weight: 0.85, mean: 0, sigma: 0.2 },
        { weight: 0.15, mean: 0, sigma: 4 },
      ],
      21,
    )
    expect(Math.max(...values)).toBeGreaterThan(2)
    for (let i = 1; i < values.length; i++) expect(values[i]!).toBeGreaterThan(values[i - 1]!)
  })
})
