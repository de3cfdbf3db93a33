import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import type { SizeRef } from '../document/read'
import { setupReadingId } from '../document/setupReadings'
import { fretPlace } from '../physics/frets'
import { crownsOf } from '../physics/neckCurve'
import { aBuild, aPart } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { chokes, chokeSays, pushFor } from './choke'
import { setupModel } from './model'
import { nutMove } from './nutMove'
import { nutSlots } from './nutSlots'
import { PLAYING_SYMPTOMS } from './playingSymptoms'
import { playingDiagnosis } from './playingTroubles'
import { overChord, saddleArch } from './saddleArch'
import { neckShim, nutShim } from './shims'
import { setupResult } from './setupResult'
import { slotSpacing } from './slotSpacing'

const bare = (sizes: Record<string, number> = {}, traits: Record<string, string> = {}): Build =>
  changed({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } }, sizes, traits)
const read = (b: Build, ...readings: SetupReading[]): Build => ({
  ...b,
  setup: { ...b.setup, readings: { ...b.setup.readings, ...Object.fromEntries(readings.map((r) => [setupReadingId(r), r])) } },
})

describe('saddle heights from the radius', () => {
  it('over a chord of 52 mm an arc of 305 mm stands r - sqrt(r2 - 26^2) = 1.110 mm up in the middle', () => {
    expect(overChord(305, 26, 0)).toBeCloseTo(1.11, 3)
    expect(overChord(305, 26, 26)).toBe(0)
  })
  it('six saddles follow it, alike on both sides, the middle two highest', () => {
    const arch = saddleArch(bare({ 'neck/board.radius': 305, 'bridge/spread': 52 }, { 'bridge/mount': 'screws' }))!
    expect(arch.radius).toBe(305)
    const over = arch.tops.map((t) => t.over)
    expect(over[0]).toBeCloseTo(0, 9)
    // 5.2 mm off the middle: sqrt(305^2 - 5.2^2) - sqrt(305^2 - 26^2) = 1.066
    expect(over[2]).toBeCloseTo(1.066, 3)
    expect(over[3]).toBeCloseTo(over[2]!, 9)
    expect(over[1]).toBeCloseTo(over[4]!, 9)
  })
  it('a compound board is carried on to the saddles: 250 at the nut to 400 at fret 22 (466.2 mm) is 458.5 at 648', () => {
    const arch = saddleArch(
      bare({ 'neck/board.radius': 250, 'neck/board.radiusEnd': 400, 'neck/frets': 22, 'neck/scale': 648, 'bridge/spread': 52 }),
    )!
    expect(arch.radius).toBeCloseTo(458.5, 1)
  })
  it('a bridge with an arc of its own that is rounder lays the middle strings too high: 0.5 mm and more is said', () => {
    const b = bare({ 'neck/board.radius': 400, 'bridge/saddle.radius': 254, 'bridge/spread': 52 }, { 'bridge/mount': 'post' })
    // 52 mm at 254 stands 1.334, at 400 0.846: a string 5.2 off the middle 1.281 against 0.812.
    expect(saddleArch(b)!.says).toMatch(/string [34] 0.47 mm too high/)
    expect(
      saddleArch(bare({ 'neck/board.radius': 305, 'bridge/saddle.radius': 305, 'bridge/spread': 52 }, { 'bridge/mount': 'post' }))!.says,
    ).toMatch(/nothing to do/)
  })
  it('without a radius or a spread nothing is said', () => {
    const b = bare()
    delete b.parts.neck!.sizes['board.radius']
    expect(saddleArch(b)).toBeUndefined()
  })
})

