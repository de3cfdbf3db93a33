import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { aBass } from '../testing/aBass'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { PLAYING_SYMPTOMS } from './playingSymptoms'
import { openTrouble, playingDiagnosis, playingSymptomsOf } from './playingTroubles'
import { returnSays, returnTest } from './returnTest'

const bare = (): Build => ({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } })
const read = (b: Build, ...readings: SetupReading[]): Build => ({
  ...b,
  setup: { ...b.setup, readings: { ...b.setup.readings, ...Object.fromEntries(readings.map((r) => [setupReadingId(r), r])) } },
})
const symptom = (id: string) => PLAYING_SYMPTOMS.find((s) => s.id === id)!
const share = (b: Build, s: string, cause: string, found = {}) =>
  playingDiagnosis(b, symptom(s), found).suspects.find((c) => c.id === cause)!.share

describe('what is wrong at playing', () => {
  it('every check speaks of causes its symptom has, every cause can be told by some check, ids are unlike', () => {
    for (const s of PLAYING_SYMPTOMS) {
      const causes = s.causes.map((c) => c.id)
      expect(new Set(causes).size, s.id).toBe(causes.length)
      expect(new Set(s.checks.map((c) => c.id)).size, s.id).toBe(s.checks.length)
      for (const c of s.checks) for (const id of c.shows) expect(causes, `${s.id} ${c.id}`).toContain(id)
    }
    expect(PLAYING_SYMPTOMS.map((s) => s.id)).toEqual([...new Set(PLAYING_SYMPTOMS.map((s) => s.id))])
  })
  it('shares make one; a yes never makes what it shows less likely, a no never more; asked checks are not asked again', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...PLAYING_SYMPTOMS),
        fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
        fc.nat(5),
        (s, answers, which) => {
          const b = bare()
          const check = s.checks[which % s.checks.length]!
          const before = Object.fromEntries(s.checks.flatMap((c, i) => (c === check || !answers[i] ? [] : [[c.id, i % 2 === 0]])))
          const d = playingDiagnosis(b, s, before)
          expect(d.suspects.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9)
          const all = (found: Record<string, boolean>) =>
            playingDiagnosis(b, s, found)
              .suspects.filter((c) => check.shows.includes(c.id))
              .reduce((sum, c) => sum + c.share, 0)
          expect(all({ ...before, [check.id]: true })).toBeGreaterThanOrEqual(all(before) - 1e-9)
          expect(all({ ...before, [check.id]: false })).toBeLessThanOrEqual(all(before) + 1e-9)
          expect(playingDiagnosis(b, s, { ...before, [check.id]: true }).open.map((c) => c.id)).not.toContain(check.id)
        },
      ),
    ))
  it('each cause is found by truthful answers: asked the next check until none is left, it is first', () => {
    for (const s of PLAYING_SYMPTOMS)
      for (const c of s.causes) {
        const b = [bare(), changed(bare(), {}, { 'neck/truss': 'no-rod' })].find((x) => !c.only || c.only(x))
        if (!b) continue
        let found: Record<string, boolean> = {}
        for (let next = playingDiagnosis(b, s, found).next; next; next = playingDiagnosis(b, s, found).next)
          found = { ...found, [next.id]: next.shows.includes(c.id) }
        const [first, second] = playingDiagnosis(b, s, found).suspects
        // Two causes told apart by nothing but how usual they are share the first places.
        const same = s.checks.every((k) => k.shows.includes(first!.id) === k.shows.includes(c.id))
        expect(first!.id === c.id || (same && second!.id === c.id), `${s.id}: ${c.id}, not ${first!.id}`).toBe(true)
      }
  })
  it('a rattle without vibrato has no springs in it, nor is it asked about them', () => {
    const fixed = without(bare(), 'springs')
    const d = playingDiagnosis(fixed, symptom('rattle'))
    expect(d.suspects.map((c) => c.id)).not.toContain('springs')
    expect(playingSymptomsOf(fixed).map((s) => s.id)).not.toContain('arm')
    expect(playingSymptomsOf(bare()).map((s) => s.id)).toContain('arm')
  })
  it('a neck that nothing turns bows as others do; nothing of it is tightened or loosened', () => {
    const fixed = read(changed(bare(), {}, { 'neck/truss': 'fixed' }), { what: 'relief', value: 0 })
    const bow = playingDiagnosis(fixed, symptom('all-buzz')).suspects.find((c) => c.id === 'bow-fixed')!
    expect(bow).toMatchObject({ because: 'relief read 0 mm' })
    expect(bow.cure).toMatch(/Heavier strings pull it forward/)
    for (const s of PLAYING_SYMPTOMS)
      for (const c of playingDiagnosis(fixed, s).suspects) expect(c.cure, `${s.id} ${c.id}`).not.toMatch(/quarter turn|Tighten first/)
  })
  it('a nut of which nobody has said what it is, is neither filed nor shimmed: its tab asks first', () => {
    const of = (type: string | undefined) => {
      const b = read(changed(bare(), {}, { 'nut/type': type }), { what: 'sliver', string: 1, value: 0.01 })
      return ['stiff-low', 'open-buzz'].flatMap((s) => playingDiagnosis(b, symptom(s)).suspects.filter((c) => /-(high|low)$/.test(c.id)))
    }
    expect(of(undefined).map((c) => c.id)).toEqual(['untold-high', 'untold-low'])
    for (const c of of(undefined)) expect(c.cure).not.toMatch(/file|shim|fill/i)
    expect(of('slotted').map((c) => c.id)).toEqual(['slot-high', 'slot-low'])
    expect(of('locking').map((c) => c.id)).toEqual(['nut-high', 'nut-low'])
    expect(of(undefined)[0]!.share).toBeCloseTo(of('slotted')[0]!.share, 9)
  })
  it('what was read speaks: a slot read too deep, a rocker that tipped, relief of half a millimetre', () => {
    const deep = read(bare(), { what: 'sliver', string: 1, value: 0.01 })
    expect(share(deep, 'open-buzz', 'slot-low')).toBeGreaterThan(share(bare(), 'open-buzz', 'slot-low'))
    const high = { ...bare(), setup: { ...bare().setup, rocks: { '2-9': 0.3 } } }
    expect(share(high, 'one-fret', 'high')).toBeGreaterThan(share(bare(), 'one-fret', 'high'))
    const bowed = read(bare(), { what: 'relief', value: 0.5 })
    expect(playingDiagnosis(bowed, symptom('at-stop')).suspects.find((c) => c.id === 'relief')!.because).toMatch(/relief read 0.5 mm/)
  })
  it('the next check is worth most for its minutes: of two that tell the same the quicker', () => {
    const s = {
      ...symptom('stiff-low'),
      checks: [
        { id: 'slow', asks: 'slow', minutes: 20, shows: ['slot-high'] },
        { id: 'quick', asks: 'quick', minutes: 2, shows: ['slot-high'] },
      ],
    }
    expect(playingDiagnosis(bare(), s).next!.id).toBe('quick')
  })
  it('a trouble is open until its cause is written down', () => {
    const b = bare()
    b.setup.troubles = {
      a: { symptom: 'rattle', at: '2026-11-24T20:00:00Z', cause: 'tuner' },
      b: { symptom: 'rattle', at: '2026-11-25T20:00:00Z', found: { tap: true } },
    }
    expect(openTrouble(b, 'rattle')![0]).toBe('b')
    expect(openTrouble(b, 'arm')).toBeUndefined()
  })
})

