import { describe, expect, it } from 'vitest'
import { checkIn, judgeRows } from '../../testing/rows'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'

const semi = () =>
  changed(
    without(fullBuild(), 'guard'),
    { 'body/control.top': 5, 'body/control.depth': 30 },
    { 'body/build': 'semi-hollow', 'body/access': 'sound-hole' },
  )

// No router comes in by a sound hole: what is too deep or too short there is another part. Limits [practice], sums [physics].
describe('controls in a body that is hollow under them', () => {
  judgeRows(
    [
      // 17 - 16 = 1 mm, and 2 is wanted.
      {
        what: 'a pot with hardly room under its lugs',
        joint: 'pot-tone',
        check: 'depth',
        verdict: 'tight',
        says: 'The pot hangs 16 mm deep in 17 mm of room.',
        job: 'Take a pot no deeper than 15 mm with its lugs.',
        sizes: { 'body/control.depth': 17, 'pot-tone/body.depth': 16 },
      },
      {
        what: 'a switch that meets the back',
        joint: 'switch',
        check: 'depth',
        verdict: 'wont-go',
        job: 'Take a switch no deeper than 27 mm with its lugs.',
        sizes: { 'body/control.depth': 30, 'switch/depth': 31 },
      },
    ],
    semi,
  )
  it('a bushing too short for the top is exchanged, and no top is thinned from inside', () => {
    const short = (access: string) =>
      jointIn(
        changed(
          semi(),
          { 'body/control.top': 8, 'pot-tone/bushing.length': 9.5, 'pot-tone/nut.thickness': 2, 'pot-tone/washer.thickness': 0.5 },
          { 'body/access': access },
        ),
        'pot-tone',
      ).cures.map((c) => c.id)
    expect(short('sound-hole')).toEqual(['longer-bushing'])
    expect(short('back')).toEqual(['longer-bushing', 'thin-top'])
  })
  it('the jack goes in with the controls: no passage is too narrow for it, and its wires lie in none', () => {
    const jack = (access: string) =>
      jointIn(changed(semi(), { 'body/passage.diameter': 6 }, { 'body/access': access }), 'jack').checks.map((c) => c.id)
    expect(jack('back')).toContain('passage')
    expect(jack('sound-hole')).not.toContain('passage')
    const narrow = (access: string) => changed(semi(), { 'body/passage.diameter': 6 }, { 'body/access': access })
    // Two to the jack and one of each of three pickups.
    expect(checkIn(narrow('back'), 'wire-passage', 'bundle').says).toMatch(/^5 wires/)
    expect(checkIn(narrow('sound-hole'), 'wire-passage', 'pickup-leads').says).toMatch(/^3 wires/)
    const how = (access: string, check: string) =>
      checkIn(changed(narrow(access), { 'body/passage.diameter': 2 }), 'wire-passage', check).cures[0]!.how
    expect(how('back', 'bundle')).toMatch(/^A long bit from the jack’s or a pickup’s side;/)
    expect(how('sound-hole', 'pickup-leads')).toMatch(/^A long bit from a pickup’s route into the hollow;/)
  })
})
