import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Class } from '../judge/verdict'
import type { Slot } from '../parts/slots'
import { aPart } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { checkIn } from '../testing/rows'

/** Every doubt taken out, so that each verdict is certain. */
function sure(build: Build): Build {
  const parts = structuredClone(build.parts)
  for (const part of Object.values(parts)) for (const size of Object.values(part?.sizes ?? {})) size.doubt = 0
  return { ...build, parts }
}

/** From most in the way to most at ease. */
const ORDER: Class[] = ['wont-go', 'tight', 'snug', 'loose']

interface Law {
  joint: string
  check: string
  /** The size that is let go from one value to another, making room all the way. */
  size: `${Slot}/${string}`
  from: number
  to: number
  on?: () => Build
  /** Where loose means near to dipping rather than sloppy. */
  order?: Class[]
}

const inWood = () =>
  changed(
    without(fullBuild(), 'guard', 'shielding'),
    { 'pickup-neck/screw.length': 20, 'body/pot.hole': 9.6, 'body/control.top': 3 },
    { 'pickup-neck/mount': 'body' },
  )
const hollow = () => changed(fullBuild(), { 'body/block.width': 96 }, { 'body/build': 'semi-hollow' })
const withBattery = () => {
  const b = changed(fullBuild(), { 'body/battery.room': 60 }, { 'jack/contacts': 'stereo' })
  return { ...b, parts: { ...b.parts, battery: aPart('battery', { length: 54 }) } }
}

