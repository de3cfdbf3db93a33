import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { leadRuns, openedBy } from '../../instrument/leads'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { packing } from './potPanel'

// Limits [practice], sums [physics].
describe('pots through the guard', () => {
  judgeRows([
    {
      what: '9.5 mm bushing through 2.5 mm',
      joint: 'pot-volume',
      check: 'thread',
      verdict: 'tight',
      says: 'A 9.5 mm bushing through 2.5 mm of guard leaves 4.3 mm of thread over the nut: the pot is too long and the knob would ride that high.',
      sizes: { 'pot-volume/bushing.length': 9.5 },
      job: /1 inner nut and 3 washers/,
    },
    {
      what: '19 mm bushing through 2.5 mm',
      joint: 'pot-volume',
      check: 'thread',
      verdict: 'wont-go',
      says: 'A 19 mm bushing through 2.5 mm of guard leaves 13.8 mm of thread over the nut: the pot is too long and the knob would ride that high.',
      job: 'Take a pot with a 6.5 mm bushing.',
      sizes: { 'pot-volume/bushing.length': 19 },
    },
    {
      what: '4 mm bushing through 2.5 mm',
      joint: 'pot-tone',
      check: 'thread',
      verdict: 'wont-go',
      job: 'Take a pot with a bushing at least 1.2 mm longer.',
      sizes: { 'pot-tone/bushing.length': 4 },
      says: /too short/,
    },
    {
      what: '8 mm hole for a 9.4 bushing',
      joint: 'pot-volume',
      check: 'hole',
      verdict: 'tight',
      says: 'The hole is 8 mm and the bushing 9.4 mm.',
      sizes: { 'guard/pot.hole': 8 },
      job: /^Ream the hole from 8 to 9\.6 mm/,
    },
    {
      what: '12 mm hole',
      joint: 'pot-tone',
      check: 'hole',
      verdict: 'loose',
      says: 'The hole is 12 mm and the bushing 9.4 mm.',
      job: 'none',
      sizes: { 'guard/pot.hole': 12 },
    },
    {
      what: 'cavity 1 mm too shallow',
      joint: 'pot-volume',
      check: 'depth',
      verdict: 'wont-go',
      says: 'The pot hangs 16 mm deep in a 14 mm route.',
      job: 'Deepen the control route by 4.5 mm.',
      sizes: { 'body/control.depth': 14 },
    },
    {
      what: 'a millimetre under the lugs',
      joint: 'pot-volume',
      check: 'depth',
      verdict: 'tight',
      says: 'The pot hangs 16 mm deep in a 17.5 mm route.',
      job: 'Deepen the control route by 1 mm.',
      sizes: { 'body/control.depth': 17.5 },
    },
  ])
  it('packing: whole nuts first, then washers, never more than the surplus, 0.3 mm of thread kept', () => {
    for (let surplus = 0.5; surplus < 14; surplus += 0.3) {
      const p = packing(surplus, 2.1, 0.6)
      expect(p.nuts * 2.1 + p.washers * 0.6).toBeLessThanOrEqual(surplus + 1e-9)
      expect(surplus - p.nuts * 2.1 - p.washers * 0.6).toBeLessThan(0.6 + 0.3 + 1e-9)
    }
  })
  it('without a guard the pots sit in the wood: its thickness over the route counts', () => {
    const wood = changed(without(fullBuild(), 'guard', 'shielding'), {
      'body/control.top': 3.2,
      'body/pot.hole': 9.6,
      'body/control.depth': 36,
    })
    expect(checkIn(wood, 'pot-volume', 'thread').raw.verdict).toBe('snug')
    const thick = changed(wood, { 'body/control.top': 16 })
    expect(checkIn(thick, 'pot-volume', 'thread').raw.verdict).toBe('wont-go')
    expect(checkIn(thick, 'pot-volume', 'thread').cures.map((c) => c.id)).toContain('thin-top')
  })
})

