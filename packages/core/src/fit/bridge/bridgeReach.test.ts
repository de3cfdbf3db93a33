import { describe, expect, it } from 'vitest'
import { drawJoint } from '../inHand'
import { printMm } from '../../quantity/length'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('the instrument the neck came from', () => {
  // Here 462 - 76 + 255 = 641 mm.
  judgeRows([
    {
      what: '3 mm nearer then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      job: 'Read both distances again, nut to fret 12 too: its double is the scale, whatever the old bridge did.',
      sizes: { 'neck/old.nutToStuds': 638 },
      says: /stood 638 mm from the nut; here they are 3 mm further away/,
    },
    {
      what: '3 mm further then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      job: 'Read both distances again, nut to fret 12 too: its double is the scale, whatever the old bridge did.',
      sizes: { 'neck/old.nutToStuds': 644 },
      says: /3 mm nearer/,
    },
    {
      what: 'as here',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'snug',
      says: 'On the old instrument studs or screws stood 641.2 mm from the nut, and so they do here.',
      sizes: { 'neck/old.nutToStuds': 641.2 },
    },
  ])
})

describe('saddles that travel too little for any place', () => {
  // 25.5 inches: foremost at 648.2, rearmost at 654.7 mm; with 1.5 mm in hand at both ends that is 6.5 + 3 = 9.5 mm of travel.
  const jobs = (sizes: Record<string, number>, check: string) =>
    checkIn(changed(fullBuild(), sizes), 'bridge-reach', check).cures.map((c) => [c.id, c.gives, c.job])
  const scale = fullBuild().parts.neck!.sizes.scale!.value
  it('8 mm: the middle is told, with what it leaves, and a bridge that travels further', () => {
    // Studs at 641 mm: the foremost place is nearer than the saddle goes by more than it has.
    const sizes = { 'bridge/travel.front': 30, 'bridge/travel.back': -22 }
    const [from, to] = [scale + 7 + 1.5 + 22, scale + 0.5 - 1.5 + 30]
    expect(from - to).toBeCloseTo(1.5)
    expect(checkIn(changed(fullBuild(), sizes), 'bridge-reach', 'back').raw.verdict).toBe('wont-go')
    expect(jobs(sizes, 'back')).toEqual([
      [
        'move-studs',
        'body',
        `Place the bridge’s studs or screws ${printMm((from + to) / 2, 1)} mm from the nut, which leaves 0.8 mm of travel at either end.`,
      ],
      ['more-travel', 'the bridge', 'Or take a bridge whose saddles travel at least 9.5 mm along the strings; these travel 8.'],
    ])
    // Placed there, both ends have it: none wont go any more.
    // The pocket's mouth lies 386 mm from the nut.
    const there = changed(fullBuild(), { ...sizes, 'body/mouthToBridge': (from + to) / 2 - 386 })
    for (const end of ['back', 'front']) expect(checkIn(there, 'bridge-reach', end).raw.verdict).toBe('tight')
    expect(checkIn(there, 'bridge-reach', 'front').cures.map((c) => c.id)).toEqual(['leave-travel', 'more-travel'])
  })
  it('5 mm: no place will do, so none is told', () => {
    expect(jobs({ 'bridge/travel.front': 25, 'bridge/travel.back': -20 }, 'back')).toEqual([
      ['more-travel', 'the bridge', 'Take a bridge whose saddles travel at least 9.5 mm along the strings; these travel 5.'],
    ])
  })
  it('its two short figures are drawn under each other, not over each other', () => {
    const rows = (sizes: Record<string, number>) => {
      const build = changed(fullBuild(), sizes)
      return drawJoint(build, 'bridge-reach')!.marks.flatMap((m) => (m.mark === 'dimension' ? [m.from.y] : []))
    }
    const [front, back] = rows({ 'bridge/travel.front': 4, 'bridge/travel.back': 4 })
    expect(back! - front!).toBe(6)
    expect(new Set(rows({ 'bridge/travel.front': 20, 'bridge/travel.back': 30 })).size).toBe(1)
  })
})
