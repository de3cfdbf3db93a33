import { describe, expect, it } from 'vitest'
import type { Build, PlannedJob } from '../../document/build'
import type { Slot } from '../../parts/slots'
import type { StockItem } from '../../parts/stock'
import { throughOf } from '../../testing/aThrough'
import { fullBuild, without } from '../../testing/fullBuild'
import { offer } from '../../testing/offers'
import { tiedSlots, togetherIn, withTied } from './tied'

const PLAIN: Build = { ...fullBuild(), jobs: {} }
const GLUED = throughOf(without(PLAIN, 'neck-screws'))
const job = (slot: Slot, size: string, ...also: PlannedJob['also'] & object): PlannedJob => ({
  slot,
  size,
  delta: 1,
  doubt: 0.1,
  text: 'A job',
  also,
})
const here = (build: Build, slot: Slot): StockItem => ({
  id: `here-${slot}`,
  part: build.parts[slot]!,
  holding: 'stash',
  quantity: 1,
  reserved: {},
})
const withNeck = offer('with its neck', 'body', {})
withNeck.part.traits.neckIs = 'through'

describe('slots that have a say in each other’s parts', () => {
  it('those one planned job is done on, each named once; a job on one part ties none', () => {
    const jobs = {
      one: job('guard', 'opening.neck.length'),
      same: job('body', 'pocket.depth', { slot: 'body', size: 'pocket.tilt', delta: 1, doubt: 0.1 }),
      two: job(
        'body',
        'studs',
        { slot: 'bridge', size: 'spacing', delta: 1, doubt: 0.1 },
        { slot: 'body', size: 'pocket.depth', delta: 1, doubt: 0.1 },
      ),
    }
    expect(tiedSlots({ ...PLAIN, jobs }, [])).toEqual([['body', 'bridge']])
    expect(tiedSlots(PLAIN, [])).toEqual([])
  })
  it('a body and a neck where any body to choose from has its own', () => {
    const bodies = (...items: StockItem[]) => [{ slot: 'body' as const, items }]
    expect(tiedSlots(PLAIN, bodies(here(PLAIN, 'body'), withNeck))).toEqual([['body', 'neck']])
    expect(tiedSlots(PLAIN, bodies(here(PLAIN, 'body')))).toEqual([])
    expect(tiedSlots(PLAIN, [{ slot: 'neck', items: [offer('n', 'neck', {})] }])).toEqual([])
  })
  it('go along with whichever of them is asked for, and no others', () => {
    const tied = [
      ['body', 'bridge'],
      ['guard', 'jack'],
    ] as const
    expect([...withTied(['bridge', 'nut'], tied)].toSorted()).toEqual(['body', 'bridge', 'nut'])
    expect([...withTied(['nut'], tied)]).toEqual(['nut'])
  })
})

describe('a body and a neck in one piece', () => {
  const open = (order: readonly Slot[]) =>
    order.map((slot) => ({
      slot,
      items: slot === 'body' || slot === 'neck' ? [here(GLUED, slot), offer('other', slot, {})] : [offer('x', slot, {})],
    }))
  it.each([[['body', 'neck']], [['neck', 'body']], [['guard', 'neck', 'body']]] as (readonly [Slot[]])[])(
    'of %s open: both that are here or neither, wherever they stand in the list',
    (order) => {
      const [rule, ...more] = togetherIn(GLUED, open(order))
      expect(more).toEqual([])
      expect(rule!.slots.map((at) => order[at])).toEqual(['body', 'neck'])
      expect(rule!.title).toBe('Body and neck in one piece')
      const costs = [0, 1].flatMap((b) => [0, 1].map((n) => rule!.cost([b, n])))
      expect(costs).toEqual([0, Infinity, Infinity, 0])
    },
  )
  it('is no rule where only one of them may change, nor of two parts that are screwed together', () => {
    for (const order of [['body'], ['neck', 'guard'], ['guard']] as Slot[][]) expect(togetherIn(GLUED, open(order))).toEqual([])
    const [rule] = togetherIn(PLAIN, open(['body', 'neck']))
    expect([0, 1].flatMap((b) => [0, 1].map((n) => rule!.cost([b, n])))).toEqual([0, 0, 0, 0])
  })
})