describe('switch, knobs, jack', () => {
  judgeRows([
    {
      what: 'deeper than the cavity',
      joint: 'switch',
      check: 'depth',
      verdict: 'wont-go',
      says: 'The switch hangs 24 mm deep in a 22 mm route; lugs and wires want 3 mm below.',
      job: 'Deepen the control route by 5.5 mm under the switch.',
      sizes: { 'body/control.depth': 22 },
    },
    {
      what: 'no room for lugs',
      joint: 'switch',
      check: 'depth',
      verdict: 'tight',
      says: 'The switch hangs 24 mm deep in a 25.5 mm route; lugs and wires want 3 mm below.',
      job: 'Deepen the control route by 2 mm under the switch.',
      sizes: { 'body/control.depth': 25.5 },
    },
    {
      what: 'slot shorter than the lever’s swing',
      joint: 'switch',
      check: 'swing',
      verdict: 'tight',
      says: 'The lever needs 26 mm and the slot is 24: it stops before the end positions.',
      job: 'Lengthen the slot by 2.8 to 3.2 mm, half at each end.',
      sizes: { 'guard/switch.slot': 24 },
    },
    {
      what: 'slot much longer than the swing',
      joint: 'switch',
      check: 'swing',
      verdict: 'loose',
      says: 'The lever swings freely.',
      job: 'none',
      sizes: { 'guard/switch.slot': 36 },
    },
    {
      what: 'inch shaft, metric knob',
      joint: 'knobs',
      check: 'bore',
      verdict: 'tight',
      says: 'Knob bore 6.08 mm, shaft 6.35 mm.',
      sizes: { 'pot-volume/shaft.diameter': 6.35 },
      job: /6\.4 mm/,
    },
    {
      what: 'metric shaft, inch knob',
      joint: 'knobs',
      check: 'bore',
      verdict: 'loose',
      says: 'Knob bore 6.4 mm, shaft 6 mm.',
      job: 'Spread the split shaft with a blade, or wrap it once with tape.',
      sizes: { 'knobs/bore': 6.4 },
    },
    {
      what: 'bore 0.3 too small',
      joint: 'jack',
      check: 'bore',
      verdict: 'tight',
      says: 'The bore is 9.2 mm and the jack needs 9.5 mm.',
      sizes: { 'body/jack.bore': 9.2 },
      job: /^Ream the jack bore to 9\.8/,
    },
    {
      what: 'wider than the passage',
      joint: 'jack',
      check: 'passage',
      verdict: 'tight',
      says: 'The jack is 12 mm wider than the passage: soldered on, it will not go through.',
      sizes: { 'body/passage.diameter': 9 },
      job: /^Thread the wires first/,
    },
    {
      what: 'bundle fills the passage',
      joint: 'wire-passage',
      check: 'bundle',
      verdict: 'tight',
      says: '5 wires of 1.4 mm make a bundle of 3.8 mm in a passage of 4 mm.',
      job: 'Drill the passage out to 4.8 mm.',
      sizes: { 'body/passage.diameter': 4 },
    },
    {
      what: 'bundle twice the passage',
      joint: 'wire-passage',
      check: 'bundle',
      verdict: 'wont-go',
      says: '5 wires of 1.4 mm make a bundle of 3.8 mm in a passage of 2 mm.',
      job: 'Drill the passage out to 4.8 mm.',
      sizes: { 'body/passage.diameter': 2 },
    },
  ])
})

