import { describe, expect, it } from 'vitest'
import type { Part } from '../parts/part'
import { SLOTS, type Slot } from '../parts/slots'
import { START_IDS, STARTING_SETS } from '../parts/starting/sets'
import { newBuild } from '../document/build'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { aControlPlate } from '../testing/onAPlate'
import { missingSizes } from '../parts/missing'
import { openSlots, wantedFor } from './wantedParts'

const blank = (kind: Part['kind']): Part => ({ kind, name: kind, state: 'in hand', sizes: {}, traits: {} })
const whole = fullBuild()

describe('parts a build cannot do without', () => {
  it('what wants a person: empty needed slots, and parts without their required sizes', () => {
    expect(openSlots({})).toEqual(SLOTS.filter((s) => s.needed).map((s) => s.slot))
    const open = openSlots({ ...whole.parts, body: blank('body') })
    expect(open).toEqual(['body'])
    expect(missingSizes(blank('body'))).toContain('pocket.widthMouth')
    expect(missingSizes(whole.parts.body!)).toEqual([])
  })
  it.each<[Slot, Record<string, string>, RegExp]>([
    ['tailpiece', { 'bridge/mount': 'post' }, /posts go on to it/],
    ['ferrules', { 'bridge/mount': 'string-through' }, /bare wood/],
    ['battery', { 'pickup-neck/circuit': 'active' }, /current/],
    ['ring-bridge', { 'pickup-bridge/mount': 'ring' }, /bridge pickup hangs/],
  ])('%s, by what another part is', (slot, traits, why) => {
    const less = without(whole, slot)
    expect(wantedFor(less.parts, slot)).toBeUndefined()
    const more = changed(less, {}, traits)
    expect(wantedFor(more.parts, slot)).toMatch(why)
    expect(openSlots(more.parts)).toContain(slot)
  })
  it('a guard and springs are wanted by what hangs from the one and moves against the other, and by nothing else', () => {
    const bare = without(whole, 'guard', 'springs')
    expect(openSlots(bare.parts)).toEqual(['guard', 'springs'])
    const body = { 'pickup-neck/mount': 'body', 'pickup-middle/mount': 'body', 'pickup-bridge/mount': 'body' }
    expect(openSlots(changed(bare, {}, { ...body, 'bridge/mount': 'screws', 'body/access': 'back' }).parts)).toEqual([])
  })
  it('controls that go in from the front want a plate where no guard carries them', () => {
    const hung = { 'pickup-neck/mount': 'body', 'pickup-middle/mount': 'body', 'pickup-bridge/mount': 'body' }
    const bare = changed(without(whole, 'guard'), {}, hung)
    expect(openSlots(bare.parts)).toEqual(['control-plate'])
    expect(openSlots({ ...bare.parts, 'control-plate': aControlPlate() })).toEqual([])
    for (const access of ['back', 'sound-hole']) expect(openSlots(changed(bare, {}, { 'body/access': access }).parts)).toEqual([])
    expect(openSlots(without(bare, 'pot-volume', 'pot-tone', 'switch').parts)).toEqual([])
  })
  it('a glued neck wants no screws', () => {
    const screwless = without(whole, 'neck-screws')
    expect(openSlots(screwless.parts)).toEqual(['neck-screws'])
    expect(openSlots(changed(screwless, {}, { 'neck/joint': 'set' }).parts)).toEqual([])
  })
  it.each(START_IDS)('a build begun as %s has every part it wants', (start) => {
    const { strings, scale } = STARTING_SETS[start]
    const { parts } = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
    expect(openSlots(parts).filter((slot) => !parts[slot])).toEqual([])
  })
})
