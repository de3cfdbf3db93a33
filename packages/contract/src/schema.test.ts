import { fullBuild } from '@snug/core/testing/fullBuild'
import type { Build, LogEntry } from '@snug/core'
import Ajv from 'ajv/dist/2020'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { problemsOfBuild } from './build'
import { checkedBundle } from './requests'
import { bundleSchema, classSchemas } from './schema'

const validate = new Ajv({ strict: false, inlineRefs: false, code: { optimize: false }, formats: { 'date-time': true } }).compile(
  bundleSchema(),
)
const log: LogEntry[] = [
  { id: 'a', at: '2026-11-24T19:30:00.000Z', kind: 'note', text: 'Line one\nline “two”', station: 'fit', struck: '2026-11-24T19:31:00Z' },
]

/** A build with everything a build can hold. */
const fullest = (): Build => {
  const build = fullBuild()
  return {
    ...build,
    due: '2027-02-01',
    budget: 500,
    slots: { guard: 'open', neck: 'fixed' },
    tools: ['calipers', 'meter'],
    pencil: {
      near: { along: 100, bassLine: 110, trebleLine: 168, bassEnd: 100, trebleEnd: 178 },
      far: { along: 220, bassLine: 108, trebleLine: 172, bassEnd: 100, trebleEnd: 178 },
    },
    parcels: { 'Quayside Electrics': 6 },
    consumables: { tub: { name: 'Grain filler', price: 9, share: 0.5 } },
    circuit: {
      ...build.circuit,
      heard: { '1 volume': 'good', '2 tone': 'bad' },
      gain: 'edge',
      soldered: { 'cap.1 tone.1': '2026-11-24' },
      leads: { 'bridge.start': 'green' },
      reels: { white: 3, black: 0.5 },
      sheet: { a: { from: 'tone.1', to: 'cap.1' } },
      complaints: { 'hum-touch': '2026-11-24' },
      repairs: { r1: { on: '2026-11-24', what: 'Jack turned over', lugs: ['jack.tip'], then: 'better', kept: true } },
      mends: { 'open a b': { says: 'Off: a to b.', cure: 'Resolder it.', lugs: ['a', 'b'] } },
      coils: {
        one: {
          gauge: 42,
          turns: 8000,
          turn: 130,
          winding: 'clockwise',
          magnet: 'north',
          read: [{ stage: 'wound', ohm: 5900, celsius: 21 }],
          leads: 'white, black',
          place: 'middle',
        },
      },
    },
    mockup: { 'neck-in': { outcome: 'goes', at: '2026-11-24T20:00:00Z', basis: 'a' } },
    unpacked: { guard: 'damaged' },
    orders: { guard: { revision: 1, at: '2026-11-24', sizes: { thickness: { value: 2.4, tolerance: 0.2 } } } },
    rescue: { asking: 120, worth: 300, defects: ['frets'] },
    jobs: {
      a: {
        slot: 'body',
        size: 'pocket.widthMouth',
        delta: 0.2,
        doubt: 0.05,
        also: [{ slot: 'body', size: 'axisAtBridge', delta: 0.3, doubt: 0.1 }],
        text: 'Shave the pocket',
      },
    },
    trials: { jack: { result: 'goes', on: '2026-11-24', of: { jack: 'Mono jack', 'jack.contacts': 'mono', 'jack/bore': 9.5 } } },
    readings: {
      jack: {
        ohm: 8200,
        probes: ['jack.tip', 'jack.sleeve'],
        setting: { switches: { switch: 1 }, knobs: { volume: 10, tone: 4.5 } },
        at: '2026-11-24T20:00:00Z',
      },
    },
    setup: {
      school: 'low',
      readings: {
        relief: { what: 'relief', value: 0.2 },
        'action 1': { what: 'action', string: 1, value: 1.4, at: '2026-11-24T20:00:00Z', set: 'trial', pull: 430 },
        'pickup pickup-neck 1': { what: 'pickup', string: 1, slot: 'pickup-neck', fret: 22, value: 1.8, at: '2026-11-24T20:06:00Z' },
        'cents 6': { what: 'cents', string: 6, value: -4, at: '2026-11-24T20:05:00Z', gauge: 1.17, newton: 77.9 },
      },
      turns: { a: { screw: 'length', string: 6, turns: -0.5, at: '2026-11-24T20:04:00Z' } },
      troubles: { b: { symptom: 'rattle', at: '2026-11-24T21:00:00Z', found: { damp: true, still: false }, cause: 'springs' } },
      sets: { trial: { name: 'Trial set, 10 to 46', on: '2026-11-24' } },
      saddle: 12,
      reliefPerQuarter: 0.05,
      tuning: { name: 'a step down', notes: [-7, -12, -16, -21, -26, -31] },
      wanted: { actionBass: 1.8, actionTreble: 1.4, relief: 0.2, float: 1 },
      nutSchool: 'fine',
      attack: 0.7,
      joint: 16,
      rocks: { '1-9': 0.2 },
      vibrato: {
        school: 'float',
        springs: 3,
        rate: 2,
        preload: 12,
        closed: 66,
        claw: { x: -67, y: -34 },
        block: { x: 11, y: -40 },
        saddle: { x: 13, y: 11 },
        back: { x: 42, y: 0 },
        pitch: 2,
      },
      first: { '0': true },
    },
    finish: {
      ...build.finish,
      under: { dye: true },
      layers: [{ product: 'water-dye', coats: 2, colour: '#aa3311', strength: 60, burst: 70, byLabel: true }],
      zones: {
        front: {
          layers: [
            { product: 'sealer', coats: 3, solids: 20 },
            { product: 'clear', coats: 6, film: 8 },
          ],
        },
        'neck-back': { layers: [], border: 12 },
      },
      labels: {
        mine: {
          name: 'Mine',
          like: 'lacquer-clear',
          solids: 12,
          basis: 'weight',
          film: 9,
          recoat: 40,
          beforeSanding: 2880,
          coldest: 12,
          warmest: 28,
          dampest: 65,
          container: 300,
          price: 11,
        },
      },
      lies: true,
      drying: { air: 12, humidity: 60 },
      outdoors: true,
      forecast: [{ at: '2026-11-27T18', air: 12, humidity: 60, surface: 10 }],
      uncounted: { from: 3, to: 5 },
      passes: {
        a: { at: '2026-11-24T19:00:00Z', zone: 'front', texture: 'light peel', grits: [1200, 2000], block: true, through: 'edge' },
      },
      grits: { 'top 180': '2026-11-24' },
      abrasives: 'unmarked',
      ticked: { 'relic-0': true },
      mixes: { a: { name: 'Edge', parts: [{ name: 'brown', parts: 3, colour: '#402010' }], thin: 900 } },
      wear: {
        a: {
          name: 'Forearm',
          face: 'front',
          points: [
            { x: 500, y: 100 },
            { x: 560, y: 100 },
            { x: 540, y: 150 },
          ],
        },
      },
      troubles: { a: { symptom: 'runs', at: '2026-11-24T19:00:00Z', zone: 'front', way: 'block' } },
      laid: { a: { zone: 'front', product: 'sealer', at: '2026-11-24T19:00:00Z', air: 19, surface: 18, humidity: 55 } },
    },
    shop: { tint: { what: 'Neck tinted', price: 300, back: '2026-12-18', slot: 'neck' } },
    sale: 900,
    job: 'rescue',
    plan: {
      daysOff: ['2026-12-24'],
      quiet: { from: 1320, to: 420 },
      begins: 1140,
      cutOff: 1290,
      booked: { 'pocket-glue': { by: 'a neighbour', on: '2026-12-05' } },
      noted: { action: '2026-11-24' },
      leftOut: { 'fret-work': '2026-11-24' },
      decisions: {
        guard: { question: 'Which guard?', options: ['white', 'black'], chosen: 'black', reason: 'it is here', before: 'trial-build' },
      },
    },
    steps: { 'arrive-neck': { done: '2026-11-24T20:00:00Z', took: 12, planned: 5 } },
    delivered: { on: '2027-02-14', to: 'its player', faults: ['known fault: the nut'], reopened: { on: '2027-03-01', why: 'the nut' } },
  }
}
const bundle = (build: unknown) => ({ format: 'snug-bolt-build', version: 1, exported: '2026-11-24T20:00:00.000Z', build, log })