describe('switch screws, toggles, plug', () => {
  judgeRows([
    {
      what: 'screws 1 mm wider than the holes',
      joint: 'switch',
      check: 'screws',
      verdict: 'tight',
      says: 'The switch’s screws are 41.2 mm apart and the guard’s holes 40.',
      sizes: { 'guard/switch.screws': 40 },
      job: /^Draw the holes 0\.6 mm outwards/,
    },
    {
      what: 'screws 6 mm off',
      joint: 'switch',
      check: 'screws',
      verdict: 'wont-go',
      says: 'The switch’s screws are 41.2 mm apart and the guard’s holes 35.',
      job: 'Drill new holes 41.2 mm apart, in line with the slot.',
      sizes: { 'guard/switch.screws': 35 },
    },
    {
      what: 'the plug 2 mm too long',
      joint: 'jack',
      check: 'plug',
      verdict: 'tight',
      job: 'Deepen the jack bore by 4.5 mm.',
      sizes: { 'body/jack.depth': 50 },
      says: /not click home/,
    },
    {
      what: 'the plug 10 mm too long',
      joint: 'jack',
      check: 'plug',
      verdict: 'wont-go',
      says: 'The plug reaches 52 mm and the bore ends at 42 mm: it would not click home.',
      job: 'Deepen the jack bore by 12.5 mm.',
      sizes: { 'body/jack.depth': 42 },
    },
  ])
  judgeRows(
    [
      {
        what: 'a toggle in its hole',
        joint: 'switch',
        check: 'hole',
        verdict: 'snug',
        says: 'The toggle’s thread is 12 mm and its hole 12.3 mm.',
      },
      {
        what: 'hole too small for a toggle',
        joint: 'switch',
        check: 'hole',
        verdict: 'tight',
        says: 'The toggle’s thread is 12 mm and its hole 11.5 mm.',
        sizes: { 'guard/switch.hole': 11.5 },
        job: /^Ream the toggle’s hole to 12\.3/,
      },
      {
        what: 'hole much too large',
        joint: 'switch',
        check: 'hole',
        verdict: 'loose',
        says: 'The toggle’s thread is 12 mm and its hole 14 mm.',
        job: 'none',
        sizes: { 'guard/switch.hole': 14 },
      },
      {
        what: 'thread too short',
        joint: 'switch',
        check: 'thread',
        verdict: 'wont-go',
        job: 'Take a toggle with 6 mm of thread.',
        sizes: { 'switch/thread.length': 4 },
        says: /too short/,
      },
      {
        what: 'thread that stands proud',
        joint: 'switch',
        check: 'thread',
        verdict: 'loose',
        says: 'The toggle’s thread stands 9 mm over its nut.',
        job: 'none',
        sizes: { 'switch/thread.length': 14 },
      },
    ],
    () =>
      changed(
        fullBuild(),
        { 'guard/switch.hole': 12.3, 'switch/thread.diameter': 12, 'switch/thread.length': 8 },
        { 'switch/contacts': 'toggle-3' },
      ),
  )
})

describe('leads', () => {
  judgeRows([
    {
      what: 'ground lead reaches closed, not opened',
      joint: 'leads',
      check: 'ground',
      verdict: 'tight',
      says: 'Controls to string ground: 232 mm, and with the guard turned over beside the body it takes 270.',
      sizes: { 'wire/lead.ground': 232 },
      job: /^Cut a new lead of \d+0 mm/,
    },
    {
      what: 'jack lead far too short',
      joint: 'leads',
      check: 'jack',
      verdict: 'wont-go',
      says: 'Controls to jack: 60 mm, and with the guard turned over beside the body it takes 142.',
      job: 'Cut a new lead of 210 mm, or splice 150 mm on and sleeve the joint.',
      sizes: { 'wire/lead.jack': 60 },
    },
    {
      what: 'a pickup lead half a metre too long',
      joint: 'leads',
      check: 'pickup-neck',
      verdict: 'loose',
      says: 'Neck pickup to controls: 684 mm more than it takes; it folds up under the cover and picks up hum.',
      job: 'Lay it in one flat loop and tie it; cut it only when the pickup stays for good.',
      sizes: { 'pickup-neck/lead.length': 900 },
    },
  ])
  it('what hangs from the guard needs no more opened than closed', () => {
    const runs = leadRuns(fullBuild())
    for (const r of runs.filter((x) => x.id.startsWith('pickup'))) expect(r.open).toBe(r.closed)
    expect(runs.find((r) => r.id === 'ground')!.open).toBeGreaterThan(runs.find((r) => r.id === 'ground')!.closed)
  })
  it('a guard is turned over on the side nearer the jack', () => {
    expect(openedBy(fullBuild())).toMatchObject({ way: 'guard', side: 'treble' })
    expect(openedBy(changed(fullBuild(), { 'body/jack.y': 130 }))).toMatchObject({ way: 'guard', side: 'bass' })
  })
  it('through a sound hole everything must reach out of it', () => {
    const hollow = changed(
      without(fullBuild(), 'guard'),
      { 'body/soundHole.x': 150, 'body/soundHole.y': 104 },
      { 'body/access': 'sound-hole' },
    )
    expect(openedBy(hollow).way).toBe('sound-hole')
    for (const r of leadRuns(hollow)) expect(r.cut).toBeGreaterThanOrEqual(r.open + 60)
  })
  it('nobody has cut anything: no joint, but the lengths stand beside the passage', () => {
    const spool = changed(fullBuild(), {
      'wire/lead.jack': undefined,
      'wire/lead.ground': undefined,
      'pickup-neck/lead.length': undefined,
      'pickup-middle/lead.length': undefined,
      'pickup-bridge/lead.length': undefined,
    })
    expect(() => jointIn(spool, 'leads')).toThrow()
    expect(jointIn(spool, 'wire-passage').tables[0]!.rows.length).toBe(5)
  })
})