describe('bends over the board’s arch', () => {
  it('a push raises the pull by what its stretch gives: 0.254 mm plain, 73 N, a whole step at fret 12', () => {
    // T grows by 2^(2/6) - 1 = 0.26: 19 N over E A = 200 000 pi 0.254^2 / 4 = 10 134 N is 1.873e-3 of 648 mm = 1.21 mm longer.
    // Both halves of 324: 2 (sqrt(324^2 + w^2) - 324) = 1.21, w = 19.8 mm.
    expect(pushFor({ newton: 73, core: 0.254 }, 648, 324, 2)).toBeCloseTo(19.8, 1)
  })
  it('more of a bend is a longer push, always', () =>
    fc.assert(
      fc.property(fc.double({ min: 40, max: 120, noNaN: true }), fc.double({ min: 0.2, max: 0.5, noNaN: true }), (newton, core) => {
        expect(pushFor({ newton, core }, 648, 400, 2)).toBeGreaterThan(pushFor({ newton, core }, 648, 400, 1))
      }),
    ))
  const low = (radius: number) =>
    read(
      bare({ 'neck/board.radius': radius, 'bridge/spread': 52 }),
      { what: 'relief', value: 0.1 },
      { what: 'action', string: 1, value: 1.1 },
      { what: 'action', string: 6, value: 1.4 },
    )
  it('a rounder board leaves less: the flatter, the lower it goes', () => {
    const least = (radius: number) => Math.min(...chokes(low(radius)).map((c) => c.margin))
    expect(least(184)).toBeLessThan(least(305))
    expect(least(305)).toBeLessThan(least(406))
  })
  it('184 mm chokes at 1.1 mm, 406 does not; raised by half a millimetre it is better', () => {
    expect(chokeSays(chokes(low(184)))).toMatch(/places? chokes?: string [12] at fret \d+ lies on fret \d+/)
    expect(chokeSays(chokes(low(406)))).toMatch(/nothing chokes/)
    const high = read(low(184), { what: 'action', string: 1, value: 1.6, at: '2026-12-02T10:00:00Z' })
    const place = (b: Build) => chokes(b).find((c) => c.string === 1 && c.fret === 12)!
    // The saddle goes up by 2 x 0.5 mm, which over the fret in the way is its share of the length from fret 12.
    const [x12, over, saddle] = [324, fretPlace(647.7, place(low(184)).over), 647.7]
    expect(place(high).margin - place(low(184)).margin).toBeCloseTo((over - x12) / (saddle - x12), 1)
  })
  it('unbent it is the plain gap over the higher frets: a bend of nothing agrees with the line', () => {
    const b = low(305)
    const model = setupModel(b)
    const s = model.strings[0]!
    const flat = chokes(b, 0, model).find((c) => c.string === 1 && c.fret === 12)!
    const [crown, over] = [s.neck.crowns[11]!, s.neck.crowns[flat.over - 1]!]
    const line = crown.y + ((s.saddle.y - crown.y) * (over.x - crown.x)) / (s.saddle.x - crown.x) - over.y
    // Strings spread from the nut to the saddle, so that along the string a cylinder falls a little.
    expect(flat.margin).toBeCloseTo(line, 0)
    expect(Math.abs(flat.margin - line)).toBeLessThan(0.12)
  })
  it('the worst place speaks, by how much too low it is; places are counted by their number', () => {
    const at = (string: number, margin: number) => ({ string, fret: 12, over: 17, margin })
    expect(chokeSays([at(2, -0.05), at(1, -0.21), at(3, 0.3)])).toBe(
      'Bent by a whole step, 2 places choke: string 1 at fret 12 lies on fret 17, 0.21 mm too low.',
    )
    expect(chokeSays([at(2, 0.05), at(1, -0.2)])).toMatch(/1 place chokes: string 1/)
    expect(chokeSays([at(2, 0.15), at(1, 0.08)], 3)).toBe(
      'Bent by 3 semitones nothing chokes; nearest is string 1 at fret 12, 0.08 mm over fret 17.',
    )
    // Touching is not lying on it.
    expect(chokeSays([at(1, 0)])).toMatch(/nothing chokes/)
  })
  it('without gauges or radius it says what it needs', () => {
    const b = low(305)
    delete b.parts.strings
    expect(chokeSays(chokes(b))).toMatch(/needs the board’s radius/)
  })
})

