import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { datums } from '../instrument/datums'
import { drillable } from '../testing/drillable'
import { changed, without } from '../testing/fullBuild'
import { onAPlate } from '../testing/onAPlate'
import { holeCards } from './holes'
import { templatesOf } from './templates/templates'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
/** Nothing of it is cut yet: neither route nor holes have sizes. */
const UNCUT = {
  'body/control.length': undefined,
  'body/control.width': undefined,
  'body/control.depth': undefined,
  'body/control.x': undefined,
  'body/control.y': undefined,
  'control-plate/pot.hole': undefined,
  'control-plate/switch.slot': undefined,
  'control-plate/switch.screws': undefined,
}
const none = (build: Build) =>
  changed(
    drillable(build),
    {
      ...UNCUT,
      'body/thickness': 44,
      'pot-volume/body.depth': 16,
      'pot-tone/body.depth': 18,
      'switch/depth': 24,
      'switch/screw.spacing': 41.3,
    },
    { 'body/routed.control': 'none', 'body/access': 'front', 'control-plate/bored.controls': 'none', 'control-plate/bored.slot': 'none' },
  )

describe('a route under a control plate', () => {
  const bare = none(onAPlate())
  // Along: 46 - 41.3/2 - 5 = 20.35 to 120 + 12 = 132, and 5 round it: 121.7. Across: the plate's 17 less 2 to cover leave 3 round the
  // pots' 12: 30. The lever is the tallest, 24, and 4 for wires.
  it('holds the lever too, lies along the plate and stays under it', () => {
    const c = card(bare, 'route-control')
    expect([c.work, c.side, c.size, c.depth]).toEqual(['new', 'front', '122x30', 28])
    expect(c.says).toContain('5 mm along the plate and 3 across it round each control')
    expect(c.guards.find((g) => g.id === 'covered')).toMatchObject({ verdict: 'snug', says: 'The plate lies over its edge by 2 mm.' })
    const at = c.places[0]!
    expect([at.x - datums(bare).mouth, at.y]).toEqual([expect.closeTo(190 + (15.35 + 137) / 2, 6), -78])
    expect(c.located).toBe('the controls’ own places, through the control plate')
  })
  it('turns with it', () => {
    // Sine 0.1: 76.2 along it are 75.8 back and 7.6 out.
    const askew = changed(bare, { 'body/plate.y': -70, 'body/plate.tail': -86 })
    const c = card(askew, 'route-control')
    expect(c.size).toBe('122x30')
    const along = (15.35 + 137) / 2
    expect(c.places[0]!.x - datums(askew).mouth).toBeCloseTo(190 + along * Math.sqrt(0.99), 6)
    expect(c.places[0]!.y).toBeCloseTo(-70 - along * 0.1, 6)
  })
  // 168 apart, 160 long: of three readings one is wrong, and places counted along the plate with it.
  it('is not cut by a plate told to lie as none can', () => {
    const c = card(changed(bare, { 'body/plate.y': 90 }), 'route-control')
    expect(c.stands).toBe('refused')
    expect(c.guards.find((g) => g.id === 'turn')?.says).toBe(
      'The plate’s ends are told to be 168 mm apart across the body, and it is 160 mm long. Measure all three again.',
    )
    expect(card(bare, 'route-control').guards.some((g) => g.id === 'turn')).toBe(false)
  })
  it('is cut from no face where the body is told to be open from the other, and why is said before any size is asked', () => {
    const odd = changed(bare, {}, { 'body/access': 'back' })
    const byHole = card(changed(bare, {}, { 'body/access': 'sound-hole' }), 'route-control')
    expect([byHole.stands, byHole.says]).toEqual([
      'refused',
      expect.stringMatching(/^The controls are told to go in by the sound hole, and/),
    ])
    for (const b of [odd, changed(odd, { 'switch/depth': undefined })])
      expect(card(b, 'route-control')).toMatchObject({
        stands: 'refused',
        steps: [],
        missing: [],
        says: expect.stringMatching(/^The controls are told to go in from the back, .* Take the plate out under Parts/),
      })
    // It is the plate that is at odds with the back: without it the route is cut from there.
    expect(card(without(odd, 'control-plate'), 'route-control')).toMatchObject({ side: 'back' })
    expect(card(without(odd, 'control-plate'), 'route-control').stands).not.toBe('refused')
  })
  it('is refused where it would show beside a plate too narrow for the pots, and says what to do', () => {
    // 12 - 12 - 2.
    const c = card(changed(bare, { 'control-plate/width': 24 }), 'route-control')
    expect(c.stands).toBe('refused')
    expect(c.says).toMatch(/show 2 mm beside the plate.*Take a wider plate/)
  })
  it('waits for where the plate lies, and for what kind of switch hangs in it', () => {
    expect(card(changed(bare, { 'body/plate.tail': undefined }), 'route-control').missing).toEqual([{ slot: 'body', size: 'plate.tail' }])
    const unsaid = changed(bare, {}, { 'switch/contacts': undefined as never })
    delete unsaid.parts.switch!.traits.contacts
    expect(card(unsaid, 'route-control').untold).toEqual([{ slot: 'switch', trait: 'contacts' }])
  })
  it('under a guard the lever is not reckoned in, and is told of', () => {
    const guarded = without(bare, 'control-plate')
    expect(card(guarded, 'route-control').mind.join(' ')).toMatch(/The switch is not reckoned in: hold it to the wood/)
  })
})