describe('return to pitch', () => {
  const at = (dive?: number, raise?: number) => {
    const readings: SetupReading[] = [
      ...(dive === undefined ? [] : [{ what: 'dive', string: 3, value: dive } as const]),
      ...(raise === undefined ? [] : [{ what: 'raise', string: 3, value: raise } as const]),
    ]
    return returnTest(read(changed(bare(), {}, { 'bridge/mount': 'two-stud' }), ...readings))[2]!.says
  }
  it('sharp after a dive or flat after a pull rubs at the nut; the other way round the bridge stays away', () => {
    expect(at(6, 0)).toMatch(/sharp after a dive.*rubs at the nut/)
    expect(at(0, -5)).toMatch(/flat after a pull.*rubs at the nut/)
    expect(at(-6, 0)).toMatch(/The bridge does not come home/)
    expect(at(0, 6)).toMatch(/The bridge does not come home/)
    expect(at(-6, -6)).toMatch(/stretch/)
    expect(at(1, -1)).toBe('Comes back.')
  })
  it('all of them alike: the bridge; one: its slot', () => {
    const every = (dive: number) =>
      returnSays(returnTest(read(bare(), ...[1, 2, 3, 4, 5, 6].map((string): SetupReading => ({ what: 'dive', string, value: dive })))))
    expect(every(-7)).toMatch(/look at the bridge/)
    expect(every(0.5)).toMatch(/6 of 6 strings read, and they come back/)
    expect(returnSays(returnTest(bare()))).toBeUndefined()
    expect(returnSays(returnTest(read(bare(), { what: 'dive', string: 3, value: 8 })))).toBe('String 3 hangs: see below where.')
  })
  it('too much relief is a tenth over what this instrument wants, in the question and in the evidence', () => {
    const asks = (b: Build) => playingDiagnosis(b, symptom('stiff-low')).symptom.checks.find((c) => c.id === 'gap-8')!.asks
    const because = (b: Build) => playingDiagnosis(b, symptom('stiff-low')).suspects.find((c) => c.id === 'relief')!.because
    const ordinary = { ...bare(), setup: { ...bare().setup, school: 'ordinary' as const } }
    const bass = { ...aBass(), setup: { school: 'ordinary' as const, readings: {} } }
    // Ordinary 0.15 to 0.3 of a guitar and 0.25 to 0.4 of a bass.
    expect(asks(ordinary)).toBe('Held at first and last fret: is the gap over fret 8 more than 0.4 mm?')
    expect(asks(bass)).toBe('Held at first and last fret: is the gap over fret 8 more than 0.5 mm?')
    expect(because(measuredBuild(ordinary, { relief: 0.42 }))).toBe('relief read 0.42 mm')
    expect(because(measuredBuild(bass, { relief: 0.42 }))).toBeUndefined()
    expect(because(measuredBuild(bass, { relief: 0.52 }))).toBe('relief read 0.52 mm')
  })
})
