import 'reflect-metadata'
import { problemsOfBuild } from '@snug/contract'
import { evaluate, isEarlier, judgeReading, migrated, SCHEMA, setupReading, type Asked, type Build } from '@snug/core'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { dunlin } from '../dunlin'
import { heron } from '../heron'
import { plover } from '../plover'

const kept = (name: string, schema: number): unknown =>
  JSON.parse(readFileSync(new URL(`./${name}.${schema}.json`, import.meta.url), 'utf8'))
const TODAY = '2026-11-24'
const NOW = {
  heron: heron(TODAY, '2027-02-15', '2026-12-05'),
  plover: plover(TODAY, '2027-02-15'),
  dunlin: dunlin(TODAY, '2027-02-15', '2026-12-13'),
}

/** What is asked for only since those forms: the demo of today has been measured for it, the kept one not. */
const SINCE = [
  ['dunlin', 'body', 'tail.spacing'],
  ['plover', 'strings', 'length'],
] as const
/** Longer than calipers open: then they were kept as exact as what calipers reach. */
const LONG = [
  ['heron', 'body', 'route.middle.centre'],
  ['heron', 'body', 'route.bridge.centre'],
  ['plover', 'body', 'route.bridge.centre'],
  ['dunlin', 'body', 'route.bridge.centre'],
] as const
/** Where they lay the board's end covered them. */
const MOVED = [
  ['plover', 'body', 'route.neck.centre', 104],
  ['dunlin', 'body', 'route.neck.centre', 92],
] as const
function asThen(name: string, build: Build): Build {
  const then = structuredClone(build)
  for (const [of, slot, size] of LONG) if (of === name) then.parts[slot]!.sizes[size]!.doubt = 0.05
  for (const [of, slot, size, value] of MOVED) if (of === name) then.parts[slot]!.sizes[size]!.value = value
  for (const [of, slot, size] of SINCE) if (of === name) delete then.parts[slot]!.sizes[size]
  return then
}

const KEPT = Object.entries(NOW).flatMap(([name, now]) => [1, 2, 3].map((schema) => ({ name, schema, now })))

describe.each(KEPT)('$name as it was kept in form $schema', ({ name, schema, now }) => {
  const doc = kept(name, schema)
  it('is of the form it says, and known to be earlier', () => {
    expect(doc).toMatchObject({ schema, circuit: schema === 1 ? { position: 1, volume: 10, tone: 10 } : { split: true } })
    expect(isEarlier(doc)).toBe(true)
  })
  it('comes out as one of today, which every rule passes, and is left alone from then on', () => {
    const build = migrated(doc)
    expect(problemsOfBuild(build)).toEqual([])
    expect(build).toMatchObject({ schema: SCHEMA })
    expect(migrated(build)).toBe(build)
  })
  it('loses nothing but where the knobs stood, and evaluates as the same build made today', () => {
    const build = migrated(doc) as Build
    const unread = (b: Build): Build => ({ ...b, readings: {}, setup: { ...b.setup, readings: {} } })
    // There was one wiring then, with its humbuckers tapped: that is what comes over.
    expect(build.circuit).toEqual({ ...now.circuit, scheme: 'by-parts', options: { tap: 'tap' } })
    // One stack for all of it was all a finish could be.
    expect(build.finish).toEqual((doc as Build).finish)
    expect(unread({ ...build, circuit: now.circuit, finish: now.finish })).toEqual(unread(asThen(name, now)))
    expect(evaluate({ ...build, readings: {} }, TODAY).failed).toEqual({})
  })
})

describe('readings of an earlier Snug Bolt', () => {
  it('keep their ohms, their knobs and their position, and are judged by them', () => {
    const build = migrated(kept('heron', 1)) as Build
    const readings = Object.values(build.readings)
    expect(readings.map((r) => [r.ohm, r.setting.switches.switch, r.setting.knobs.volume])).toEqual([
      [8620, 1, 10],
      [30100, 3, 5],
    ])
    const { wire } = evaluate(build, TODAY)
    if (!wire.ok) throw new Error('Heron is wired')
    expect(Number.isFinite(judgeReading(build, wire.harness, readings[1]!)!.expected.ohm)).toBe(true)
  })
})

it('readings of the setup come over with their strings, and count as before', () => {
  const build = migrated(kept('heron', 2)) as Build
  const read = (asked: Asked) => setupReading(build, asked)
  expect([read({ what: 'relief' }), read({ what: 'action', string: 6 }), read({ what: 'action', string: 1 })]).toEqual([0.25, 2.1, 1.7])
  expect([read({ what: 'cents', string: 1 }), read({ what: 'cents', string: 6 })]).toEqual([4, -2])
  expect(evaluate(build, TODAY).setup.moves[0]!.measured).toBe('0.25 mm')
})

it.each([
  null,
  5,
  'x',
  [],
  {},
  { schema: 'one' },
  { schema: 99 },
  { schema: 1 },
  { schema: 1, circuit: null, readings: [3] },
  { schema: 2, setup: 7 },
])('what is no build is passed on to be refused: %j', (doc) => expect(problemsOfBuild(migrated(doc)).length).toBeGreaterThan(0))
