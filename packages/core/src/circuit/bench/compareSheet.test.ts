import { describe, expect, it } from 'vitest'
import { wirable, type Wanted } from '../../testing/wirable'
import { PAIR } from '../../testing/wirings'
import { exchanged } from '../model/exchanged'
import type { Harness } from '../model/harness'
import { harnessOf } from '../schemes/harnessOf'
import { edited } from '../schemes/edited'
import { compareSheet, editsToMatch } from './compareSheet'

const made = harnessOf(wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }))
if (!made.ok) throw new Error('no harness')
const { harness } = made
const LOAD = { cable: 500e-12, amplifier: 1e6 }
const lines = (h: Harness) => h.wires.filter((w) => !w.inside).map(({ from, to }) => ({ from, to }))

describe('a sheet beside the harness worked out here', () => {
  it('its own wires are no difference, in any order and either way round', () => {
    const turned = lines(harness)
      .toReversed()
      .map(({ from, to }) => ({ from: to, to: from }))
    const c = compareSheet(harness, turned, LOAD)
    expect([c.lacks, c.more, c.mirrored]).toEqual([[], [], undefined])
    expect(c.sounds.map((s) => s.same)).toEqual([true, true, true, true, true])
  })
  it('grounds chained from case to case are the same as a star', () => {
    const hot = lines(harness).filter((_, i) => harness.wires[i]!.role !== 'ground')
    const ends = harness.wires.filter((w) => w.role === 'ground').map((w) => (w.from === 'case.1' ? w.to : w.from))
    const chain = [...ends, 'case.1'].slice(1).map((to, i) => ({ from: [...ends, 'case.1'][i]!, to }))
    const c = compareSheet(harness, [...hot, ...chain], LOAD)
    expect([c.lacks, c.more]).toEqual([[], []])
  })
  it('a lead on the wrong lug is named from both sides, and the position that suffers', () => {
    const wrong = lines(harness).map((w) => (w.from === 'neck.finish' ? { ...w, to: 'switch.B3' } : w))
    const c = compareSheet(harness, wrong, LOAD)
    expect(c.lacks).toEqual(['neck, finish to selector, lug A3'])
    expect(c.more).toEqual(['neck, finish to selector, lug B3'])
    // Lever of five: 5 is the neck alone, 4 neck and middle.
    expect(c.sounds.filter((s) => !s.same).map((s) => s.id)).toEqual(['4', '5'])
  })
  it('pickups that are alike are told apart: in each other’s place, or each on the other’s volume', () => {
    const alike = (w: Wanted): Harness => {
      const build = wirable(w)
      build.parts['pickup-neck']!.sizes = build.parts['pickup-bridge']!.sizes
      const found = harnessOf(build)
      if (!found.ok) throw new Error('no harness')
      return found.harness
    }
    const other = (h: Harness, a: string, b: string) => {
      const to = (lug: string) => (lug === a ? b : lug === b ? a : lug)
      const swapped = lines(h).map((w) => ({ from: to(w.from), to: to(w.to) }))
      return compareSheet(h, swapped, LOAD).sounds.map((s) => s.same)
    }
    const pair = alike(PAIR)
    // The toggle's middle holds both: neck for bridge changes nothing there.
    expect(other(pair, 'neck.finish', 'bridge.finish')).toEqual([false, true, false])
    const each = alike({ ...PAIR, second: true, options: { volumes: 'two', tones: 'one' } })
    expect(other(each, 'neck.finish', 'bridge.finish')).toEqual([false, false, false])
    expect(compareSheet(each, lines(each), LOAD).sounds.every((s) => s.same)).toBe(true)
  })
  it('drawn from the other side: every pot’s outer lugs changed, said as that and not as six mistakes', () => {
    const behind = harness.components.reduce<Harness>((h, p) => (p.is === 'pot' ? exchanged(h, `${p.id}.1`, `${p.id}.3`) : h), harness)
    const c = compareSheet(harness, lines(behind), LOAD)
    expect(c.lacks.length).toBeGreaterThan(0)
    expect(c.mirrored).toMatch(/other side/)
  })
  it('one pot alone turned is no mirrored sheet', () =>
    expect(compareSheet(harness, lines(exchanged(harness, 'volume.1', 'volume.3')), LOAD).mirrored).toBeUndefined())
  it('an empty sheet lacks everything and says nothing of sounds', () => {
    const c = compareSheet(harness, [], LOAD)
    expect(c.lacks).toHaveLength(lines(harness).length)
    expect(c.sounds).toEqual([])
  })
  it('wired as it shows, nothing differs any more', () => {
    const wrong = lines(harness).map((w) => (w.from === 'neck.finish' ? { ...w, to: 'switch.B3' } : w))
    const as = edited(harness, editsToMatch(harness, wrong)).harness
    const c = compareSheet(as, wrong, LOAD)
    expect([c.lacks, c.more]).toEqual([[], []])
    expect(Object.keys(editsToMatch(harness, lines(harness)))).toEqual([])
  })
})
