import { describe, expect, it } from 'vitest'
import { harnessOf } from '../schemes/harnessOf'
import { wirable } from '../../testing/wirable'
import { coloursFor } from './wireColours'
import { wireList } from './wireList'

const harness = (() => {
  const made = harnessOf(wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3' }))
  if (!made.ok) throw new Error('no harness')
  return made.harness
})()

describe('colours from what is on hand', () => {
  it('two colours: ground is black, everything else is the other', () =>
    expect(coloursFor({ black: 2, yellow: 3 }).of).toEqual({
      ground: 'black',
      hot: 'yellow',
      signal: 'yellow',
      link: 'yellow',
      jumper: 'yellow',
      supply: 'yellow',
    }))
  it('ground never shares a colour with signal while there are two, whatever their names', () => {
    for (const pair of [
      ['violet', 'grey'],
      ['white', 'red'],
      ['green', 'brown'],
      ['pink', 'black'],
    ]) {
      const { of, says } = coloursFor(Object.fromEntries(pair.map((c) => [c, 1])))
      for (const role of ['hot', 'signal', 'link'] as const) expect(of[role], pair.join()).not.toBe(of.ground)
      expect(says).toBeUndefined()
    }
  })
  it('one colour, or an empty reel beside it: everything is tagged', () => {
    expect(coloursFor({ red: 2, black: 0 }).says).toMatch(/flag of tape/)
    expect(new Set(Object.values(coloursFor({ red: 2, black: 0 }).of))).toEqual(new Set(['red']))
  })
})

describe('the wire list', () => {
  it('gives a pickup’s lead the colour it has, and all others what is on the reels', () => {
    const lead = harness.wires.find((w) => w.from === 'bridge.finish')!
    const rows = wireList(harness, { reels: { black: 2, yellow: 2 }, leads: { 'bridge.finish': 'white' } })
    expect(rows.find((r) => r.from === 'bridge, finish')!.colour).toBe('white')
    expect(['hot', 'signal']).toContain(lead.role)
    expect(rows.filter((r) => r.role === 'ground').every((r) => r.colour === 'black')).toBe(true)
  })
  it('screened wire is used for long live runs alone, and never for grounds', () => {
    const rows = wireList(harness, { screened: true })
    for (const r of rows) expect(Boolean(r.screened), `${r.from} ${r.to}`).toBe(false)
    const placed = { ...harness, components: harness.components.map(({ guessed: _, ...c }) => ({ ...c })) } as typeof harness
    const long = wireList(placed, { screened: true }).filter((r) => r.screened)
    expect(long.length).toBeGreaterThan(0)
    for (const r of long) {
      expect(r.length!).toBeGreaterThanOrEqual(150)
      expect(['hot', 'signal']).toContain(r.role)
    }
  })
  it('each joint has its check with what is soldered so far: by hand, 500 k of track up to the outer lug', () => {
    const rows = wireList(harness)
    const find = (from: RegExp, to: RegExp) => rows.find((r) => from.test(r.from) && to.test(r.to))!
    // The selector's common goes to the volume's outer lug; with lug 1 not yet grounded nothing but the wire itself is there.
    expect(find(/selector, lug A0/, /volume, lug 3/).check).toBe('beep along it; silence to the volume case')
    expect(find(/volume, lug 1/, /volume case/).check).toBe('beep to the volume case')
    // The neck's hot end, its other end grounded before or after: 7.4 k through the coil once both are on, alone an open line.
    const neck = rows.filter((r) => r.from.startsWith('neck, '))
    expect(neck.at(-1)!.check).toMatch(neck.at(-1)!.role === 'ground' ? /beep to the volume case/ : /; 7\.4 k to the volume case, no beep/)
    // From the jack's tip the volume's whole track stands at 10, with the pickup of position 1 beside it.
    expect(rows.at(-1)!.stage).toBe('jack')
  })
})
