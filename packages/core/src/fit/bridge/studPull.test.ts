import { describe, expect, it } from 'vitest'
import { WOODS } from '../../parts/woods'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { rimPressure, vibratoStudPull } from './studPull'

describe('string pull on studs', () => {
  it('rim pressure: a stiff post in a bed that gives evenly, forces and moments in balance [physics]', () => {
    // Without overhang four times the mean; the closed form against summing the pressure along the post.
    expect(rimPressure(1000, 10, 25, 0)).toBeCloseTo((4 * 1000) / 250, 9)
    const [F, d, L, e] = [240, 11.5, 25, 12]
    const rim = rimPressure(F, d, L, e)
    const slope = (-12 * (F * e + (F * L) / 2)) / (d * L ** 3)
    let [force, moment] = [0, 0]
    const n = 20_000
    for (let i = 0; i < n; i++) {
      const z = ((i + 0.5) * L) / n
      const p = rim + slope * z
      force += (p * d * L) / n
      moment += (p * d * z * L) / n
    }
    expect(force).toBeCloseTo(F, 3)
    expect(moment).toBeCloseTo(-F * e, 1)
  })
  it('a vibrato’s studs hold strings and springs', () => expect(vibratoStudPull(460, 9, 36)).toBeCloseTo(575, 9))
  it('crushing strengths are those of the woods’ table [published: Wood Handbook, from memory]', () => {
    expect(WOODS['hard-maple'].crushing).toBe(54)
    expect(WOODS.basswood.crushing).toBe(32.6)
  })
  judgeRows([
    {
      what: 'short bushings in basswood',
      joint: 'bridge-on-body',
      check: 'pull',
      verdict: 'tight',
      sizes: { 'bridge/studLength': 14 },
      traits: { 'body/wood': 'basswood' },
      says: /Basswood is trusted with 10\.9/,
      job: /bushings at least \d+ mm long/,
    },
    {
      what: 'usual bushings in hard maple',
      joint: 'bridge-on-body',
      check: 'pull',
      verdict: 'snug',
      says: 'The strings pull 290 N on each stud, 6 mm above the wood: 6.3 MPa at the rim of a 25 mm bushing. Hard maple is trusted with 18.0.',
    },
  ])
  it('the pressure falls with length and with harder wood, never the other way', () => {
    const spare = (length: number, wood: string) =>
      checkIn(changed(fullBuild(), { 'bridge/studLength': length }, { 'body/wood': wood }), 'bridge-on-body', 'pull').clearance[0]!.mean
    for (const wood of ['basswood', 'alder', 'hard-maple'])
      for (let l = 12; l < 30; l += 3) expect(spare(l + 3, wood)).toBeGreaterThan(spare(l, wood))
    expect(spare(20, 'hard-maple')).toBeGreaterThan(spare(20, 'basswood'))
  })
})
