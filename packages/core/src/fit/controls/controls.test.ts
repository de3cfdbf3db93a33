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
      sizes: { 'pot-volume/bushing.length': 9.5 },
      job: /1 inner nut and 3 washers/,
    },
    {
      what: '19 mm bushing through 2.5 mm',
      joint: 'pot-volume',
      check: 'thread',
      verdict: 'wont-go',
      sizes: { 'pot-volume/bushing.length': 19 },
    },
    {
      what: '4 mm bushing through 2.5 mm',
      joint: 'pot-tone',
      check: 'thread',
      verdict: 'wont-go',
      sizes: { 'pot-tone/bushing.length': 4 },
      says: /too short/,
    },
    {
      what: '8 mm hole for a 9.4 bushing',
      joint: 'pot-volume',
      check: 'hole',
      verdict: 'tight',
      sizes: { 'guard/pot.hole': 8 },
      job: /^Ream the hole from 8 to 9\.6 mm/,
    },
    { what: '12 mm hole', joint: 'pot-tone', check: 'hole', verdict: 'loose', sizes: { 'guard/pot.hole': 12 } },
    { what: 'cavity 1 mm too shallow', joint: 'pot-volume', check: 'depth', verdict: 'wont-go', sizes: { 'body/control.depth': 14 } },
    { what: 'a millimetre under the lugs', joint: 'pot-volume', check: 'depth', verdict: 'tight', sizes: { 'body/control.depth': 17.5 } },
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
    { what: 'deeper than the cavity', joint: 'switch', check: 'depth', verdict: 'wont-go', sizes: { 'body/control.depth': 22 } },
    { what: 'no room for lugs', joint: 'switch', check: 'depth', verdict: 'tight', sizes: { 'body/control.depth': 25.5 } },
    { what: 'slot shorter than the lever’s swing', joint: 'switch', check: 'swing', verdict: 'tight', sizes: { 'guard/switch.slot': 24 } },
    { what: 'slot much longer than the swing', joint: 'switch', check: 'swing', verdict: 'loose', sizes: { 'guard/switch.slot': 36 } },
    {
      what: 'inch shaft, metric knob',
      joint: 'knobs',
      check: 'bore',
      verdict: 'tight',
      sizes: { 'pot-volume/shaft.diameter': 6.35 },
      job: /6\.4 mm/,
    },
    { what: 'metric shaft, inch knob', joint: 'knobs', check: 'bore', verdict: 'loose', sizes: { 'knobs/bore': 6.4 } },
    {
      what: 'bore 0.3 too small',
      joint: 'jack',
      check: 'bore',
      verdict: 'tight',
      sizes: { 'body/jack.bore': 9.2 },
      job: /^Ream the jack bore to 9\.8/,
    },
    {
      what: 'wider than the passage',
      joint: 'jack',
      check: 'passage',
      verdict: 'tight',
      sizes: { 'body/passage.diameter': 9 },
      job: /^Thread the wires first/,
    },
    { what: 'bundle fills the passage', joint: 'wire-passage', check: 'bundle', verdict: 'tight', sizes: { 'body/passage.diameter': 4 } },
    { what: 'bundle twice the passage', joint: 'wire-passage', check: 'bundle', verdict: 'wont-go', sizes: { 'body/passage.diameter': 2 } },
  ])
})

