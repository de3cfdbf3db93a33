import { describe, expect, it } from 'vitest'
import type { Slot } from '../parts/slots'
import type { StockItem } from '../parts/stock'
import { throughOf } from '../testing/aThrough'
import { fullBuild, without } from '../testing/fullBuild'
import { offer } from '../testing/offers'
import { alternatives } from './alternatives'
import { chooseSets } from './choose/chooseSets'
import type { ChooseRequest } from './choose/request'
import { whyNot } from './choose/whyNot'

const glued = throughOf(without(fullBuild(), 'neck-screws'))
const neck = offer('another neck', 'neck', {})
const body = offer('another body', 'body', {})
const bodyWithNeck = offer('with its neck', 'body', {})
bodyWithNeck.part.traits.neckIs = 'through'
const here = (slot: Slot): StockItem => ({ id: `here-${slot}`, part: glued.parts[slot]!, holding: 'stash', quantity: 1, reserved: {} })
const choose = (...open: ChooseRequest['open']) => chooseSets({ build: glued, rank: 'money', limits: {}, open, keep: 9 })
const alone = (build: ChooseRequest['build'], slot: Slot, item: StockItem) =>
  whyNot({ build, rank: 'money', limits: {}, open: [{ slot, items: [item] }] }, slot, item).alone

describe('a neck and a body in one piece are had together or not at all', () => {
  it('neither is exchanged while the other stays', () => {
    expect(alone(glued, 'neck', neck)).toBe('The body that is here is in one piece with its own neck.')
    expect(alone(glued, 'body', body)).toBe('The neck that is here is in one piece with its own body.')
    expect(choose({ slot: 'neck', items: [neck] })).toMatchObject({ sets: [], empty: ['neck'] })
    expect(choose({ slot: 'neck', items: [here('neck'), neck] }).sets.map((s) => s.items.map((i) => i.item.id))).toEqual([['here-neck']])
  })
  it('nor does a neck of its own get a place on one that has one', () => {
    expect(alone(fullBuild(), 'body', bodyWithNeck)).toBe('It is in one piece with a neck of its own, and has no place for another.')
    expect(alone(without(fullBuild(), 'neck'), 'body', bodyWithNeck)).toBeUndefined()
    expect(alone(fullBuild(), 'neck', neck)).toBeUndefined()
    expect(alone(fullBuild(), 'body', body)).toBeUndefined()
  })
  it('where both may change, both do or neither', () => {
    const { sets } = choose({ slot: 'body', items: [here('body'), body] }, { slot: 'neck', items: [here('neck'), neck] })
    expect(sets.map((s) => s.items.map((i) => i.item.id))).toEqual([
      ['here-body', 'here-neck'],
      ['another body', 'another neck'],
    ])
    expect(choose({ slot: 'body', items: [here('body')] }, { slot: 'neck', items: [neck] })).toMatchObject({
      sets: [],
      empty: ['neck'],
    })
    // Each of the two may change, but not this one with that.
    const mixed = choose({ slot: 'body', items: [here('body'), body] }, { slot: 'neck', items: [neck], preferred: 'x' })
    expect(mixed.sets.map((s) => s.items.map((i) => i.item.id))).toEqual([['another body', 'another neck']])
  })
  it('nor is another shown for a joint between them', () => {
    const names = (build: ChooseRequest['build'], slot: Slot, items: StockItem[]) =>
      alternatives(build, 'bridge-height', slot, items, '2026-11-24').best.map((a) => a.item.id)
    expect(names(glued, 'neck', [neck])).toEqual([])
    expect(names(glued, 'body', [body])).toEqual([])
    expect(names(fullBuild(), 'neck', [neck])).toEqual(['another neck'])
    expect(names(fullBuild(), 'body', [body, bodyWithNeck])).toEqual(['another body'])
  })
})

it('a job planned on what is there is not counted on another part in its place', () => {
  const job = { slot: 'neck' as const, size: 'heel.widthMouth', delta: -0.6, doubt: 0.1, text: 'Shave the heel' }
  const wide = offer('wide', 'neck', { 'neck/heel.widthMouth': 56.8 })
  const build = { ...fullBuild(), jobs: { shave: job } }
  const verdicts = (b: ChooseRequest['build']) => alternatives(b, 'pocket-mouth', 'neck', [wide], '2026-11-24').best.map((a) => a.verdict)
  expect(verdicts(build)).toEqual(verdicts(fullBuild()))
  expect(verdicts(build)).toEqual(['tight'])
  // A job done on both leaves with either.
  const both = { ...job, slot: 'body' as const, size: 'pocket.widthMouth', delta: 0.6, also: [job] }
  expect(verdicts({ ...fullBuild(), jobs: { both } })).toEqual(['tight'])
})
