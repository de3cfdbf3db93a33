import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { listeningSheet } from './listening'
import { switchStates } from '../model/switchStates'
import { expectedNoise } from './noise'
import { topology } from './topology'

const harness = (w: Parameters<typeof wirable>[0]) => {
  const made = harnessOf(wirable(w))
  if (!made.ok) throw new Error('no harness')
  return made.harness
}
const two = harness({ places: ['neck', 'bridge'], contacts: 'toggle-3', second: true, options: { volumes: 'two', tones: 'two' } })
const expects = (s: ReturnType<typeof listeningSheet>, id: string, control: string) =>
  s.rows.find((r) => r.id === id)!.cells.find((c) => c.control === control)!.expect

describe('the listening sheet', () => {
  const sheet = listeningSheet(two, {})
  it('holds every position with every control once', () => {
    expect(sheet.rows.map((r) => r.id)).toEqual(['1', '2', '3'])
    expect(sheet.controls).toEqual(['strum', 'bridge volume', 'neck volume', 'bridge tone', 'neck tone', 'hand on the strings'])
    expect(new Set(sheet.rows.flatMap((r) => r.cells.map((c) => c.key))).size).toBe(18)
    expect(sheet.untried).toBe(18)
  })
  it('a volume of the pickup that does not sound does nothing there; coupled, either silences the middle', () => {
    // A toggle's first throw is the bridge, the last the neck.
    expect(expects(sheet, '1', 'bridge volume')).toMatch(/silence/)
    expect(expects(sheet, '1', 'neck volume')).toBe('does nothing here')
    expect(expects(sheet, '3', 'bridge volume')).toBe('does nothing here')
    expect(expects(sheet, '2', 'bridge volume')).toMatch(/silence/)
  })
  it('of more ways than fit on a sheet it holds each position and each other throw once', () => {
    const many = harness({ places: ['neck', 'bridge'], contacts: 'toggle-3', rotary: true, options: { tone: 'rotary' } })
    expect(switchStates(many).length).toBe(18)
    expect(listeningSheet(many, {}).rows.map((r) => r.id)).toEqual(['1-1', '2-1', '3-1', '1-2', '1-3', '1-4', '1-5', '1-6'])
  })
  it('independent volumes do not silence the middle', () => {
    const own = harness({
      places: ['neck', 'bridge'],
      contacts: 'toggle-3',
      second: true,
      options: { volumes: 'two', style: 'independent' },
    })
    expect(expects(listeningSheet(own, {}), '2', 'bridge volume')).not.toMatch(/down to silence/)
  })
  it('a position in which nothing sounds is to be silent, whatever is turned; one that sounds is not', () => {
    const killed = harness({ places: ['neck', 'bridge'], contacts: 'toggle-3', options: { kill: 'button' } })
    const s = listeningSheet(killed, {})
    const cells = s.rows.map((r) => [r.id, r.cells[0]!.expect] as const)
    expect(cells.filter(([, e]) => e === 'silence belongs here').length).toBe(3)
    expect(cells.filter(([, e]) => e === 'every string full and clear').length).toBe(3)
    for (const r of s.rows.filter((row) => row.cells[0]!.expect === 'silence belongs here'))
      expect(r.cells[1]!.expect).toBe('silence belongs here')
  })
  it('a tone goes dark', () => expect(expects(sheet, '1', 'bridge tone')).toMatch(/dark/))
  it('counts what was never tried and what was bad, and asks for the gain', () => {
    const some = listeningSheet(two, { heard: { '1 strum': 'good', '2 tone': 'bad' } })
    expect([some.untried, some.bad]).toEqual([16, 1])
    expect(some.says).toMatch(/16 of 18 never tried, 1 not as it should be; amplifier not noted/)
    expect(listeningSheet(two, { gain: 'high' }).says).toMatch(/high gain/)
  })
})

describe('what noise to expect', () => {
  const noise = (w: Parameters<typeof wirable>[0], position: number) => expectedNoise(topology(harness(w), { switch: position }))
  const three = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' } as const
  it('a single coil hums: normal', () => expect(noise(three, 1)).toMatch(/normal, nothing to mend/))
  it('a reverse-wound middle with its neighbour leaves the difference: (8800 - 6000)/(14800) is -14 dB', () =>
    // In parallel each coil is weighed by the other's resistance: what is left is of that size.
    expect(noise(three, 2)).toMatch(/1[0-9] dB below|Next to no hum/))
  it('a humbucker of two equal coils is quiet', () =>
    expect(noise({ places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['neck', 'bridge'] }, 1)).toMatch(/Next to no hum/))
})
