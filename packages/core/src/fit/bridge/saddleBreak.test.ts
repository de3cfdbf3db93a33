import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { tailed } from '../../testing/tailed'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

describe('strings over the saddles', () => {
  judgeRows(
    [
      {
        what: '11 degrees to a stop tail',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'snug',
        says: 'Strings break over the saddles by 11.7°.',
      },
      {
        // Saddles at 13.3: atan((13.3 − 11.5) / 45) = 2.3 degrees; wound down to 6 mm it would be 9.2.
        what: 'tail almost as high as the saddles, a turn of its posts away from going',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'tight',
        job: 'Set the tailpiece so that strings leave it 6 mm above the body.',
        sizes: { 'tailpiece/height': 11.5 },
        says: 'Strings break over the saddles by only 2.3° as the tailpiece stands; under 8° they hop or buzz.',
      },
      {
        what: 'tail higher than the saddles, to be wound down',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'tight',
        job: 'Set the tailpiece so that strings leave it 6 mm above the body.',
        sizes: { 'tailpiece/height': 15 },
        says: /^Strings rise behind the saddles by 2.2° as the tailpiece stands instead of/,
      },
      // atan((13.3 − 6) / 110) = 3.8 degrees wound down all the way: no turn of the posts mends that.
      {
        what: 'tail so far behind that winding it down is not enough',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'wont-go',
        job: 'Exchange the tailpiece or body: no job on what is here does it.',
        sizes: { 'tailpiece/height': 11.5, 'body/tail.toBridge': 110 },
        says: /by only 0.9°; under 8°/,
      },
      {
        what: 'tail screwed down near the bridge',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'tight',
        job: 'Set the tailpiece so that strings leave it 8.3 mm above the body.',
        sizes: { 'body/tail.toBridge': 20 },
        says: /steeper than the usual 20/,
      },
      {
        what: 'strings over a tall back',
        joint: 'saddle-break',
        check: 'path',
        verdict: 'tight',
        job: 'none',
        sizes: { 'bridge/back.height': 13, 'bridge/back.distance': 8 },
        says: /touch the bridge’s back/,
      },
      {
        what: 'a loose tail stud',
        joint: 'tail-studs',
        check: 'press',
        verdict: 'loose',
        says: 'The bore is 0.12 mm larger than the bushing: the studs stand loose and lean under string pull.',
        job: 'Wrap the bushing: 0.11 mm of paper or foil all round.',
        sizes: { 'body/tail.bore': 11.62 },
      },
      {
        what: 'tail bores for another tailpiece',
        joint: 'tail-studs',
        check: 'pattern',
        verdict: 'wont-go',
        says: 'The tailpiece’s pattern is 82 mm and the body’s 84 mm: 2 mm apart.',
        job: 'Plug the old holes and drill at 82 mm.',
        sizes: { 'body/tail.spacing': 84 },
      },
      {
        what: 'tail bores that agree',
        joint: 'tail-studs',
        check: 'pattern',
        verdict: 'snug',
        says: 'Tailpiece 82 mm and body 82.2 mm from first to last agree.',
        sizes: { 'body/tail.spacing': 82.2 },
      },
      {
        what: 'tail studs in basswood',
        joint: 'tail-studs',
        check: 'pull',
        verdict: 'tight',
        says: 'The strings pull 232 N on each stud, 4 mm above the wood: 14.9 MPa at the rim of a 9 mm bushing. Basswood is trusted with 10.9.',
        job: 'Take bushings at least 13 mm long, or lower the strings over the studs.',
        sizes: { 'tailpiece/studLength': 9 },
        traits: { 'body/wood': 'basswood' },
      },
      // 232 / (6 × 32) × (4 + 6 × 30 / 32) = 11.6 MPa even at the rim of the longest bushing there is.
      {
        what: 'tail studs no bushing is long enough for',
        joint: 'tail-studs',
        check: 'pull',
        verdict: 'wont-go',
        says: /30 mm above the wood: 46\.5 MPa/,
        // Hard maple bears no 46.5 either.
        job: 'Exchange the tailpiece: no job on what is here does it.',
        sizes: { 'tailpiece/studLength': 14, 'tailpiece/height': 30, 'tailpiece/studDiameter': 6 },
        traits: { 'body/wood': 'basswood' },
      },
      // 232 / (6 x 30) x (4 + 6 x 30 / 30) = 12.9: 31 mm of bushing bring 12.2, and hard maple bears 18.
      {
        what: 'tail studs a harder wood holds',
        joint: 'tail-studs',
        check: 'pull',
        verdict: 'tight',
        says: /12\.9 MPa at the rim of a 30 mm bushing\. Basswood is trusted with 10\.9/,
        job: 'Set a plug of hard maple, 20 mm or more across, and drill the bores in it.',
        sizes: { 'tailpiece/studLength': 30, 'tailpiece/height': 30, 'tailpiece/studDiameter': 6 },
        traits: { 'body/wood': 'basswood' },
      },
      // 232 / (11.5 x 9) x (4 + 6 x 12 / 9) = 26.9: a plug of what is there already bears no more.
      {
        what: 'short tail studs in hard maple',
        joint: 'tail-studs',
        check: 'pull',
        verdict: 'tight',
        says: /26\.9 MPa at the rim of a 9 mm bushing\. Hard maple is trusted with 18\.0/,
        job: 'Take bushings at least 13 mm long, or lower the strings over the studs.',
        sizes: { 'tailpiece/studLength': 9, 'tailpiece/height': 12 },
      },
    ],
    tailed,
  )
  it('a plug of hard maple is told where the body is softer, not in hard maple itself', () => {
    const short = (wood: string) =>
      checkIn(changed(tailed(), { 'tailpiece/studLength': 9 }, { 'body/wood': wood }), 'tail-studs', 'pull').cures.map((c) => c.id)
    // 14.9 MPa: more than basswood is trusted with, less than hard maple. With half the bushing 232 / (11.5 x 5) x (4 + 6 x 12 / 5) = 74.
    expect(short('basswood')).toEqual(['longer-studs', 'hard-plug'])
    const high = (wood: string) =>
      checkIn(changed(tailed(), { 'tailpiece/studLength': 9, 'tailpiece/height': 12 }, { 'body/wood': wood }), 'tail-studs', 'pull').cures
    expect([high('hard-maple'), high('basswood')].map((all) => all.map((c) => c.id))).toEqual([['longer-studs'], ['longer-studs']])
  })
  it('a bridge that holds its strings itself: by so much higher saddles as reaches its back, a groove of a millimetre at most, or another', () => {
    // The string falls from 13.28 over the saddle to 2.5, 14 mm behind: 10.2 stand 4 mm behind it, of a rise of the saddle 10/14 reach there.
    const ways = (back: number) =>
      jointIn(changed(fullBuild(), { 'bridge/back.height': back }), 'saddle-break').cures.map((c) => [c.id, c.gives, c.job])
    // 10.5 + 0.5 - 10.2 = 0.8; 0.8 x 1.4 = 1.12 at the saddle, over 261.7 mm 0.25 degrees, over 76 of heel 0.33.
    expect(ways(10.5)).toEqual([
      [
        'raise-saddles',
        'nothing',
        'Tilt the neck 0.25° back, a tapered shim, 0.33 mm at the pocket’s end: the saddles stand 1.1 mm higher then.',
      ],
      ['groove-back', 'bridge', 'Or file a groove 0.8 mm deep into the bridge’s back under each string, deburred.'],
    ])
    // 2.3 x 1.4 = 3.2: the saddles go up to 17.
    expect(ways(12)[0]![2]).toMatch(/the saddles stand 3\.2 mm higher then\.$/)
    expect(ways(12)[1]).toEqual(['lower-back', 'the bridge', 'Or take a bridge whose back stands 2.3 mm lower.'])
    // 5.3 x 1.4 = 7.4 is more than they go up.
    expect(ways(15)).toEqual([['lower-back', 'the bridge', 'Take a bridge whose back stands 5.3 mm lower.']])
  })
  it('a vibrato tailpiece wants a flatter string than a stop', () => {
    const vibrato = changed(tailed(), { 'tailpiece/height': 5 }, { 'tailpiece/type': 'vibrato' })
    expect(checkIn(vibrato, 'saddle-break', 'break').raw.verdict).toBe('snug')
    expect(checkIn(changed(vibrato, { 'tailpiece/height': 1 }), 'saddle-break', 'break').raw.verdict).toBe('tight')
  })
  it('what is screwed to the front has no posts to set: another is told, for the break and for what the strings touch', () => {
    const vibrato = (sizes: Record<string, number>) => changed(tailed(), sizes, { 'tailpiece/type': 'vibrato' })
    const jobs = (b: Build) => jointIn(b, 'saddle-break').cures.map((c) => [c.id, c.gives, c.job] as const)
    // 13.3 − 45 × tan 8.5° = 6.6 mm.
    expect(jobs(vibrato({ 'tailpiece/height': 1 }))[0]).toEqual([
      'other-vibrato',
      'the tailpiece',
      'Take a vibrato tailpiece that lets the strings leave 6.6 mm above the body.',
    ])
    // Far out, too, it stays what will not go.
    expect(checkIn(vibrato({ 'tailpiece/height': 13 }), 'saddle-break', 'break').raw.verdict).toBe('wont-go')
    // 8 mm behind, strings at 13.3 − 8 × 8.3 / 45 = 11.8 mm touch a back of 12; half a millimetre over it is (0.5 + 0.17) × 45 / 8 = 3.9 at the tail.
    const touching = vibrato({ 'tailpiece/height': 5, 'bridge/back.height': 12, 'bridge/back.distance': 8 })
    expect(jobs(touching)).toEqual([
      ['higher-vibrato', 'the tailpiece', 'Take a vibrato tailpiece that lets the strings leave 8.9 mm above the body.'],
    ])
  })
  it('steep is no fault where the bridge holds its own strings, up to about 55 degrees', () => {
    const to = (distance: number) =>
      checkIn(changed(fullBuild(), { 'bridge/exit.distance': distance }), 'saddle-break', 'break').raw.verdict
    expect(to(14)).toBe('snug')
    expect(to(5)).toBe('tight')
  })
  it('nobody said where the bridge lets its strings go: nothing is judged, nothing asked', () => {
    const unknown = changed(fullBuild(), { 'bridge/exit.distance': undefined })
    expect(() => jointIn(unknown, 'saddle-break')).toThrow()
  })
  it('no tilt is told for a steeper break where the saddles cannot follow it', () => {
    const flat = changed(tailed(), { 'tailpiece/height': 11.5, 'bridge/height.max': 14 })
    const ids = (build: Build) => jointIn(build, 'saddle-break').cures.map((c) => c.id)
    expect(ids(flat)).toEqual(['tail-height'])
    expect(ids(changed(flat, { 'bridge/height.max': 20 }))).toContain('tilt-for-break')
  })
})
