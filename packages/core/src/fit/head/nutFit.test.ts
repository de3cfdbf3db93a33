import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { nutTargetOf } from '../../instrument/nutTargets'
import { aBass } from '../../testing/aBass'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('the nut at each of its ends', () => {
  judgeRows([
    // Slot 3.4: 3.4 - 3.5 = -0.1 at the treble end; the bass end is as it was.
    {
      what: 'treble end 0.1 too thick',
      joint: 'nut-in-slot',
      check: 'width.treble',
      verdict: 'tight',
      says: 'The slot is 3.4 mm wide and the nut 3.5 mm at the treble end.',
      sizes: { 'nut/width.treble': 3.5 },
      job: /0\.15 mm at the treble end/,
    },
    // x1 = 36.35, x3 = 103.04: the slot moves 103.04/66.69 = 1.545 times what the gap wants: (0.5 - 0.16) x 1.545 = 0.53.
    {
      what: '0.5 on the treble side',
      joint: 'nut-in-slot',
      check: 'fret1-treble',
      verdict: 'loose',
      says: 'On the treble side the string stands 0.5 mm over fret 1 held at fret 3; about 0.16 is wanted, never under 0.02.',
      sizes: { 'nut/fret1.treble': 0.5 },
      job: /treble side 0\.53 mm deeper/,
    },
    {
      what: '0.1 on the bass side',
      joint: 'nut-in-slot',
      check: 'fret1-bass',
      verdict: 'snug',
      says: 'On the bass side the string stands 0.1 mm over fret 1 held at fret 3; about 0.21 is wanted, never under 0.02.',
      sizes: { 'nut/fret1.bass': 0.1 },
    },
  ])
  it('a feeler that says nothing at all asks for a shim tapering from that end', () => {
    // (0.21 - 0.01) x 1.545 = 0.31.
    const b = changed(fullBuild(), { 'nut/fret1.bass': 0.01 })
    b.parts.nut!.sizes['fret1.bass']!.doubt = 0.01
    const c = checkIn(b, 'nut-in-slot', 'fret1-bass')
    expect(c.raw.verdict).toBe('tight')
    expect(c.cures[0]!.job).toMatch(/by 0\.31 mm at its bass end/)
  })
  it('each end is filed by half of what stands out', () => {
    // 42.8 - 42 = 0.8: 0.40 each.
    const c = checkIn(changed(fullBuild(), { 'nut/length': 42.8 }), 'nut-in-slot', 'length')
    expect(c.cures[0]!.job).toMatch(/0\.4 mm off each .* 0\.8 in all/)
  })
})

describe('what a nut is filed to is said once', () => {
  // What Set up calls good Dry fit must not send back to the file, and what it sends there aims at the same number.
  it.each(['ordinary', 'fine'] as const)('%s: at its own number snug; filed or shimmed, it comes to it', (nutSchool) => {
    for (const build of [fullBuild(), aBass()]) {
      const at = (gap: number): Build => {
        const b = { ...build, setup: { ...build.setup, nutSchool } }
        const size = { value: gap, doubt: 0.005, known: 'calipers' as const }
        return { ...b, parts: { ...b.parts, nut: { ...b.parts.nut!, sizes: { ...b.parts.nut!.sizes, 'fret1.bass': size } } } }
      }
      const aim = nutTargetOf(at(0)).bass
      expect(checkIn(at(aim), 'nut-in-slot', 'fret1-bass').raw.verdict).toBe('snug')
      for (const gap of [0, aim + 0.2]) {
        const { plan } = checkIn(at(gap), 'nut-in-slot', 'fret1-bass').cures[0]!
        expect(gap + plan!.delta!).toBeCloseTo(aim, 6)
      }
    }
  })
})

describe('a locking nut', () => {
  const cures = (sizes: Record<string, number>) => jointIn(changed(fullBuild(), sizes, { 'nut/type': 'locking' }), 'nut-in-slot').cures
  it('too high, its shelf goes deeper by as much as another nut would lose', () => {
    const high = { 'nut/height': 8 }
    const [shelf] = cures(high)
    const [sanded] = jointIn(changed(fullBuild(), high), 'nut-in-slot').cures
    expect([shelf!.id, sanded!.id]).toEqual(['deepen-shelf', 'sand-nut'])
    expect(shelf!.plan).toMatchObject({ slot: 'neck', size: 'nut.slotDepth', delta: -sanded!.plan!.delta })
    expect(shelf!.plan!.delta).toBeGreaterThan(0)
  })
  it('too low, it stands on metal', () =>
    expect(cures({ 'nut/height': 2.5 }).map((c) => [c.id, c.tools[0]])).toEqual([['shim-nut', 'metal shims']]))
  it('lower than shims make up, wood is glued under it: it is sold in one height', () => {
    // Wanted is the shelf's depth and 0.4; a tenth more.
    const depth = fullBuild().parts.neck!.sizes['nut.slotDepth']!.value!
    expect(cures({ 'nut/height': depth + 0.4 - 1.8 }).map((c) => [c.id, c.gives, c.job, c.plan?.delta])).toEqual([
      ['fill-shelf', 'nothing', 'Glue a strip of hardwood 1.9 mm thick on the neck’s shelf.', expect.closeTo(-1.9, 6)],
    ])
    const bone = jointIn(changed(fullBuild(), { 'nut/height': depth + 0.4 - 1.8 }), 'nut-in-slot').cures
    expect(bone.map((c) => c.id)).toEqual(['new-nut'])
  })
  it.each([
    // (0.5 - 0.21) x 1.545 = 0.45 down; (0.21 - 0) x 1.545 = 0.32 up.
    [0.5, 'Lower the nut 0.45 mm at its bass end: thinner shims there.'],
    [0, 'Raise the nut 0.32 mm at its bass end: more shims there.'],
  ])('%d mm over fret 1 at the bass end', (gap, job) => {
    const build = changed(fullBuild(), {}, { 'nut/type': 'locking' })
    build.parts.nut!.sizes['fret1.bass'] = { value: gap, doubt: 0.01, known: 'calipers' }
    expect(jointIn(build, 'nut-in-slot').cures[0]!.job).toBe(job)
  })
  it('nothing of it is filed, sanded or cut, whatever is wrong', () => {
    const wrong: Record<string, number>[] = [
      { 'nut/length': 45 },
      { 'nut/width': 3.6 },
      { 'nut/slot.extra': 0 },
      { 'nut/height': 10 },
      { 'nut/fret1.treble': 0.6 },
    ]
    for (const sizes of wrong) for (const c of cures(sizes)) expect(c.gives, `${c.job} ${c.how}`).not.toMatch(/nut/)
  })
})
