import { describe, expect, it } from 'vitest'
import { applyChange } from '../document/change'
import { setSize } from '../document/changes'
import { enteredAt, sizeAt, sizeRef } from '../document/read'
import { holeCards } from '../drill/holes'
import { START_IDS, STARTING_SETS } from './starting/sets'
import { newBuild } from '../document/build'
import { aPart, jointIn } from '../testing/bench'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { undrilled } from '../testing/undrilled'
import { atOdds } from './atOdds'
import { unknownSizes } from './unknown'

const says = (slot: Parameters<typeof aPart>[0], sizes: Parameters<typeof aPart>[1]) => atOdds(aPart(slot, sizes)).map((o) => o.says)

describe('sizes of one part that cannot be right together', () => {
  it('a root as thick as its thread, swapped when they were typed', () => {
    expect(says('neck-screws', { root: 3, thread: 4.2, length: 45 })).toEqual([])
    expect(says('neck-screws', { root: 4.2, thread: 3, length: 45 })).toEqual([
      'Root diameter 4.2 mm and thread diameter 3 mm cannot both be right: a thread stands out from its root. Until one is read again neither is gone by.',
    ])
    expect(says('tuners', { 'screw.root': 2.4, 'screw.thread': 1.6 })).toHaveLength(1)
    expect(says('pickup-neck', { 'screw.root': 3.2, 'screw.diameter': 2.4 })).toHaveLength(1)
  })
  it('as far as both are known: within their doubts they may be right', () => {
    // 0.2 mm apart, each to 0.15: together 0.212.
    expect(says('neck-screws', { root: [3.2, 'listed', 0.15], thread: [3, 'listed', 0.15] })).toEqual([])
    expect(says('neck-screws', { root: [3.22, 'listed', 0.15], thread: [3, 'listed', 0.15] })).toHaveLength(1)
    expect(says('neck-screws', { root: [3, 'calipers', 0], thread: [3, 'calipers', 0] })).toEqual([])
    expect(says('neck-screws', { root: [4.2, 'assumed', 0.1], thread: 3 })).toEqual([])
  })
  it('a bridge in front of the pocket’s end, saddles lower than their lowest, a core thicker than its string', () => {
    expect(says('body', { 'pocket.length': 176, mouthToBridge: 155 })).toHaveLength(1)
    expect(says('body', { 'pocket.length': 76, mouthToBridge: 255 })).toEqual([])
    expect(says('bridge', { 'height.min': 15, 'height.max': 9 })).toHaveLength(1)
    expect(says('strings', { 'gauge.6': 0.36, 'core.6': 1.17 })).toHaveLength(1)
  })
  it('nothing that fits is at odds with itself: every make, every starting set', () => {
    for (const build of [
      ...everyMake(),
      ...START_IDS.map((start) => newBuild({ name: 'n', handedness: 'right', start, ...STARTING_SETS[start] }, '2026-11-30')),
    ])
      for (const part of Object.values(build.parts)) {
        const told = {
          ...part,
          sizes: Object.fromEntries(Object.entries(part.sizes).map(([k, s]) => [k, { ...s, doubt: 0, known: 'calipers' as const }])),
        }
        expect(
          atOdds(told).map((o) => o.says),
          part.name,
        ).toEqual([])
      }
  })
  it('neither is gone by: Dry fit can’t tell, no bit is named, both are asked for; the rest stays as it is', () => {
    const swapped = changed(fullBuild(), { 'neck-screws/root': 4.2, 'neck-screws/thread': 3 })
    expect(sizeAt(swapped, sizeRef('neck-screws', 'root'))!.known).toBe('assumed')
    expect(sizeAt(swapped, sizeRef('neck-screws', 'length'))!.known).toBe('calipers')
    expect(unknownSizes(swapped.parts['neck-screws']!)).toEqual(expect.arrayContaining(['root', 'thread']))
    const card = holeCards(undrilled(drillable(swapped))).find((c) => c.id === 'neck-screws')!
    expect(card.stands).toBe('waiting')
    expect(card.says).toMatch(/Root diameter 4\.2 mm and thread diameter 3 mm cannot both be right/)
    expect(card.missing.map((m) => m.size)).toEqual(expect.arrayContaining(['root', 'thread']))
    const upside = changed(fullBuild(), { 'bridge/height.min': 15, 'bridge/height.max': 9 })
    expect(jointIn(upside, 'bridge-height').verdict).toBe('cant-tell')
    expect(jointIn(upside, 'bridge-height').says).toMatch(/lowest 15 mm and .*highest 9 mm cannot both be right/)
    expect(jointIn(upside, 'bridge-height').missing.map((m) => m.size)).toEqual(expect.arrayContaining(['height.min', 'height.max']))
    expect(jointIn(fullBuild(), 'bridge-height').missing).toEqual([])
  })
  it('stays as it was entered for whoever looks at it or changes it, and is gone by again once one is read anew', () => {
    const swapped = changed(fullBuild(), { 'neck-screws/root': 4.2, 'neck-screws/thread': 3 })
    const root = sizeRef('neck-screws', 'root')
    expect(enteredAt(swapped, root)).toMatchObject({ value: 4.2, known: 'calipers' })
    const mended = applyChange(swapped, setSize(swapped, root, { value: 2.4, doubt: 0.05, known: 'calipers' }))
    expect(atOdds(mended.parts['neck-screws']!)).toEqual([])
    expect(sizeAt(mended, sizeRef('neck-screws', 'thread'))).toMatchObject({ value: 3, known: 'calipers' })
  })
})