describe('shims', () => {
  it('1.75 to 1.25 at fret 12 with the saddles at their stop: 2 x 0.5 mm at the saddle over 76 mm of pocket', () => {
    const b = bare({ 'neck/scale': 648, 'neck/nutToHeelEnd': 463, 'body/pocket.length': 76 }, { 'neck/joint': 'bolted' })
    // Mouth at 387, saddle 261 beyond it: 1.0 mm / 261 = 0.2195 degrees, 0.291 mm at the pocket's end.
    const shim = neckShim(b, 1.25 - 1.75)!
    expect(shim.thickness).toBeCloseTo(0.291, 3)
    expect(shim.degrees).toBeCloseTo(0.2195, 3)
  })
  it('raising needs none, a glued neck takes none', () => {
    expect(neckShim(bare(), 0.3)).toBeUndefined()
    expect(neckShim(bare({}, { 'neck/joint': 'set' }), -0.3)).toBeUndefined()
  })
  it('the deepest slot decides the nut’s shim, and with it under the nut none is too deep any more', () => {
    const deep = read(bare(), ...[0.2, 0, 0.2, 0.2, 0.01, 0.2].map((value, i): SetupReading => ({ what: 'sliver', string: i + 1, value })))
    const shim = nutShim(nutSlots(deep, setupModel(deep)), 'filed')!
    const model = setupModel(deep)
    const lifted = {
      ...model,
      strings: model.strings.map((s) => ({
        ...s,
        slot: s.slot + shim.thickness,
        neck: crownsOf({ ...model.shape, slot: s.slot + shim.thickness }),
      })),
    }
    expect(nutSlots(deep, lifted).filter((s) => s.state === 'low')).toEqual([])
    expect(Math.min(...nutSlots(deep, lifted).map((s) => s.file))).toBeCloseTo(0.1, 6)
    expect(
      nutShim(
        nutSlots(read(deep, { what: 'sliver', string: 2, value: 0.2 }, { what: 'sliver', string: 5, value: 0.21 }), setupModel(deep)),
        'filed',
      ),
    ).toBeDefined()
  })
})

describe('a slot that stands far too high', () => {
  it('is read again and not filed by so much: a millimetre is the most', () => {
    // What is left over fret 1 at fret 3 is two thirds of what the slot stands too high: (0.7 - 0.18) x 1.545 = 0.80, (0.9 - 0.18) x 1.545 = 1.11.
    const slot = (sliver: number) => {
      const b = read(bare(), { what: 'sliver', string: 3, value: sliver })
      const work = nutSlots(b, setupModel(b))
      return [work[2]!.says, nutMove(work, 'filed').says]
    }
    expect(slot(0.7)).toEqual([
      expect.stringMatching(/^File 0\.7\d? mm, read again/),
      expect.stringMatching(/^To file: string 3 by 0\.8\d? mm/),
    ])
    const [own, all] = slot(0.9)
    expect(own).toMatch(
      /^1\.1\d? mm high\. Read it again: filed so deep a slot buries its string\. Where all stand so high, the nut’s bottom/,
    )
    expect(all).toMatch(/^String 3 stands more than 1 mm too high\. Read it again: filed so deep/)
  })
})

describe('a nut that clamps its strings', () => {
  const locked = (...slivers: number[]) =>
    read(bare({}, { 'nut/type': 'locking' }), ...slivers.map((value, i): SetupReading => ({ what: 'sliver', string: i + 1, value })))
  const work = (b: Build) => nutSlots(b, setupModel(b))
  const says = (b: Build) => nutMove(work(b), 'whole').says
  it('is lowered as a whole, by no more than its lowest string allows', () => {
    const b = locked(0.5, 0.6, 0.6, 0.6, 0.6, 0.6)
    const least = Math.min(...work(b).map((s) => s.file))
    expect(least).toBeGreaterThan(0.2)
    expect(says(b)).toBe(`Lower the whole nut by ${least.toFixed(2)} mm: thinner shims, or its shelf deeper. Then read again.`)
    for (const s of work(b)) expect(s.says).toMatch(/Nothing is filed/)
  })
  it('is raised by what its deepest string lacks, to a hair: nothing is left to file', () => {
    const b = locked(0.2, 0, 0.2, 0.2, 0.01, 0.2)
    const lack = Math.max(...work(b).map((s) => -s.file))
    expect(nutShim(work(b), 'whole')!.thickness).toBeCloseTo(lack, 12)
    expect(nutShim(work(b), 'filed')!.thickness).toBeCloseTo(lack + 0.1, 12)
    expect(says(b)).toBe(`Strings 2 and 5 lie too deep: shims of ${lack.toFixed(2)} mm more under the nut.`)
  })
  it('where only some stand high, one end of it goes down', () =>
    expect(says(locked(0.16, 0.17, 0.18, 0.19, 0.6, 0.6))).toMatch(
      /^Strings 5 and 6 stand high, the others do not: thinner shims at that end/,
    ))
  it('nothing of it is polished, widened or filled for any trouble', () => {
    for (const symptom of PLAYING_SYMPTOMS)
      for (const s of playingDiagnosis(locked(0.5, 0, 0.6, 0.6, 0.6, 0.6), symptom).suspects)
        if (/nut|slot|clamp/.test(s.says)) expect(`${s.says}: ${s.cure}`).not.toMatch(/polish|widen|fill it|file/i)
  })
})

