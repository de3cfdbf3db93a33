import { describe, expect, it } from 'vitest'
import { newBuild } from '../document/build'
import { SLOTS, type Slot } from '../parts/slots'
import { START_IDS, STARTING_SETS } from '../parts/starting/sets'
import { aPart } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { idleFor } from './idleParts'
import { wantedFor, wantedSizes } from './wantedParts'

const more = () => {
  const full = fullBuild()
  return {
    ...full,
    parts: {
      ...full.parts,
      ferrules: aPart('ferrules', { count: 6 }),
      tailpiece: aPart('tailpiece', { height: 12 }),
      'ring-neck': aPart('ring-neck', { length: 37 }),
      'jack-plate': aPart('jack-plate', { hole: 9.7 }),
    },
  }
}

describe('parts that nothing takes', () => {
  it.each<[Slot, Record<string, string>, string, Record<string, string>]>([
    ['springs', { 'bridge/mount': 'screws' }, 'the bridge does not move', { 'bridge/mount': 'six-screw' }],
    ['tailpiece', { 'bridge/mount': 'two-stud' }, 'the bridge holds the strings itself', { 'bridge/mount': 'post' }],
    ['ferrules', { 'bridge/mount': 'post' }, 'no string goes through the body', { 'bridge/mount': 'string-through' }],
    ['neck-screws', { 'neck/joint': 'set' }, 'the neck is glued in', { 'neck/joint': 'bolt' }],
    ['ring-neck', { 'pickup-neck/mount': 'guard' }, 'the neck pickup does not hang from a ring', { 'pickup-neck/mount': 'ring' }],
    ['jack-plate', { 'jack/held': 'thread' }, 'the jack is held by its own thread', { 'jack/held': 'plate' }],
  ])('%s', (slot, idle, why, taken) => {
    expect(idleFor(changed(more(), {}, idle).parts, slot)).toBe(why)
    expect(idleFor(changed(more(), {}, { ...idle, ...taken }).parts, slot)).toBeUndefined()
    const { [slot]: _, ...without } = changed(more(), {}, idle).parts as Partial<ReturnType<typeof more>['parts']>
    expect(idleFor(without, slot)).toBeUndefined()
  })
  it('asks for no size of it either', () => {
    const bare = { ...more().parts, springs: aPart('springs', {}) }
    expect(wantedSizes(bare, 'springs')).toEqual(['count'])
    expect(wantedSizes(changed({ ...more(), parts: bare }, {}, { 'bridge/mount': 'post' }).parts, 'springs')).toEqual([])
  })
  it('a ring without its pickup; and nothing is said of what the others have not told', () => {
    const { 'pickup-neck': _, ...parts } = more().parts
    expect(idleFor(parts, 'ring-neck')).toBe('there is no neck pickup')
    const silent = { ...more().parts, bridge: aPart('bridge', {}), jack: aPart('jack', {}), neck: aPart('neck', {}) }
    for (const slot of ['springs', 'tailpiece', 'ferrules', 'neck-screws', 'jack-plate'] as const)
      expect(idleFor(silent, slot)).toBeUndefined()
  })
  it('what the build cannot do without is never idle, and no starting set has anything idle', () => {
    for (const start of START_IDS) {
      const { strings, scale } = STARTING_SETS[start]
      const { parts } = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
      for (const { slot } of SLOTS) {
        expect(idleFor(parts, slot), `${start}: ${slot}`).toBeUndefined()
        const { [slot]: part, ...rest } = parts
        if (part && wantedFor(rest, slot)) expect(idleFor(parts, slot)).toBeUndefined()
      }
    }
  })
})
