import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { pitchOf } from '../physics/pitchOf'
import { dice } from '../quantity/dice'
import { changed, fullBuild } from '../testing/fullBuild'
import { balanceWork, plateOf, USUAL_VIBRATO } from './balance'
import { balanceDrawing } from './balanceDrawing'
import { buzzMap } from './buzz'
import { buzzDrawing } from './buzzDrawing'
import { wantedOf } from '../instrument/targets'
import { setupModel } from './model'
import { pickupHeights } from './pickupHeights'
import { pitchLines } from './pitchPlot'
import { setupResult } from './setupResult'
import { simulatedPluck } from './simulated'
import { setupSheets } from './setupSheets'

const bare = (): Build => ({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } })
let minute = 0
const read = (b: Build, ...readings: SetupReading[]): Build => ({
  ...b,
  setup: {
    ...b.setup,
    readings: {
      ...b.setup.readings,
      ...Object.fromEntries(
        readings.map((r) => {
          const at = `2026-12-01T${String(10 + Math.floor(minute / 3600)).padStart(2, '0')}:${String(Math.floor(minute / 60) % 60).padStart(2, '0')}:${String(minute++ % 60).padStart(2, '0')}Z`
          const kept = { at, ...r }
          return [setupReadingId(kept), kept]
        }),
      ),
    },
  },
})

describe('pitch', () => {
  it('a line goes through its reading at fret 12; without one through nothing there', () => {
    const lines = pitchLines(read(bare(), { what: 'cents', string: 3, value: 5 }))
    expect(lines.find((l) => l.number === 3)!.cents[11]).toBeCloseTo(5, 3)
    expect(lines.find((l) => l.number === 4)!.cents[11]).toBeCloseTo(0, 3)
    expect(lines.find((l) => l.number === 3)!.read).toBe(true)
  })
  it('sharper than wanted stands nearer the nut: its saddle moves back by what the table says', () => {
    const b = read(bare(), { what: 'cents', string: 6, value: 6 })
    const [sharp, right] = [pitchLines(b).find((l) => l.number === 6)!, pitchLines(bare()).find((l) => l.number === 6)!]
    const says = setupResult(b).intonation.find((i) => i.number === 6)!.back!
    expect(right.back - sharp.back).toBeCloseTo(says, 0)
    expect(says).toBeGreaterThan(0)
  })
  it('the simulated instrument is heard as it is tuned: what is read off it is what it has', () => {
    const b = read(bare(), { what: 'cents', string: 5, value: -3.5 })
    const heard = (fret: number) => {
      const found = pitchOf(...simulatedPluck(b, 5, fret))
      if (!found.ok) throw new Error(found.why)
      return found.heard.hertz
    }
    expect(1200 * Math.log2(heard(12) / (2 * heard(0)))).toBeCloseTo(-3.5, 0)
    expect(Math.abs(1200 * Math.log2(heard(12) / (2 * heard(0))) + 3.5)).toBeLessThan(1)
  })
  it('a string nobody has read is astray on purpose', () => {
    const heard = pitchOf(...simulatedPluck(bare(), 3, 12))
    const open = pitchOf(...simulatedPluck(bare(), 3, 0))
    expect(heard.ok && open.ok && 1200 * Math.log2(heard.heard.hertz / (2 * open.heard.hertz))).toBeCloseTo(6.1, 0)
  })
})

