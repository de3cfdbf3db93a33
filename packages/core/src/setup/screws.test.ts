import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../testing/fullBuild'
import type { Build } from '../document/build'
import { heightTurn, SCREWS, trussTurn } from './screws'
import { setupResult } from './setupResult'

/** A screw by its geometry: clockwise it goes away from the hand by its pitch. */
const goes = {
  // Threaded through the saddle, its foot on the plate: driven down through it, it pushes the saddle up.
  grub: +1,
  // Threaded into the body, the bridge under its head: driven down it takes the bridge with it.
  stud: -1,
  // A nut on a fixed thread, the bridge upon it: driven down it lets the bridge down.
  wheel: -1,
} as const

describe('which way a screw is turned', () => {
  it.each(Object.keys(goes) as (keyof typeof goes)[])('%s: the turn that is said does what is wanted', (screw) => {
    for (const up of [-1, -0.3, 0.25, 0.8]) {
      const said = heightTurn(screw, up, 0.5)
      const clockwise = said.includes('counter') ? -1 : 1
      expect(Math.sign(up), `${screw} ${up}: ${said}`).toBe(clockwise * goes[screw])
    }
  })
  it('0.8 mm on a pitch of 0.5 is 1 5/8 turns; a hair is left alone', () => {
    expect(heightTurn('grub', -0.8, 0.5)).toBe('1 5/8 turns counter-clockwise')
    expect(heightTurn('stud', -0.8, 0.5)).toBe('1 5/8 turns clockwise')
    expect(heightTurn('grub', 0.01, 0.5)).toBe('leave')
  })
  it('a truss nut is tightened clockwise from whichever end the hand is at, and that end is named', () => {
    expect(trussTurn(true, 'head')).toBe('Tighten (clockwise, looking from the headstock down the neck)')
    expect(trussTurn(true, 'heel')).toBe('Tighten (clockwise, looking from the body up the neck)')
    expect(trussTurn(false, undefined)).toMatch(/^Loosen \(counter-clockwise, looking at its nut/)
  })
  it('the claw draws tight clockwise', () => expect(SCREWS.claw.clockwise).toBe('tight'))
})

describe('what the station says', () => {
  const read = (bass: number, treble: number, traits: Record<string, string> = {}): Build => {
    const b = changed(fullBuild(), {}, traits)
    b.setup.readings = {
      'action 6': { what: 'action', string: 6, value: bass },
      'action 1': { what: 'action', string: 1, value: treble },
      relief: { what: 'relief', value: 0.6 },
    } as unknown as Build['setup']['readings']
    return b
  }
  const says = (b: Build, id: string) => setupResult(b).moves.find((m) => m.id === id)!.says
  it.each(['screws', 'string-through', 'six-screw'])('%s: too high, so the saddle screws go counter-clockwise', (mount) => {
    const words = says(read(3, 3, { 'bridge/mount': mount }), 'action')
    expect(words).toMatch(/^Bass saddle screws .* counter-clockwise, treble saddle screws .* counter-clockwise, seen from above/)
  })
  it.each(['two-stud', 'double-locking', 'post'])('%s: too high, so the posts go clockwise', (mount) => {
    const words = says(read(3, 3, { 'bridge/mount': mount }), 'action')
    expect(words).toMatch(/^Bass (stud|thumb wheel) [^c]* clockwise, treble (stud|thumb wheel) [^c]* clockwise, seen from above/)
  })
  it('too low goes the other way on either', () => {
    expect(says(read(0.9, 0.8, { 'bridge/mount': 'screws' }), 'action')).toMatch(/^Bass saddle screws [^c]* clockwise/)
    expect(says(read(0.9, 0.8, { 'bridge/mount': 'two-stud' }), 'action')).toMatch(/^Bass stud [^c]* counter-clockwise/)
  })
  it('a heel nut is not seen from the nut', () => {
    expect(says(read(2, 2, { 'neck/truss': 'heel' }), 'relief')).toMatch(/^Tighten \(clockwise, looking from the body/)
    expect(says(read(2, 2, { 'neck/truss': 'head' }), 'relief')).toMatch(/^Tighten \(clockwise, looking from the headstock/)
  })
  it('0.3 mm of action is not taken without a word, and nothing is turned on it', () => {
    const words = says(read(1.8, 0.3), 'action')
    expect(words).toMatch(/read again/)
    expect(words).not.toMatch(/clockwise/)
  })
  it('a bridge nobody has said the mount of gets no sense of turning', () => {
    const b = read(3, 3)
    delete b.parts.bridge!.traits.mount
    expect(says(b, 'action')).toMatch(/mm down at the bass.*nobody has said/)
    expect(says(b, 'action')).not.toMatch(/clockwise/)
  })
})