describe('slots of twelve strings', () => {
  it('lie in courses: two close together, six groups over the width', () => {
    const b = aBuild({ neck: aPart('neck', { 'nut.width': 47 }) }, { strings: 12 })
    const places = slotSpacing(b)!
    expect(places).toHaveLength(12)
    expect(places[0]!.centres).toBeCloseTo(-20, 9)
    expect(places.at(-1)!.centres).toBeCloseTo(20, 9)
    // (40 - 1.9) / 5 from course to course.
    for (let g = 0; g < 6; g++) expect(places[2 * g + 1]!.centres - places[2 * g]!.centres).toBeCloseTo(1.9, 9)
    for (let g = 1; g < 6; g++) expect(places[2 * g]!.centres - places[2 * g - 2]!.centres).toBeCloseTo(7.62, 9)
  })
  it('equal gaps between courses are equal, edge to edge', () => {
    const gauges = [0.25, 0.25, 0.33, 0.33, 0.5, 0.23, 0.66, 0.3, 0.81, 0.43, 1.07, 0.58]
    const b = aBuild(
      {
        neck: aPart('neck', { 'nut.width': 47 }),
        strings: aPart('strings', Object.fromEntries(gauges.map((g, i) => [`gauge.${i + 1}`, g]))),
      },
      { strings: 12 },
    )
    const p = slotSpacing(b)!
    const gap = (g: number) => p[2 * g]!.gaps - gauges[2 * g]! / 2 - (p[2 * g - 1]!.gaps + gauges[2 * g - 1]! / 2)
    for (let g = 2; g < 6; g++) expect(gap(g)).toBeCloseTo(gap(1), 9)
    expect(p.at(-1)!.gaps).toBeCloseTo(20, 9)
  })
})

describe('sizes nobody has measured', () => {
  const guessed = (build: Build, ...refs: readonly SizeRef[]): Build => {
    const b = structuredClone(build)
    for (const { slot, size } of refs) {
      const own = b.parts[slot]!.sizes[size]
      if (own) b.parts[slot]!.sizes[size] = { ...own, known: 'assumed' }
    }
    return b
  }
  const spread: SizeRef = { slot: 'bridge', size: 'spread' }
  const radius: SizeRef = { slot: 'neck', size: 'board.radius' }
  it('place no slot, arch no saddle, choke no bend, cut no shim and turn no stud', () => {
    const known = fullBuild()
    expect(slotSpacing(known)).toBeDefined()
    expect(slotSpacing(guessed(known, { slot: 'neck', size: 'nut.width' }, { slot: 'nut', size: 'spread' }))).toBeUndefined()
    expect(saddleArch(known)).toBeDefined()
    for (const ref of [spread, radius]) expect(saddleArch(guessed(known, ref)), ref.size).toBeUndefined()
    expect(chokes(known).length).toBeGreaterThan(0)
    for (const ref of [spread, radius]) expect(chokes(guessed(known, ref)), ref.size).toEqual([])
    expect(neckShim(known, -0.5)).toBeDefined()
    expect(neckShim(guessed(known, { slot: 'body', size: 'pocket.length' }), -0.5)).toBeUndefined()
    const action = (build: Build) => setupResult(measuredBuild(build, { bass: 2.4, treble: 2.2 })).moves.find((m) => m.id === 'action')!
    expect(action(known).turns).toHaveLength(2)
    const open = action(guessed(known, { slot: 'bridge', size: 'studSpacing' }))
    expect(open.turns).toBeUndefined()
    expect(open.says).toMatch(/For the turns of its two posts measure string spread and stud spacing of the bridge\.$/)
  })
})