describe('balance', () => {
  it('names what is assumed and drops it once it is measured', () => {
    const b = bare()
    expect(balanceWork(b)!.assumed).toContain('spring rate')
    expect(balanceWork({ ...b, setup: { ...b.setup, vibrato: { rate: 2.2 } } })!.assumed).not.toContain('spring rate')
  })
  it('a millimetre of float by turns of the claw: what it says brings the plate there', () => {
    const b = bare()
    const work = balanceWork(b)!
    const p = plateOf(b)!
    const there = { ...p, claw: { ...p.claw, x: p.claw.x - work.balance.turns * p.pitch } }
    const slack = { ...b, setup: { ...b.setup, vibrato: { claw: there.claw } } }
    expect(balanceWork(slack)!.rest!.gap).toBeCloseTo(1, 2)
    expect(balanceWork(slack)!.says.join(' ')).toMatch(/the claw stands right for 1 mm/)
  })
  it('with sizes nobody measured no turn is told as this bridge’s; with all measured it is', () => {
    expect(balanceWork(bare())!.says[0]).toMatch(/Its turns are not known.*Go by the gap/)
    const all = { ...bare(), setup: { ...bare().setup, vibrato: { ...USUAL_VIBRATO } } }
    expect(balanceWork(all)!.assumed).toEqual([])
    expect(balanceWork(all)!.says.join(' ')).not.toMatch(/example/)
    expect(balanceWork(all)!.says.join(' ')).toMatch(/For 1 mm both claw screws|The claw stands right/)
  })
  it('soft springs have no stable rest, and it says what cures it', () => {
    const b = bare()
    const soft = balanceWork({ ...b, setup: { ...b.setup, vibrato: { rate: 0.7, claw: { x: -95, y: -34 } } } })!
    expect(soft.balance.stable).toBe(false)
    expect(soft.says.join(' ')).toMatch(/no stable rest.*stiffer springs/)
  })
  it('without gauges nothing is said', () => {
    const b = structuredClone(bare())
    delete b.parts.strings
    expect(balanceWork(b)).toBeUndefined()
    expect(balanceDrawing(b).marks).toEqual([])
    expect(balanceDrawing(bare()).marks.length).toBeGreaterThan(6)
  })
  it('in the sequence: too high is tighter, before the nut and the action', () => {
    const b = changed(bare(), {}, { 'bridge/mount': 'two-stud' })
    const at = (value: number) => setupResult(read(b, { what: 'float', value })).moves
    expect(at(1.8).find((m) => m.id === 'float')!.says).toMatch(/Too high by 0.8.*clockwise \(tighter\)/)
    expect(at(0.3).find((m) => m.id === 'float')!.says).toMatch(/Too low.*counter-clockwise \(looser\)/)
    expect(at(1).find((m) => m.id === 'float')!.done).toBe(true)
    const order = at(1).map((m) => m.id)
    expect(order).toEqual(['relief', 'float', 'nut', 'action'])
  })
})

describe('pickup heights', () => {
  it('5/64 and 4/64 held at the last fret suit a single coil; too near is said', () => {
    const b = changed(bare(), { 'pickup-middle/length': 18 }, { 'pickup-middle/coils': 'single' })
    const of = (bass: number, treble: number) =>
      pickupHeights(
        read(
          b,
          { what: 'pickup', slot: 'pickup-middle', string: 6, value: bass },
          { what: 'pickup', slot: 'pickup-middle', string: 1, value: treble },
        ),
      ).find((p) => p.slot === 'pickup-middle')!.sides
    expect(of(1.984, 1.588).every((s) => s.done)).toBe(true)
    expect(of(0.9, 3)[0]!.says).toMatch(/too near: lower.*warbles/)
    expect(of(0.9, 3)[1]!.says).toMatch(/too far: raise/)
  })
})

describe('drawings and sheets', () => {
  it('a cell of the buzz map is drawn with the fret it hits', () => {
    const b = read(bare(), { what: 'action', string: 1, value: 1.0 }, { what: 'action', string: 6, value: 1.0 })
    const map = buzzMap(b)
    const d = buzzDrawing(b, setupModel(b), map.worst!)
    expect(d.marks.some((m) => m.mark === 'label' && m.text.startsWith(`fret ${map.worst!.hits}:`))).toBe(true)
  })
  it('setup sheet, shop ticket and player’s page hold the numbers there are', () => {
    const b = read(bare(), { what: 'relief', value: 0.2 }, { what: 'action', string: 6, value: 1.9 })
    const [sheet, ticket, player] = setupSheets(b, setupResult(b))
    const text = (s: typeof sheet) => JSON.stringify(s!.blocks)
    expect(text(sheet)).toMatch(/0.20? mm/)
    expect(text(ticket)).toMatch(/What is not to be changed/)
    expect(text(player)).toMatch(/every fret/i)
  })
})

