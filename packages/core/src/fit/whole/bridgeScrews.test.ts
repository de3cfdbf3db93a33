import { describe, expect, it } from 'vitest'
import { boxAround } from '../../geometry/box'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('screws of the bridge', () => {
  judgeRows([
    // 44.2 + 2 - 45 = 1.2 under the tip; 12 - 2 = 10 in the wood, and 12 is wanted.
    {
      what: '45 mm screws',
      joint: 'bridge-screws',
      check: 'through',
      verdict: 'tight',
      says: 'A 45 mm screw leaves 1.2 mm of wood.',
      job: 'Take bridge screws of 43 mm or less.',
      sizes: { 'bridge/screw.length': 45, 'bridge/screw.thread': 3.5, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '12 mm screws',
      joint: 'bridge-screws',
      check: 'bite',
      verdict: 'tight',
      says: '10 mm of thread in the wood.',
      job: 'Take bridge screws 3 mm longer.',
      // 12 wanted and 10 there; sold by the millimetre, and 0.3 is not known of another screw.
      sizes: { 'bridge/screw.length': 12, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '48 mm screws',
      joint: 'bridge-screws',
      check: 'through',
      verdict: 'wont-go',
      // 44.2 + 2 - 48 = -1.8.
      says: 'A 48 mm screw comes 1.8 mm out of the wood on the far side.',
      job: 'Take bridge screws of 43 mm or less.',
      sizes: { 'bridge/screw.length': 48, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '8 mm screws through a plate of 9',
      joint: 'bridge-screws',
      check: 'bite',
      verdict: 'wont-go',
      says: 'The screws end 1 mm before the wood.',
      // 12 and 1 more, and what another screw may be shorter by.
      job: 'Take bridge screws 14 mm longer.',
      sizes: { 'bridge/screw.length': 8, 'bridge/plate.thickness': 9 },
      traits: { 'bridge/mount': 'screws' },
    },
  ])
  it('what they hold is told by their own thread and the wood they are in, or not at all', () => {
    const holds = (sizes: Record<string, number>, traits: Record<string, string> = {}) =>
      jointIn(
        changed(
          fullBuild(),
          { 'bridge/screw.length': 30, 'bridge/plate.thickness': 2, 'body/block.thickness': 44, ...sizes },
          { 'bridge/mount': 'screws', ...traits },
        ),
        'bridge-screws',
      )
        .draw()
        .numbers.find((n) => n.label === 'Each holds about')?.value
    // Hard maple of 0.63: 108.25 x 0.63^2 x 4 x 28 / 5 = 962 N, and as much less as the thread is thinner.
    expect(holds({ 'bridge/screw.thread': 4 })).toBe('962 N')
    expect(holds({ 'bridge/screw.thread': 2 })).toBe('481 N')
    expect(holds({ 'bridge/screw.thread': 4 }, { 'body/build': 'chambered' })).toBe('962 N')
    expect(holds({})).toBeUndefined()
    // What a hollow body's block is of, nobody has said.
    expect(holds({ 'bridge/screw.thread': 4 }, { 'body/build': 'semi-hollow' })).toBeUndefined()
    // In the heel: 45 mm through 1.5 of plate and 44.2 - 15.9 of body bite 15.2 mm with 4.2 of thread.
    const neck = jointIn(fullBuild(), 'neck-screws').draw().numbers
    expect(neck).toContainEqual({ label: 'Each holds about', value: `${Math.round((108.25 * 0.63 ** 2 * 4.2 * 15.2) / 5)} N` })
  })
  it('is drawn with its own thread and as long as it is', () => {
    const of = (length: number) =>
      jointIn(
        changed(
          fullBuild(),
          { 'bridge/screw.length': length, 'bridge/screw.thread': 5, 'bridge/plate.thickness': 2 },
          { 'bridge/mount': 'screws' },
        ),
        'bridge-screws',
      ).draw()
    const areas = of(45).marks.filter((m) => m.mark === 'area')
    const screw = boxAround(areas.at(-1)!.points)
    expect([screw.y, screw.height]).toEqual([-2, 47])
    // Its head is twice its thread.
    expect(screw.width).toBe(10)
    const [plate, body] = areas.map((a) => boxAround(a.points))
    expect([plate!.y, plate!.height, body!.y, body!.height]).toEqual([0, 2, 2, 44.2])
    expect(of(45).numbers).toContainEqual({ label: 'Left beyond the tip', value: '1.2 mm' })
    expect(of(48).numbers).toContainEqual({ label: 'Out beyond the last', value: '1.8 mm' })
    const out = of(48).marks.find((m) => m.mark === 'area' && m.role === 'remove')
    expect(out?.mark === 'area' && boxAround(out.points)).toMatchObject({ y: 46.2, width: 5 })
  })
  it('the amounts told are those done on paper', () => {
    const first = (length: number, check: string) =>
      checkIn(
        changed(fullBuild(), { 'bridge/screw.length': length, 'bridge/plate.thickness': 2 }, { 'bridge/mount': 'screws' }),
        'bridge-screws',
        check,
      ).cures[0]!.plan!.delta
    expect(first(45, 'through')).toBeCloseTo(43 - 45, 9)
    expect(first(12, 'bite')).toBeCloseTo(3, 9)
  })
})
