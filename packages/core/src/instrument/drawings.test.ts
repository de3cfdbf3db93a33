import { describe, expect, it } from 'vitest'
import { newBuild } from '../document/build'
import type { Mark } from '../drawing/drawing'
import { boxAround } from '../geometry/box'
import type { Point } from '../geometry/point'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { controlPlace } from './controlPlace'
import { datums } from './datums'
import { frontView } from './longView'
import { sideProfile } from './sideView'
import { stringAcross, stringLines } from './strings'
import { tunerPosts } from './tuners'

const pointsOf = (marks: readonly Mark[]): Point[] =>
  marks.flatMap((m) => (m.mark === 'area' || m.mark === 'line' ? m.points : m.mark === 'dimension' ? [m.from, m.to] : [m.at]))
const finite = (marks: readonly Mark[]) => pointsOf(marks).every((p) => Number.isFinite(p.x) && Number.isFinite(p.y))
const of = (marks: readonly Mark[], thing: string) => marks.filter((m) => 'thing' in m && m.thing === thing)

describe('the instrument from the front', () => {
  const marks = frontView(fullBuild())
  it('is drawn from its sizes: heel end, studs and head where they are', () => {
    expect(finite(marks)).toBe(true)
    const board = of(marks, 'neck').find((m) => m.mark === 'area' && m.role === 'board')!
    expect(boxAround(pointsOf([board])).width).toBeCloseTo(470, 9)
    const frets = marks.filter((m) => m.mark === 'line' && m.role === 'fret')
    expect(frets).toHaveLength(22)
    expect(pointsOf(of(marks, 'body')).some((p) => p.x > 740)).toBe(true)
  })
  it('as many strings as the build, each from its post over the nut to the saddle', () => {
    const strings = of(marks, 'strings')
    expect(strings).toHaveLength(6)
    for (const s of strings) expect(pointsOf([s]).length).toBe(3)
  })
  it('a longer scale is a longer instrument', () => {
    const long = changed({ ...fullBuild(), scale: 686 }, { 'neck/scale': 686, 'neck/nutToHeelEnd': 500, 'neck/boardLength': 508 })
    expect(boxAround(pointsOf(frontView(long))).width).toBeGreaterThan(boxAround(pointsOf(marks)).width + 30)
  })
  it('what is not chosen yet is dashed, and nothing breaks on an empty build', () => {
    const empty = newBuild({ name: 'Empty', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-24')
    const bare = frontView(empty)
    expect(finite(bare)).toBe(true)
    expect(bare.filter((m) => m.mark === 'area' && m.dashed).length).toBeGreaterThan(2)
    expect(of(frontView(without(fullBuild(), 'guard')), 'guard')).toEqual([])
  })
  it.each([4, 5, 6, 7, 8, 12])('%i strings', (strings) => {
    const b = { ...changed(fullBuild(), { 'tuners/count': strings }), strings }
    expect(of(frontView(b), 'strings')).toHaveLength(strings)
    expect(finite(frontView(b))).toBe(true)
  })
  it('colours and metals tint what carries them', () => {
    const b = structuredClone(fullBuild())
    b.parts.body!.colour = '#aa5533'
    const body = of(frontView(b), 'body').find((m) => m.mark === 'area')!
    expect('tint' in body && body.tint).toBe('#aa5533')
    const tuner = of(frontView(b), 'tuners').find((m) => m.mark === 'area')!
    expect('tint' in tuner && tuner.tint).toMatch(/^#/)
  })
})

describe('the instrument from its edge', () => {
  it('tilting the neck back takes the head down, by what the tilt makes over its distance from the pocket', () => {
    const side = (tilt: number) => sideProfile(changed(fullBuild(), { 'body/pocket.tilt': tilt }))
    expect(finite(side(0))).toBe(true)
    // Behind the nut there is nothing but the head.
    const head = (tilt: number) => Math.max(...pointsOf(side(tilt)).flatMap((p) => (p.x < -20 ? [p.y] : [])))
    const [flat, tilted] = [head(0), head(2)]
    // Some 420 to 650 mm from the pocket, 2 degrees are 15 to 23 mm.
    expect(tilted - flat).toBeGreaterThan(13)
    expect(tilted - flat).toBeLessThan(25)
    expect(head(-2)).toBeLessThan(flat - 13)
  })
})

describe('datums', () => {
  it('follow the heel against the pocket’s end, not the scale wanted', () => {
    const d = datums(fullBuild())
    expect(d).toMatchObject({ scale: 647.7, heelEnd: 462, mouth: 386, studs: 641, known: true })
    expect(datums(changed(fullBuild(), { 'neck/nutToHeelEnd': 470 })).mouth).toBe(394)
    expect(datums(changed(fullBuild(), { 'body/pocket.length': undefined })).known).toBe(false)
  })
})

describe('strings and posts', () => {
  it('strings are straight and spread evenly, highest on the treble side', () => {
    const lines = stringLines(6, 35, 52)
    for (const l of lines) {
      const middle = stringAcross(l, 323.85, 647.7)
      expect(middle).toBeCloseTo((l.atNut + l.atBridge) / 2, 9)
    }
    const gaps = lines.slice(1).map((l, i) => l.atNut - lines[i]!.atNut)
    for (const g of gaps) expect(g).toBeCloseTo(gaps[0]!, 9)
  })
  it('a row of posts keeps its pitch along its slant; two rows lie either side', () => {
    const row = tunerPosts(fullBuild())
    for (let i = 1; i < row.length; i++) expect(Math.hypot(row[i]!.x - row[i - 1]!.x, row[i]!.y - row[i - 1]!.y)).toBeCloseTo(25.4, 9)
    const two = tunerPosts(changed(fullBuild(), {}, { 'neck/head': 'two-rows' }))
    expect(two.filter((p) => p.y > 0)).toHaveLength(3)
    expect(two.filter((p) => p.y < 0)).toHaveLength(3)
  })
})

describe('controls', () => {
  it('lie where the guard has its holes, or the body without a guard', () => {
    expect(controlPlace(fullBuild(), 'volume')).toEqual({ x: 462 + 192, y: -70 })
    const bare = changed(without(fullBuild(), 'guard'), { 'body/volume.x': 260, 'body/volume.y': -80 })
    expect(controlPlace(bare, 'volume')).toEqual({ x: 386 + 260, y: -80 })
  })
})