describe('holes in a control plate', () => {
  const bare = none(onAPlate())
  it('are made in the plate by its own marks, off the instrument, with the caution for metal', () => {
    const pots = card(bare, 'pot-holes')
    expect([pots.title, pots.side, pots.work]).toEqual(['Pot holes in the control plate', 'control plate', 'new'])
    expect(pots.from).toEqual([
      'volume: 84 mm from the plate’s front end, on its middle line',
      'tone: 120 mm from the plate’s front end, on its middle line',
    ])
    expect(pots.cautions.join(' ')).toMatch(/clamped between scrap, never held by hand/)
    const slot = card(bare, 'switch-slot')
    expect([slot.title, slot.side]).toEqual(['Slot for the switch, in the control plate', 'control plate'])
    expect(slot.from).toEqual(['middle of the slot, switch: 46 mm from the plate’s front end, on its middle line'])
  })
  it('have their marks without anybody knowing where the plate will lie; then nothing is counted in the instrument’s own place', () => {
    const unlaid = changed(bare, { 'body/plate.x': undefined, 'body/plate.y': undefined, 'body/plate.tail': undefined })
    const pots = card(unlaid, 'pot-holes')
    expect([pots.missing, pots.places, pots.from.length]).toEqual([[], [], 2])
    expect(pots.stands).not.toBe('waiting')
  })
  it('a place beside its middle line is said by the player’s side', () =>
    expect(card(changed(bare, { 'control-plate/tone.y': -4 }), 'pot-holes').from[1]).toBe(
      'tone: 120 mm from the plate’s front end, 4 to the treble side',
    ))
})

describe('a control plate’s screws', () => {
  // Screws 5 from the ends, the route 13: 8, less half of 3.
  it('stand in the wood at either end of the route', () => {
    const b = changed(drillable(onAPlate()), {
      'control-plate/screw.thread': 3,
      'control-plate/screw.length': 15,
      'control-plate/screw.root': 2,
    })
    const c = card(b, 'plate-screws')
    expect([c.work, c.stands, c.side]).toEqual(['new', 'mind', 'front'])
    expect(c.guards.find((g) => g.id === 'route')?.says).toBe('6.5 mm of wood between the nearer hole and the route’s end.')
    const off = card(changed(b, { 'control-plate/screw.spread': 130 }), 'plate-screws')
    expect(off.stands).toBe('refused')
    expect(off.says).toMatch(/lies over the route.*no wood/)
  })
})

describe('paper for a control plate', () => {
  it('is there once its length and width are, with its pots’ holes', () => {
    const of = (b: Build) => templatesOf(b).find((t) => t.id === 'control-plate')!
    const b = none(onAPlate())
    const paper = of(b).template!
    expect([paper.bounds.width, paper.bounds.height].map(Math.round)).toEqual([180, 42])
    expect(paper.shapes.filter((s) => s.shape === 'text').map((s) => 'text' in s && s.text)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^volume/), expect.stringMatching(/^tone/)]),
    )
    expect(of(changed(b, { 'control-plate/width': undefined })).waits).toBe('the control plate’s length and width')
    expect(templatesOf(without(b, 'control-plate')).some((t) => t.id === 'control-plate')).toBe(false)
  })
  it('shows the route as it lies under a plate laid askew', () => {
    const askew = changed(onAPlate(), { 'body/plate.y': -70, 'body/plate.tail': -86 })
    const front = templatesOf(askew).find((t) => t.id === 'body-front')!.template!
    const routes = front.shapes.flatMap((s) => (s.shape === 'path' && s.points.length === 4 ? [s.points] : []))
    // Its long side leans out a tenth of its length: 134 mm long, 13.4 further out at the tail.
    const long = routes.find(([a, b]) => Math.abs(Math.hypot(b!.x - a!.x, b!.y - a!.y) - 134) < 1e-6)!
    expect(Math.abs(long[1]!.y - long[0]!.y)).toBeCloseTo(13.4, 6)
  })
})
