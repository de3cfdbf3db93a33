import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { targetsOf } from '../instrument/targets'
import { changed, fullBuild } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { setupDrawing } from './setupDrawing'
import { outOfTune, poundsForce, setupResult } from './setupResult'

interface Read {
  relief?: number
  actionBass?: number
  actionTreble?: number
  cents?: Record<string, number>
  reliefPerQuarter?: number
}
const measured = ({ relief, actionBass, actionTreble, cents, reliefPerQuarter }: Read, b = fullBuild()): Build =>
  measuredBuild(
    { ...b, setup: { ...b.setup, ...(reliefPerQuarter === undefined ? {} : { reliefPerQuarter }) } },
    {
      ...(relief === undefined ? {} : { relief }),
      ...(actionBass === undefined ? {} : { bass: actionBass }),
      ...(actionTreble === undefined ? {} : { treble: actionTreble }),
      ...(cents ? { cents } : {}),
    },
  )
const move = (b: Build, id: string) => setupResult(b).moves.find((m) => m.id === id)!

describe('relief', () => {
  it('says how to measure it before anything is turned', () => expect(move(fullBuild(), 'relief').says).toMatch(/gap over fret 8/))
  it('within the target the rod is left alone, to the last hundredth', () => {
    const { from, to } = targetsOf(fullBuild()).ordinary.relief
    for (const relief of [from, (from + to) / 2, to]) expect(move(measured({ relief }), 'relief').done).toBe(true)
  })
  it('too much: tighten; too little: loosen; by turns once the neck is known', () => {
    expect(move(measured({ relief: 0.5 }), 'relief').says).toMatch(/^Tighten .* a quarter turn, wait/)
    expect(move(measured({ relief: 0 }), 'relief').says).toMatch(/^Loosen/)
    expect(move(measured({ relief: 0.425, reliefPerQuarter: 0.1 }), 'relief').says).toMatch(/^Tighten .* 1\/2 turn/)
  })
  it('of a neck that nothing turns: no turn is told; lighter strings against too much, heavier against too little', () => {
    for (const truss of ['fixed', 'no-rod']) {
      const neck = changed(fullBuild(), {}, { 'neck/truss': truss })
      const { to } = targetsOf(neck).ordinary.relief
      const at = (relief: number) => move(measured({ relief, reliefPerQuarter: 0.1 }, neck), 'relief')
      for (const relief of [-0.2, 0, to + 0.2]) {
        expect(at(relief)).toMatchObject({ done: false })
        expect(at(relief).turns).toBeUndefined()
        expect(at(relief).says).not.toMatch(/clockwise|quarter/)
      }
      expect(at(0.6).says).toMatch(/A lighter set lets it straighten.*write 0.6 mm down as the relief wanted/)
      expect(at(0).says).toMatch(/A heavier set pulls it forward/)
      // A bow backwards is nothing to want.
      expect(at(-0.2).says).not.toMatch(/as the relief wanted/)
      expect(at(to)).toMatchObject({ done: true, says: 'As it should be.' })
      const asWanted = { ...neck, setup: { ...neck.setup, wanted: { relief: 0.6 } } }
      expect(move(measured({ relief: 0.6 }, asWanted), 'relief').done).toBe(true)
    }
  })
})

