import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { isScrewedDown, switchMake } from '../instrument/switchMake'
import { KINDS } from '../parts/kinds/index'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { jointIn } from '../testing/bench'
import { drawHole, holeCards } from './holes'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)
const on = (contacts: string, build = fullBuild()) => changed(build, {}, { 'switch/contacts': contacts })
const uncut = { 'guard/switch.slot': undefined, 'guard/switch.screws': undefined }

describe('how a switch is held', () => {
  it('every kind that is sold is screwed down or held by its thread', () => {
    const all = KINDS.switch.traits.contacts!.options.map(([contacts]) => [contacts, switchMake(contacts)])
    expect(Object.fromEntries(all)).toEqual({
      'lever-5': 'lever',
      'lever-5x4': 'lever',
      'lever-3': 'lever',
      'lever-4': 'lever',
      'toggle-3': 'toggle',
      'on-on-on': 'toggle',
      'on-on': 'toggle',
      'on-off-on': 'toggle',
      'rotary-5': 'rotary',
      'rotary-6': 'rotary',
      slide: 'slide',
    })
  })
  it.each(KINDS.switch.traits.contacts!.options.map(([c]) => [c] as const))(
    '%s: the joint and the card ask for what holds it',
    (contacts) => {
      const build = drillable(changed(on(contacts), uncut))
      const checks = jointIn(build, 'switch').checks.map((c) => c.id)
      const screwed = isScrewedDown(contacts)
      expect(checks).toEqual(screwed ? ['depth', 'swing', 'screws'] : ['depth', 'hole', 'thread'])
      expect(card(build, 'switch-slot') !== undefined).toBe(screwed)
      expect(card(build, 'toggle-hole') !== undefined).toBe(!screwed)
    },
  )
})

describe('the slot of a lever', () => {
  it('in a guard that has none: a millimetre over the swing of 26, its screws 41.2 apart', () => {
    const c = card(drillable(changed(fullBuild(), uncut)), 'switch-slot')!
    expect([c.work, c.stands, c.side]).toEqual(['new', 'ready', 'guard'])
    expect(c.says).toBe('27 mm long, 1 over the lever’s swing; the screws’ holes 41.2 mm apart, the slot midway between them.')
    expect(c.from).toEqual(['middle of the slot, switch: 148 mm from the guard’s neck edge, 62 to the treble side'])
  })
  it('in a guard whose slot was read: nothing is cut', () => {
    expect(card(drillable(changed(fullBuild(), { 'guard/switch.slot': 27 })), 'switch-slot')!.work).toBe('keep')
  })
  it('one that is there is drawn as it was read, not as the switch would like it; what nobody read has no figure', () => {
    const drawn = (sizes: Record<string, number | undefined>) =>
      drawHole(drillable(changed(fullBuild(), sizes)), 'switch-slot')!.marks.flatMap((m) => (m.mark === 'dimension' ? [m.text] : []))
    expect(drawn({ 'guard/switch.slot': 24, 'guard/switch.screws': 40 })).toEqual(['24', '40'])
    expect(drawn({ 'guard/switch.slot': 24, 'guard/switch.screws': undefined })).toEqual(['24'])
    expect(drawn({ ...uncut })).toEqual(['27', '41.2'])
  })
  it('in the wood of a body without a guard, once somebody has said there is none', () => {
    const bare = changed(without(fullBuild(), 'guard'), { 'body/switch.x': 226, 'body/switch.y': -70 })
    const asks = card(bare, 'switch-slot')!
    expect([asks.stands, asks.untold]).toEqual(['waiting', [{ slot: 'body', trait: 'bored.slot' }]])
    const c = card(drillable(bare), 'switch-slot')!
    expect([c.work, c.side]).toEqual(['new', 'front'])
    expect(c.from[0]).toMatch(/^middle of the slot, switch: 226 mm from the pocket’s mouth/)
  })
  it('asks for the swing and the place it does not know', () => {
    const c = card(drillable(changed(fullBuild(), { ...uncut, 'switch/swing': undefined, 'guard/switch.x': undefined })), 'switch-slot')!
    expect(c.missing).toEqual([
      { slot: 'switch', size: 'swing' },
      { slot: 'guard', size: 'switch.x' },
    ])
  })
})