// More clearance never makes a joint tighter.
const LAWS: Law[] = [
  { joint: 'pocket-mouth', check: 'width', size: 'body/pocket.widthMouth', from: 54.5, to: 58 },
  { joint: 'pocket-mouth', check: 'width', size: 'neck/heel.widthMouth', from: 58, to: 54.5 },
  { joint: 'pocket-end', check: 'width', size: 'body/pocket.widthEnd', from: 54.5, to: 58 },
  { joint: 'neck-screws', check: 'tip', size: 'neck-screws/length', from: 60, to: 40 },
  { joint: 'neck-screws', check: 'tip', size: 'neck/heel.thickness', from: 15, to: 30 },
  { joint: 'neck-screws', check: 'bite', size: 'neck-screws/length', from: 30, to: 60 },
  { joint: 'bridge-reach', check: 'back', size: 'bridge/travel.back', from: 0, to: 24 },
  { joint: 'bridge-reach', check: 'front', size: 'bridge/travel.front', from: -22, to: 4 },
  { joint: 'bridge-height', check: 'low-stop', size: 'bridge/height.min', from: 16, to: 6 },
  { joint: 'bridge-height', check: 'high-stop', size: 'bridge/height.max', from: 10, to: 22 },
  { joint: 'bridge-height', check: 'cover-bridge', size: 'pickup-bridge/above', from: 14, to: 1 },
  { joint: 'bridge-on-body', check: 'block', size: 'bridge/block.depth', from: 50, to: 30 },
  { joint: 'bridge-on-body', check: 'swing', size: 'body/vibrato.length', from: 12, to: 40 },
  { joint: 'bridge-on-body', check: 'in-block', size: 'body/block.width', from: 60, to: 110, on: hollow },
  { joint: 'bridge-on-body', check: 'pull', size: 'bridge/studLength', from: 6, to: 40 },
  { joint: 'saddle-break', check: 'path', size: 'bridge/back.height', from: 16, to: 2 },
  { joint: 'room-neck', check: 'width', size: 'guard/opening.neck.width', from: 66, to: 74 },
  { joint: 'room-neck', check: 'width', size: 'pickup-neck/width', from: 74, to: 66 },
  { joint: 'room-middle', check: 'length', size: 'guard/opening.middle.length', from: 15, to: 22 },
  { joint: 'room-bridge', check: 'corner', size: 'guard/opening.bridge.radius', from: 9, to: 0 },
  { joint: 'room-bridge', check: 'route-width', size: 'body/route.bridge.width', from: 60, to: 90 },
  { joint: 'room-bridge', check: 'depth', size: 'body/route.bridge.depth', from: 5, to: 30 },
  { joint: 'room-neck', check: 'ears', size: 'pickup-neck/ears.span', from: 84, to: 60 },
  { joint: 'room-neck', check: 'bite', size: 'pickup-neck/screw.length', from: 5, to: 40, on: inWood },
  { joint: 'guard-cover', check: 'neck-cut', size: 'guard/neck.width', from: 50, to: 62 },
  { joint: 'guard-cover', check: 'bridge-edge', size: 'guard/bridge.edge', from: 190, to: 150 },
  { joint: 'guard-cover', check: 'screws', size: 'guard/screw.edge', from: 0, to: 12 },
  { joint: 'guard-openings', check: 'openings', size: 'guard/opening.neck.length', from: 30, to: 42 },
  { joint: 'pot-volume', check: 'hole', size: 'guard/pot.hole', from: 7, to: 13 },
  { joint: 'pot-volume', check: 'depth', size: 'body/control.depth', from: 10, to: 40 },
  { joint: 'switch', check: 'depth', size: 'body/control.depth', from: 20, to: 40 },
  { joint: 'switch', check: 'swing', size: 'guard/switch.slot', from: 20, to: 40 },
  { joint: 'knobs', check: 'bore', size: 'knobs/bore', from: 5, to: 7 },
  { joint: 'jack', check: 'passage', size: 'body/passage.diameter', from: 5, to: 25 },
  { joint: 'jack', check: 'plug', size: 'body/jack.depth', from: 40, to: 80 },
  { joint: 'wire-passage', check: 'bundle', size: 'body/passage.diameter', from: 2, to: 20 },
  { joint: 'leads', check: 'ground', size: 'wire/lead.ground', from: 100, to: 500 },
  { joint: 'active', check: 'room', size: 'body/battery.room', from: 40, to: 70, on: withBattery },
  { joint: 'tuner-row', check: 'row', size: 'tuners/housing.width', from: 28, to: 20 },
  {
    joint: 'tuner-row',
    check: 'row',
    size: 'neck/tuner.bore',
    from: 9.9,
    to: 12,
    on: () => changed(fullBuild(), { 'tuners/housing.width': 25.6 }),
  },
  { joint: 'tuner-bore', check: 'screw', size: 'tuners/screw.length', from: 18, to: 6 },
  { joint: 'tuner-bore', check: 'grip.max', size: 'neck/head.thickness', from: 22, to: 10 },
  { joint: 'nut-in-slot', check: 'width', size: 'nut/width', from: 5, to: 3 },
  { joint: 'strings-through', check: 'hole-bridge', size: 'bridge/string.hole', from: 0.9, to: 3 },
  { joint: 'strap-buttons', check: 'bite', size: 'strap-buttons/screw.length', from: 8, to: 40 },
  { joint: 'balance', check: 'margin', size: 'body/button.upper.x', from: 110, to: -100, order: ['tight', 'loose', 'snug'] },
]

describe('more room never makes a joint tighter', () => {
  it.each(LAWS.map((l) => [`${l.joint}/${l.check} by ${l.size}, ${l.from} to ${l.to}`, l] as const))('%s', (_, law) => {
    const start = sure((law.on ?? fullBuild)())
    const ranks: number[] = []
    let clearance = -Infinity
    for (let i = 0; i <= 40; i++) {
      const value = law.from + ((law.to - law.from) * i) / 40
      const c = checkIn(changed(start, { [law.size]: value }), law.joint, law.check)
      const held = c.clearance[0]!.mean
      expect(held).toBeGreaterThanOrEqual(clearance - 1e-9)
      clearance = held
      if (c.raw.verdict === 'cant-tell') continue
      // Too loose is a fault of its own, but never the way back to too tight.
      ranks.push((law.order ?? ORDER).indexOf(c.raw.verdict))
    }
    for (let i = 1; i < ranks.length; i++) expect(ranks[i]!).toBeGreaterThanOrEqual(ranks[i - 1]!)
    // The range was wide enough to see the verdict change at all.
    expect(new Set(ranks).size).toBeGreaterThan(1)
  })
})