describe('a harness wired for another guitar', () => {
  const harnessed = (frame: string): Build => {
    const b = fullBuild()
    return { ...b, parts: { ...b.parts, harness: aPart('harness', { 'pot.pitch': 60, 'bushing.diameter': 9.4 }, { frame }) } }
  }
  judgeRows(
    [
      {
        what: 'free wires long enough',
        joint: 'harness',
        check: 'pitch',
        verdict: 'snug',
        says: 'The harness fits the holes: 60 mm between its pots, 46 between the holes.',
      },
      {
        what: 'free wires too short',
        joint: 'harness',
        check: 'pitch',
        verdict: 'tight',
        says: 'Its wires reach 40 mm from pot to pot; over holes 46 mm apart they want 51.',
        sizes: { 'harness/pot.pitch': 40 },
        job: /^Put a wire \d+ mm long/,
      },
      {
        what: 'bushings too fat',
        joint: 'harness',
        check: 'bushing',
        verdict: 'tight',
        says: 'Holes of 9.6 mm and bushings of 10.5 mm.',
        job: 'Ream the holes to 10.7 mm.',
        sizes: { 'harness/bushing.diameter': 10.5 },
      },
    ],
    () => harnessed('free'),
  )
  judgeRows(
    [
      {
        what: 'on a plate 14 mm too wide',
        joint: 'harness',
        check: 'pitch',
        verdict: 'wont-go',
        says: 'The harness was made for other holes: 60 mm between its pots, 46.2 between the holes here.',
        job: /off their plate/,
      },
      {
        what: 'on a plate that matches',
        joint: 'harness',
        check: 'pitch',
        verdict: 'snug',
        says: 'The harness fits the holes: 46 mm between its pots, 46 between the holes.',
        sizes: { 'harness/pot.pitch': Math.hypot(44, 14) },
      },
    ],
    () => {
      const b = harnessed('rigid')
      b.parts.harness!.sizes['pot.pitch']!.doubt = 0.1
      return b
    },
  )
})

describe('a battery aboard', () => {
  const active = (): Build => {
    const b = changed(fullBuild(), { 'body/battery.room': 60, 'pot-volume/resistance': 25e3 }, { 'jack/contacts': 'stereo' })
    return { ...b, parts: { ...b.parts, battery: aPart('battery', { length: 54, depth: 17 }) } }
  }
  judgeRows(
    [
      { what: 'it has room', joint: 'active', check: 'room', verdict: 'snug', says: '60 mm of room for a 54 mm battery.' },
      {
        what: '4 mm too long',
        joint: 'active',
        check: 'room',
        verdict: 'wont-go',
        says: '50 mm of room for a 54 mm battery.',
        job: 'Cut a battery box in from the back, 56 mm of room in it.',
        sizes: { 'body/battery.room': 50 },
      },
      {
        what: 'a mono jack never switches it off',
        joint: 'active',
        check: 'switching',
        verdict: 'tight',
        says: 'A mono jack leaves the battery on for good; active pickups want a stereo jack and usually 25 k pots. Some want no string ground: look in the sheet.',
        traits: { 'jack/contacts': 'mono' },
        job: /stereo jack/,
      },
    ],
    active,
  )
})
