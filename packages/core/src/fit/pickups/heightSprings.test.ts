import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { jointIn } from '../../testing/bench'
import { checkIn, judgeRows } from '../../testing/rows'

/** Sums [physics], each by hand: what room there is at either end of the travel, against the spring solid and free. */
describe('height springs in a guard', () => {
  // 11 mm from ear to guard, run down; 5 of travel leave 6 at the highest.
  const sizes = { 'pickup-neck/ear.gap': 11, 'pickup-neck/travel': 5 }
  judgeRows([
    {
      what: 'solid at 5 in 6',
      joint: 'room-neck',
      check: 'spring-shut',
      verdict: 'snug',
      sizes: { ...sizes, 'pickup-neck/spring.shut': 5 },
      says: 'At the highest setting the springs have 6 mm and are solid at 5.',
    },
    {
      // 7.5 solid must come to 6 less 0.3 and what cutting is off by: 5.4; 2.1 of 7.5 is 28 %, of 12 turns 3.4.
      what: 'solid at 7.5 in 6',
      joint: 'room-neck',
      check: 'spring-shut',
      verdict: 'tight',
      sizes: { ...sizes, 'pickup-neck/spring.shut': 7.5, 'pickup-neck/spring.free': 20, 'pickup-neck/spring.turns': 12 },
      says: /^The springs are solid before the highest setting is reached: 7\.5 mm squeezed, in 6\./,
      job: 'Cut the springs down to 5.4 mm squeezed solid: about 4 turns off each.',
    },
    {
      // Cut by 28 % a spring of 14 is 10 free: less than the 11 it has to press over.
      what: 'too short to be cut',
      joint: 'room-neck',
      check: 'spring-shut',
      verdict: 'tight',
      sizes: { ...sizes, 'pickup-neck/spring.shut': 7.5, 'pickup-neck/spring.free': 14 },
      job: /^Take springs longer than 11 mm free and at most 5\.4 mm squeezed solid/,
    },
    {
      what: 'free 10 in 11',
      joint: 'room-neck',
      check: 'spring-free',
      verdict: 'loose',
      sizes: { ...sizes, 'pickup-neck/spring.free': 10 },
      says: /^At the lowest setting the springs, 10 mm free, have 11 mm: the pickup hangs loose/,
      job: /^Take springs longer than 11 mm free/,
    },
    {
      what: 'free 13 in 11',
      joint: 'room-neck',
      check: 'spring-free',
      verdict: 'snug',
      sizes: { ...sizes, 'pickup-neck/spring.free': 13 },
    },
    {
      what: 'solid at 7.5 in 6',
      joint: 'room-middle',
      check: 'spring-shut',
      verdict: 'tight',
      sizes: { 'pickup-middle/ear.gap': 11, 'pickup-middle/travel': 5, 'pickup-middle/spring.shut': 7.5 },
      job: 'Cut the springs down to 5.4 mm squeezed solid.',
    },
    {
      what: 'free 13 in 11',
      joint: 'room-middle',
      check: 'spring-free',
      verdict: 'snug',
      sizes: { 'pickup-middle/ear.gap': 11, 'pickup-middle/travel': 5, 'pickup-middle/spring.free': 13 },
    },
    {
      what: 'solid at 7.5 in 6',
      joint: 'room-bridge',
      check: 'spring-shut',
      verdict: 'tight',
      sizes: { 'pickup-bridge/ear.gap': 11, 'pickup-bridge/travel': 5, 'pickup-bridge/spring.shut': 7.5 },
      job: 'Cut the springs down to 5.4 mm squeezed solid.',
    },
    {
      what: 'free 13 in 11',
      joint: 'room-bridge',
      check: 'spring-free',
      verdict: 'snug',
      sizes: { 'pickup-bridge/ear.gap': 11, 'pickup-bridge/travel': 5, 'pickup-bridge/spring.free': 13 },
    },
  ])
  it('nobody is asked of springs that nobody measured; measured, the room they have is asked for', () => {
    const ids = (b: ReturnType<typeof fullBuild>) => jointIn(b, 'room-neck').checks.map((c) => c.id)
    expect(ids(fullBuild()).filter((id) => id.startsWith('spring'))).toEqual([])
    const shut = checkIn(
      changed(fullBuild(), { 'pickup-neck/spring.shut': 7.5, 'pickup-neck/ear.gap': undefined }),
      'room-neck',
      'spring-shut',
    )
    expect(shut.raw.verdict).toBe('cant-tell')
    expect(shut.unknown).toContainEqual({ slot: 'pickup-neck', size: 'ear.gap' })
  })
})

describe('height springs over screws in the wood', () => {
  // A route of 20 under a pickup 16 deep leaves 4 under its ears, run down; raised by 6 it is 10.
  const sizes = { 'body/route.neck.depth': 20, 'pickup-neck/depth': 16, 'pickup-neck/travel': 6 }
  const traits = { 'pickup-neck/mount': 'body' }
  judgeRows([
    {
      what: 'solid at 3 in 4',
      joint: 'room-neck',
      check: 'spring-shut',
      verdict: 'snug',
      sizes: { ...sizes, 'pickup-neck/spring.shut': 3 },
      traits,
      says: 'At the lowest setting the springs have 4 mm and are solid at 3.',
    },
    {
      what: 'solid at 5 in 4',
      joint: 'room-neck',
      check: 'spring-shut',
      verdict: 'tight',
      sizes: { ...sizes, 'pickup-neck/spring.shut': 5 },
      traits,
      says: /before the lowest setting/,
    },
    {
      what: 'free 9 in 10',
      joint: 'room-neck',
      check: 'spring-free',
      verdict: 'loose',
      sizes: { ...sizes, 'pickup-neck/spring.free': 9 },
      traits,
      says: /^At the highest setting/,
    },
    {
      what: 'free 12 in 10',
      joint: 'room-neck',
      check: 'spring-free',
      verdict: 'snug',
      sizes: { ...sizes, 'pickup-neck/spring.free': 12 },
      traits,
    },
  ])
})