describe('the published schema of the bundle', () => {
  it('takes the fullest build, as the rules do', () => {
    expect(problemsOfBuild(fullest())).toEqual([])
    expect(checkedBundle(bundle(fullest())).ok).toBe(true)
    expect(validate(bundle(fullest())), JSON.stringify(validate.errors)).toBe(true)
  })
  it('names every field a build can have', () => {
    const build = classSchemas().BuildDoc!
    expect(Object.keys(build.properties).toSorted()).toEqual(Object.keys(fullest()).toSorted())
  })
  it('what the rules refuse for its shape the schema refuses too, wherever in the build a value is spoilt', () => {
    const places = leaves(fullest())
    expect(places.length).toBeGreaterThan(300)
    fc.assert(
      fc.property(fc.constantFrom(...places), fc.constantFrom<unknown>(null, {}, [], 'x'.repeat(5000), -1e12, true), (place, value) => {
        const spoilt = withPlace(fullest(), place, value)
        const refused = problemsOfBuild(spoilt).length > 0
        expect(validate(bundle(spoilt)), `${place.join('.')} = ${JSON.stringify(value)?.slice(0, 20)}`).toBe(!refused)
      }),
      { numRuns: 300 },
    )
  })
  it.each([
    ['a field nobody knows', { extra: 1 }],
    ['another format', { format: 'another' }],
    ['a version to come', { version: 3 }],
    ['no log', { log: undefined }],
  ])('refuses %s', (_, change) => expect(validate(JSON.parse(JSON.stringify({ ...bundle(fullest()), ...change })))).toBe(false))
})

function leaves(value: unknown, at: string[] = []): string[][] {
  return typeof value === 'object' && value !== null ? Object.entries(value).flatMap(([k, v]) => leaves(v, [...at, k])) : [at]
}
function withPlace(doc: unknown, [first, ...rest]: string[], value: unknown): unknown {
  if (first === undefined) return value
  const copy = (Array.isArray(doc) ? [...(doc as unknown[])] : { ...(doc as object) }) as Record<string, unknown>
  copy[first] = withPlace(copy[first], rest, value)
  return copy
}
