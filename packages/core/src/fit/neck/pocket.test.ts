import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows, checkIn } from '../../testing/rows'
import { findJoints, judgeJoints } from '../findJoints'
import { drawJoint } from '../inHand'

describe('a build on which everything fits', () => {
  const found = (build: Build) =>
    judgeJoints(build).flatMap((j) => [
      ...(j.verdict === 'snug' ? [] : [[j.id, j.verdict]]),
      ...((j.coated ?? 'snug') === 'snug' ? [] : [[j.id, 'coated', j.coated]]),
    ])
  it('every joint is snug; what is pressed in, or goes in by a hair, is not once the planned coats are on it', () => {
    // 94 um on each wall take 0.19 mm: a jack’s 0.3 mm of play are 0.11, a tuner’s 0.1 mm are less than nothing.
    expect(found(fullBuild())).toEqual([
      ['bridge-on-body', 'coated', 'tight'],
      ['jack', 'coated', 'cant-tell'],
      ['tuner-bore', 'coated', 'cant-tell'],
    ])
    expect(judgeJoints(fullBuild()).length).toBeGreaterThan(35)
  })
  it('and stays so where none are planned', () => {
    const build = fullBuild()
    expect(found({ ...build, finish: { ...build.finish, system: 'none' } })).toEqual([])
  })
  it('no joint asks for anything', () => expect(judgeJoints(fullBuild()).flatMap((j) => j.missing)).toEqual([]))
  it('and its drawings are drawn, with their numbers', () => {
    for (const j of findJoints(fullBuild())) {
      const drawing = drawJoint(fullBuild(), j.id)!
      expect(drawing.title.length, j.id).toBeGreaterThan(3)
      expect(drawing.bounds.width, j.id).toBeGreaterThan(0)
      expect(drawing.numbers.length, j.id).toBeGreaterThan(0)
    }
  })
  it('without body or neck there is no pocket to judge', () => {
    const ids = judgeJoints(without(fullBuild(), 'neck')).map((j) => j.id)
    expect(ids).not.toContain('pocket-mouth')
    expect(ids).not.toContain('bridge-height')
    expect(ids).toContain('bridge-on-body')
  })
})

// Limits of the joints [practice]; sums [physics].
describe('heel in pocket', () => {
  judgeRows([
    {
      what: '0.35 mm too narrow',
      joint: 'pocket-mouth',
      check: 'width',
      verdict: 'tight',
      sizes: { 'body/pocket.widthMouth': 56 },
      says: /0\.35 mm too narrow/,
      job: /^Shave/,
    },
    {
      what: '1.4 mm too narrow',
      joint: 'pocket-mouth',
      check: 'width',
      verdict: 'wont-go',
      says: 'Pocket is 1.4 mm too narrow at the mouth. The neck will not go in; do not drive it. The year does not close it further.',
      job: 'Shave 0.72 mm off each wall near the mouth, then try; not more than 1.70 mm in all.',
      sizes: { 'body/pocket.widthMouth': 54.95 },
    },
    {
      what: '0.7 mm too wide',
      joint: 'pocket-mouth',
      check: 'width',
      verdict: 'loose',
      says: 'Gap of 0.7 mm at the mouth: sloppy, the neck can swing. The year does not close it further.',
      sizes: { 'body/pocket.widthMouth': 57.05 },
      job: /[Ll]ine|veneer/,
    },
    {
      what: '0.3 mm too narrow at the end',
      joint: 'pocket-end',
      check: 'width',
      verdict: 'tight',
      says: 'Pocket is 0.3 mm too narrow at the end. The neck starts and sticks; forced, the ear can crack. The year does not close it further.',
      job: 'Shave 0.18 mm off each wall near the end, then try; not more than 0.60 mm in all.',
      sizes: { 'body/pocket.widthEnd': 56.05 },
    },
    {
      what: '0.75 mm too wide at the end',
      joint: 'pocket-end',
      check: 'width',
      verdict: 'loose',
      says: 'Gap of 0.75 mm at the end: sloppy, the neck can swing. The year does not close it further.',
      job: 'Line one wall with 0.6 mm of veneer.',
      sizes: { 'neck/heel.widthEnd': 55.8 },
    },
    {
      what: 'pocket corners rounder than the heel’s',
      joint: 'pocket-end',
      check: 'corner',
      verdict: 'tight',
      says: 'The corners foul: the heel stands 2.23 mm off the end wall, and the scale is that much long.',
      job: 'Round the heel’s corners to 8.1 mm, or square the pocket’s with a chisel.',
      sizes: { 'body/pocket.radius': 8, 'neck/heel.radius': 5 },
    },
    {
      what: 'heel corners rounder than the pocket’s',
      joint: 'pocket-end',
      check: 'corner',
      verdict: 'snug',
      says: 'The corners clear; the heel goes home against the end wall.',
      sizes: { 'body/pocket.radius': 3, 'neck/heel.radius': 9 },
    },
  ])
  it('flat-sawn heel in the same body: a dry day’s snug closes by July, the quarter-sawn one does not', () => {
    const dry = { ...fullBuild(), room: { low: 30, high: 75, now: 30 } }
    const flat = changed(dry, {}, { 'neck/grain': 'flat' })
    expect(checkIn(dry, 'pocket-mouth', 'width').raw.verdict).toBe('snug')
    expect(['tight', 'cant-tell']).toContain(checkIn(flat, 'pocket-mouth', 'width').raw.verdict)
    expect(checkIn(flat, 'pocket-mouth', 'width').says).toMatch(/damp/)
  })
  it('the year’s range is a table and a chart of twelve months', () => {
    const [year] = jointIn(fullBuild(), 'pocket-mouth').tables()
    expect(year!.chart!.values).toHaveLength(12)
  })
  it('film in an unmasked pocket makes it tighter, a masked one leaves it', () => {
    const raw = changed(fullBuild(), {}, { 'body/surface': 'raw' })
    const open = { ...raw, finish: { ...raw.finish, maskPocket: false, coats: 12 } }
    expect(checkIn(open, 'pocket-mouth', 'width').coated!.chances.tight).toBeGreaterThan(
      checkIn(open, 'pocket-mouth', 'width').raw.chances.tight,
    )
    const masked = { ...raw, finish: { ...raw.finish, maskPocket: true, coats: 12 } }
    expect(checkIn(masked, 'pocket-mouth', 'width').coated!.verdict).toBe('snug')
  })
})