describe('action', () => {
  it('asked for after the relief', () => expect(move(fullBuild(), 'action').says).toMatch(/after the relief/))
  it('where it is wanted', () => {
    const { actionBass, actionTreble } = targetsOf(fullBuild()).ordinary
    expect(move(measured({ actionBass, actionTreble }), 'action').done).toBe(true)
  })
  it('two studs move both strings: turns of each, and how far the saddles go', () => {
    const { actionBass, actionTreble } = targetsOf(fullBuild()).ordinary
    const r = setupResult(measured({ actionBass: actionBass + 0.5, actionTreble: actionTreble + 0.5 }))
    // 2 x 0.5 (1 + c/L): a saddle set 3 to 6 mm back makes it up to a hundredth more.
    expect(r.posts!.bassHeight).toBeLessThan(-1)
    expect(r.posts!.bassHeight).toBeCloseTo(-1.008, 2)
    expect(r.posts!.bass).toBeCloseTo(2.016, 1)
    expect(r.moves.find((m) => m.id === 'action')!.says).toMatch(/Bass stud 2 turns clockwise, treble stud 2 turns clockwise/)
  })
  it('the drawing moves the bass saddle by as much as the words do', () => {
    const b = measured({ actionBass: targetsOf(fullBuild()).ordinary.actionBass + 0.31, actionTreble: 1.75 })
    // 2 x 0.31 = 0.62, and a hundredth more for a saddle set back.
    const [said] = /(?<=Saddles go )[\d.]+(?= mm down at the bass)/.exec(move(b, 'action').says)!
    expect(said).toBe('0.63')
    expect(setupDrawing(b).marks.flatMap((m) => ('text' in m ? [m.text] : []))).toContain(`saddle ${said} down`)
  })
  it('a fixed bridge turns its saddle screws', () => {
    const b = changed(fullBuild(), {}, { 'bridge/mount': 'screws' })
    expect(move(measured({ actionBass: 2, actionTreble: 2 }, b), 'action').says).toMatch(/^Bass saddle screws/)
  })
  it('only one side off moves only that stud’s side most', () => {
    const { actionBass, actionTreble } = targetsOf(fullBuild()).ordinary
    const r = setupResult(measured({ actionBass: actionBass + 0.5, actionTreble }))
    expect(Math.abs(r.posts!.bass)).toBeGreaterThan(Math.abs(r.posts!.treble))
  })
})

describe('intonation', () => {
  it('sharp at fret 12 goes back, flat forward, in turns of the length screw', () => {
    const r = setupResult(measured({ cents: { '1': 5, '2': -3 } }))
    const [first, second, third] = r.intonation
    expect(first!.back).toBeGreaterThan(0)
    expect(first!.turns).toBeCloseTo(first!.back! / 0.5, 9)
    expect(second!.back).toBeLessThan(0)
    expect(third!.cents).toBeUndefined()
    expect(outOfTune(r)).toBe(2)
  })
  it('a cent is in tune', () => expect(outOfTune(setupResult(measured({ cents: { '1': 1, '2': -0.5 } })))).toBe(0))
})

describe('the whole', () => {
  it('total pull is the strings’ sum, in newtons and pounds', () => {
    const r = setupResult(fullBuild())
    expect(r.total).toBeCloseTo(
      r.pulls.reduce((s, p) => s + p.newton, 0),
      9,
    )
    expect(r.total).toBeGreaterThan(400)
    expect(poundsForce(4.4482216)).toBeCloseTo(1, 9)
  })
  it('a longer scale pulls harder by its square [physics]', () => {
    const long = setupResult(changed(fullBuild(), { 'neck/scale': 686 })).total
    expect(long / setupResult(fullBuild()).total).toBeCloseTo((686 / 647.7) ** 2, 6)
  })
  it('the drawing shows the string as read beside the one wanted, and an arrow the way the saddle goes', () => {
    const arrow = (action: number) => {
      const d = setupDrawing(measured({ actionBass: action, actionTreble: action }))
      const shaft = d.marks.find((m) => m.mark === 'line' && m.role === 'remove' && m.points.length === 2)
      // Down on the page is more y.
      return shaft?.mark === 'line' ? Math.sign(shaft.points[1]!.y - shaft.points[0]!.y) : undefined
    }
    expect([arrow(2.4), arrow(0.9), arrow(1.6)]).toEqual([1, -1, undefined])
    expect(setupDrawing(measured({ actionBass: 2.4, actionTreble: 2.4 })).numbers.map((n) => n.value)).toContain('2.4 mm')
    expect(setupDrawing(measured({})).marks.some((m) => m.mark === 'line' && m.role === 'string')).toBe(false)
  })
})