describe('switch screws, toggles, plug', () => {
  judgeRows([
    {
      what: 'screws 1 mm wider than the holes',
      joint: 'switch',
      check: 'screws',
      verdict: 'tight',
      sizes: { 'guard/switch.screws': 40 },
      job: /^Draw the holes 0\.6 mm outwards/,
    },
    { what: 'screws 6 mm off', joint: 'switch', check: 'screws', verdict: 'wont-go', sizes: { 'guard/switch.screws': 35 } },
    {
      what: 'the plug 2 mm too long',
      joint: 'jack',
      check: 'plug',
      verdict: 'tight',
      sizes: { 'body/jack.depth': 50 },
      says: /not click home/,
    },
    { what: 'the plug 10 mm too long', joint: 'jack', check: 'plug', verdict: 'wont-go', sizes: { 'body/jack.depth': 42 } },
  ])
  judgeRows(
    [
      { what: 'a toggle in its hole', joint: 'switch', check: 'hole', verdict: 'snug' },
      {
        what: 'hole too small for a toggle',
        joint: 'switch',
        check: 'hole',
        verdict: 'tight',
        sizes: { 'guard/switch.hole': 11.5 },
        job: /^Ream the toggle hole to 12\.3/,
      },
      { what: 'hole much too large', joint: 'switch', check: 'hole', verdict: 'loose', sizes: { 'guard/switch.hole': 14 } },
      {
        what: 'thread too short',
        joint: 'switch',
        check: 'thread',
        verdict: 'wont-go',
        sizes: { 'switch/thread.length': 4 },
        says: /too short/,
      },
      { what: 'thread that stands proud', joint: 'switch', check: 'thread', verdict: 'loose', sizes: { 'switch/thread.length': 14 } },
    ],
    () =>
      changed(
        fullBuild(),
        { 'guard/switch.hole': 12.3, 'switch/thread.diameter': 12, 'switch/thread.length': 8 },
        { 'switch/contacts': 'toggle-3' },
      ),
  )
})

describe('controls within reach', () => {
  judgeRows([
    {
      what: 'knobs 28 mm apart',
      joint: 'control-reach',
      check: 'knob',
      verdict: 'tight',
      sizes: { 'guard/tone.x': 216 },
      says: /fingers want 30/,
    },
    { what: 'volume 10 mm from the string', joint: 'control-reach', check: 'string', verdict: 'tight', sizes: { 'guard/volume.y': -36 } },
    {
      what: 'pot bodies meet',
      joint: 'control-reach',
      check: 'bodies',
      verdict: 'wont-go',
      sizes: { 'guard/tone.x': 208, 'guard/tone.y': -76 },
    },
  ])
})

describe('leads', () => {
  judgeRows([
    {
      what: 'ground lead reaches closed, not opened',
      joint: 'leads',
      check: 'ground',
      verdict: 'tight',
      sizes: { 'wire/lead.ground': 232 },
      job: /^Cut a new lead of \d+0 mm/,
    },
    { what: 'jack lead far too short', joint: 'leads', check: 'jack', verdict: 'wont-go', sizes: { 'wire/lead.jack': 60 } },
    {
      what: 'a pickup lead half a metre too long',
      joint: 'leads',
      check: 'pickup-neck',
      verdict: 'loose',
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
      { what: 'free wires long enough', joint: 'harness', check: 'pitch', verdict: 'snug' },
      {
        what: 'free wires too short',
        joint: 'harness',
        check: 'pitch',
        verdict: 'tight',
        sizes: { 'harness/pot.pitch': 40 },
        job: /^Put a wire \d+ mm long/,
      },
      { what: 'bushings too fat', joint: 'harness', check: 'bushing', verdict: 'tight', sizes: { 'harness/bushing.diameter': 10.5 } },
    ],
    () => harnessed('free'),
  )
  judgeRows(
    [
      { what: 'on a plate 14 mm too wide', joint: 'harness', check: 'pitch', verdict: 'wont-go', job: /off their plate/ },
      {
        what: 'on a plate that matches',
        joint: 'harness',
        check: 'pitch',
        verdict: 'snug',
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
      { what: 'it has room', joint: 'active', check: 'room', verdict: 'snug' },
      { what: '4 mm too long', joint: 'active', check: 'room', verdict: 'wont-go', sizes: { 'body/battery.room': 50 } },
      {
        what: 'a mono jack never switches it off',
        joint: 'active',
        check: 'switching',
        verdict: 'tight',
        traits: { 'jack/contacts': 'mono' },
        job: /stereo jack/,
      },
    ],
    active,
  )
})