describe('pocket depth and floor', () => {
  judgeRows([
    {
      what: 'floor dips 0.4',
      joint: 'pocket-depth',
      check: 'dip',
      verdict: 'tight',
      job: 'Scrape chips and paint lumps level, or fill the dip of 0.4 mm with veneer.',
      sizes: { 'body/pocket.dip': 0.4 },
      says: /0\.4 mm/,
    },
    {
      what: 'floor dips 1.2',
      joint: 'pocket-depth',
      check: 'dip',
      verdict: 'wont-go',
      says: 'The floor dips 1.2 mm: the neck rocks, or sits on a hidden shim. Write the tilt down before you scrape, so that a shim of 1.2 mm can bring it back.',
      job: 'Scrape chips and paint lumps level, or fill the dip of 1.2 mm with veneer.',
      sizes: { 'body/pocket.dip': 1.2 },
    },
    {
      what: 'board over the guard, too low',
      joint: 'pocket-depth',
      check: 'overhang',
      verdict: 'tight',
      job: 'Put a flat plate 1 mm thick under the whole heel.',
      sizes: { 'body/pocket.depth': 17.6 },
      says: /meets the guard/,
    },
  ])
  it('the guard is cut back only where the board clears the body: under a board 6 mm thick whose face stands 7.8 over it, not 5.8', () => {
    const ways = (depth: number) => {
      const { says, cures } = checkIn(changed(fullBuild(), { 'body/pocket.depth': depth }), 'pocket-depth', 'overhang')
      return [says.split('. ')[0], ...cures.map((c) => c.job)]
    }
    expect(ways(17.6)).toEqual([
      'Board stands 7.8 mm above the body, 5.3 mm above the guard',
      'Put a flat plate 1 mm thick under the whole heel.',
      'Or cut the guard back so that it ends at the heel, not under the board.',
    ])
    expect(ways(19.6)).toEqual([
      'Board stands 5.8 mm above the body, 3.3 mm above the guard',
      'Put a flat plate 3 mm thick under the whole heel.',
    ])
  })
  it('board above the body = heel - pocket; above the guard = heel - pocket - guard', () => {
    const j = jointIn(fullBuild(), 'pocket-depth')
    expect(j.says).toMatch(/9\.5 mm above the body, 7 mm above the guard/)
    expect(jointIn(without(fullBuild(), 'guard'), 'pocket-depth').says).toMatch(/9\.5 mm above the body\./)
  })
})

describe('neck screws', () => {
  judgeRows([
    {
      what: 'through the board',
      joint: 'neck-screws',
      check: 'tip',
      verdict: 'wont-go',
      job: 'Take neck screws of 51 mm or less.',
      sizes: { 'neck-screws/length': 57 },
      says: /come through the board/,
    },
    {
      what: '1.5 mm under the board',
      joint: 'neck-screws',
      check: 'tip',
      verdict: 'tight',
      says: 'The tips stop 1.5 mm under the board’s face.',
      job: 'Take neck screws of 51 mm or less.',
      sizes: { 'neck-screws/length': 53.7 },
    },
    {
      what: 'bites 5 mm',
      joint: 'neck-screws',
      check: 'bite',
      verdict: 'wont-go',
      says: 'The screws bite 5.2 mm of the heel; 12 is wanted.',
      job: 'Take neck screws 8 mm longer.',
      sizes: { 'neck-screws/length': 35 },
    },
    {
      what: 'bites 9 mm',
      joint: 'neck-screws',
      check: 'bite',
      verdict: 'tight',
      says: 'The screws bite 9 mm of the heel; 12 is wanted.',
      sizes: { 'neck-screws/length': 38.8 },
      job: /longer/,
    },
  ])
  it('a thicker plate takes what it is thick from the bite', () => {
    const bite = (plate: number) =>
      checkIn(changed(fullBuild(), { 'neck-screws/plate.thickness': plate }), 'neck-screws', 'bite').shown![0]!.mean
    expect(bite(1.5) - bite(3.5)).toBeCloseTo(2, 9)
  })
})

describe('truss tool', () => {
  it('a heel-end adjuster wants a notch; cut, it goes', () => {
    const heel = changed(fullBuild(), {}, { 'neck/truss': 'heel' })
    expect(jointIn(heel, 'truss-access').verdict).toBe('wont-go')
    expect(jointIn(changed(heel, {}, { 'body/notch': 'yes' }), 'truss-access').verdict).toBe('snug')
  })
})