describe('the guided sequence', () => {
  it('from a badly set instrument, with 5 % error on every turn, is within tolerance after three rounds in 95 of 100', () => {
    const runs = 1000
    let good = 0
    for (let seed = 1; seed <= runs; seed++) {
      const roll = dice(seed)
      const about = (middle: number, half: number) => middle + (2 * roll() - 1) * half
      const turn = () => 1 + 0.05 * (2 * roll() - 1)
      let relief = about(0.35, 0.3)
      let bass = about(2, 0.7)
      let treble = about(1.9, 0.7)
      const perQuarter = about(0.06, 0.02)
      const base = changed(
        { ...bare(), setup: { school: 'ordinary', readings: {}, reliefPerQuarter: perQuarter } },
        {},
        { 'bridge/mount': 'screws' },
      )
      const targets = wantedOf(base)
      for (let round = 0; round < 3; round++) {
        const b = read(
          base,
          { what: 'relief', value: relief },
          { what: 'action', string: 6, value: bass },
          { what: 'action', string: 1, value: treble },
        )
        const r = setupResult(b)
        const says = (id: string) => r.moves.find((m) => m.id === id)!.says
        const turns = (words: string) => {
          const m = /(?:(\d+) )?(\d+)\/(\d+)|(\d+)/.exec(words)
          return m ? (m[4] ? Number(m[4]) : Number(m[1] ?? 0) + Number(m[2]) / Number(m[3])) : 0
        }
        if (!r.moves.find((m) => m.id === 'relief')!.done) {
          const t = turns(/nut\)|neck\)|in front of it\)/.test(says('relief')) ? says('relief').split(') ')[1]! : says('relief'))
          const by = 4 * t * perQuarter * turn()
          relief += says('relief').startsWith('Tighten') ? -by : by
        }
        // Turns are read off the words themselves: a half-millimetre thread, a saddle's move is twice the action's.
        const action = says('action')
        const side = (name: string) => new RegExp(`${name} saddle screws ([^,]*?) (clockwise|counter-clockwise)`, 'i').exec(action)
        for (const [name, set] of [
          ['Bass', (d: number) => (bass += d)],
          ['treble', (d: number) => (treble += d)],
        ] as const) {
          const found = side(name)
          if (found) set(((turns(found[1]!) * 0.5 * turn()) / 2) * (found[2] === 'clockwise' ? 1 : -1))
        }
      }
      const ok =
        relief >= targets.relief.from - 0.05 &&
        relief <= targets.relief.to + 0.05 &&
        Math.abs(bass - targets.actionBass) < 0.08 &&
        Math.abs(treble - targets.actionTreble) < 0.08
      if (ok) good++
    }
    expect(good / runs).toBeGreaterThanOrEqual(0.95)
  })
  it('no move is ever the wrong way: what is too high goes down, whatever the screws', () =>
    fc.assert(
      fc.property(fc.constantFrom('screws', 'two-stud', 'post'), fc.double({ min: 0.8, max: 3.5, noNaN: true }), (mount, high) => {
        const b = changed(bare(), {}, { 'bridge/mount': mount })
        const m = setupResult(read(b, { what: 'action', string: 6, value: high }, { what: 'action', string: 1, value: high })).moves.find(
          (x) => x.id === 'action',
        )!
        const { actionBass } = wantedOf(b)
        if (m.done || Math.abs(high - actionBass) < 0.1) return
        // A grub screw lifts its saddle clockwise; a stud and a post carry the bridge down clockwise.
        const down = mount === 'screws' ? /Bass saddle screws [^,]*counter-clockwise/ : /Bass (stud|thumb wheel) [^,]* clockwise/
        expect(down.test(m.says)).toBe(high > actionBass)
      }),
    ))
})
