import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { controlPlace } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { jointIn } from '../../testing/bench'
import { changed } from '../../testing/fullBuild'
import { onAPlate } from '../../testing/onAPlate'
import { checkIn, judgeRows } from '../../testing/rows'

/** Plate 160 x 34 from 190 mm behind the mouth, its middle 78 to the treble side; the route under it 134 x 29 round 270. */
const plate = onAPlate()

describe('a control plate over its route', () => {
  judgeRows(
    [
      // 78 + 90 = 168 apart, 160 long: a sign was forgotten.
      {
        what: 'ends told further apart than the plate is long',
        joint: 'plate-cover',
        check: 'turn',
        verdict: 'wont-go',
        says: 'The plate’s ends are told to be 168 mm apart across the body, and it is 160 mm long.',
        job: 'Measure the plate’s length, and its middle at either end from the centre line.',
        sizes: { 'body/plate.y': 90, 'body/plate.tail': -78 },
      },
      {
        what: 'plate laid askew',
        joint: 'plate-cover',
        check: 'turn',
        verdict: 'snug',
        says: 'Its ends are 6 mm apart across the body.',
        sizes: { 'body/plate.y': -75, 'body/plate.tail': -81 },
      },
      {
        what: 'plate along the strings',
        joint: 'plate-cover',
        check: 'turn',
        verdict: 'snug',
        says: 'It lies along the strings.',
        sizes: {},
      },
      // Front: 270 - 67 - 202 = 1. Tail: 362 - 337 = 25. In the middle 13 each.
      {
        what: 'plate 12 mm too far back',
        joint: 'plate-cover',
        check: 'ends',
        verdict: 'tight',
        says: 'The plate covers the route by only 1 mm at its front end.',
        job: 'Lay the plate 12 mm further towards the neck.',
        sizes: { 'body/plate.x': 202 },
      },
      {
        what: 'plate 18 mm too far forward',
        joint: 'plate-cover',
        check: 'ends',
        verdict: 'wont-go',
        says: 'The route shows 5 mm beyond the plate at its tail end.',
        job: 'Lay the plate 18 mm further towards the tail.',
        sizes: { 'body/plate.x': 172 },
      },
      // 270 - 84 - 190 = -4, and as much at the other end; 1.5 wanted beyond it and 0.5 more.
      {
        what: 'route longer than the plate',
        joint: 'plate-cover',
        check: 'ends',
        verdict: 'wont-go',
        says: 'The route shows 4 mm beyond the plate at its tail end.',
        job: 'Glue a strip of the body’s wood, 6 mm wide, into the control route’s tail end and cut it flush.',
        sizes: { 'body/control.length': 168 },
      },
      // 17 - 3 - 14.5 = -0.5: laid too near the strings, the route shows on the treble side.
      {
        what: 'plate 3 mm too near the strings',
        joint: 'plate-cover',
        check: 'sides',
        verdict: 'wont-go',
        says: 'The route shows 0.5 mm beyond the plate at its treble side.',
        job: 'Lay the plate 3 mm further to the treble side.',
        sizes: { 'body/plate.y': -75, 'body/plate.tail': -75 },
      },
      // The wall stands 337 - 190 = 147 from the plate's front end, the body reaches 134 + 12.
      {
        what: 'pot against the route’s end',
        joint: 'plate-cover',
        check: 'in-route-tone',
        verdict: 'tight',
        says: 'The tone pot comes within 1 mm of the control route’s wall; its lugs and wires want 2.',
        sizes: { 'control-plate/tone.x': 134 },
      },
      // Across: 14.5 - 4 - 12 = -1.5.
      {
        what: 'pot over the route’s side',
        joint: 'plate-cover',
        check: 'in-route-volume',
        verdict: 'tight',
        says: /^The volume pot comes within 0 mm/,
        sizes: { 'control-plate/volume.y': 4 },
      },
      // Route from 13 along the plate; the lever's screws 41.2 apart and 5 beyond each: 38.4 - 25.6 - 13 = -0.2.
      {
        what: 'lever against the route’s end',
        joint: 'plate-cover',
        check: 'in-route-switch',
        verdict: 'wont-go',
        says: /^The switch’s frame meets the control route’s wall: it lacks 0\.\d mm\.$/,
        job: /^Ease the control route there by 1\.\d mm, before any coat goes on\.$/,
        sizes: { 'control-plate/switch.x': 38.3 },
      },
      // 20 - 25.6 - 13 = -18.6, and 1.5 more: no route is eased by 20 mm.
      {
        what: 'lever far beyond the route’s end',
        joint: 'plate-cover',
        check: 'in-route-switch',
        verdict: 'wont-go',
        says: /it lacks 18\.\d mm\.$/,
        job: 'Read the place of the switch’s frame and of the control route again; if both are right, take another control plate.',
        sizes: { 'control-plate/switch.x': 20 },
      },
      // A jack 21 wide 136.2 along the plate: the wall stands at 147.
      {
        what: 'jack near the route’s end',
        joint: 'plate-cover',
        check: 'in-route-jack',
        verdict: 'tight',
        says: 'The jack comes within 0.3 mm of the control route’s wall.',
        job: 'Ease the control route there by 1.2 mm, before any coat goes on.',
        sizes: { 'control-plate/jack.x': 136.2, 'control-plate/jack.y': 0, 'jack/width': 21 },
        traits: { 'jack/held': 'panel' },
      },
      // Screws 15 from the ends, the route's 13.
      {
        what: 'screws over the route',
        joint: 'plate-cover',
        check: 'screws',
        verdict: 'wont-go',
        says: 'One of the plate’s end screws hangs 2 mm inside the route.',
        sizes: { 'control-plate/screw.spread': 130 },
      },
      {
        what: 'screws in a sliver',
        joint: 'plate-cover',
        check: 'screws',
        verdict: 'tight',
        says: 'One of the plate’s end screws lands 2 mm from the route; the wood there splits out under 3 mm.',
        job: 'Glue a block into the route’s end so that 6 mm of wood stand beside that screw.',
        sizes: { 'control-plate/screw.spread': 138 },
      },
      // The plate's edge 50 - 17 = 33 from the middle, the bridge's plate reaches 42.
      {
        what: 'plate over the bridge',
        joint: 'plate-cover',
        check: 'beside-bridge',
        verdict: 'wont-go',
        says: 'The control plate lies 9 mm over the bridge.',
        sizes: { 'body/plate.y': -50, 'body/plate.tail': -50 },
      },
      // Edge at 71 - 17 = 54; the guard's line, 50 at its rows, swings out to 55.2 between the last two.
      {
        what: 'plate over the guard',
        joint: 'plate-cover',
        check: 'beside-guard',
        verdict: 'tight',
        says: 'The control plate lies 1.2 mm over the guard.',
        job: 'Trim the guard along the plate, scribed with both laid on.',
        sizes: { 'body/plate.y': -71, 'body/plate.tail': -71 },
      },
      // Its tail end stands 250 + 160 = 410 behind the mouth; the body's edge there 360, running askew.
      {
        what: 'plate over the body’s edge',
        joint: 'plate-cover',
        check: 'on-body',
        verdict: 'wont-go',
        says: 'The control plate hangs 48.8 mm over the body’s edge.',
        job: 'Lay the plate further in, where its route allows it.',
        sizes: { 'body/plate.x': 250 },
      },
      {
        what: 'flat plate on an arched front',
        joint: 'plate-cover',
        check: 'lies',
        verdict: 'tight',
        says: 'The control plate is flat and the front is arched: screwed down it springs and draws its screws.',
        traits: { 'body/top': 'arched' },
      },
    ],
    onAPlate,
  )
  it('fits as it was made, and the guard beside it carries no controls', () => {
    expect(jointIn(plate, 'plate-cover').verdict).toBe('snug')
    expect(jointIn(plate, 'guard-cover').checks.map((c) => c.id)).not.toContain('in-route-volume')
    expect(jointIn(plate, 'pot-volume').title).toBe('Volume pot in control plate')
  })
  it.each(['volume', 'tone'] as const)('a second %s is looked at like the first', (pot) => {
    const { parts } = plate
    const more: Build = { ...plate, parts: { ...parts, [`pot-${pot}-2`]: parts[`pot-${pot}`] } }
    const placed = changed(more, { [`control-plate/${pot}-2.x`]: 102, [`control-plate/${pot}-2.y`]: 0 })
    expect(checkIn(placed, 'plate-cover', `in-route-${pot}-2`).raw.verdict).toBe('snug')
    const beyond = changed(placed, { [`control-plate/${pot}-2.x`]: 134 })
    expect(checkIn(beyond, 'plate-cover', `in-route-${pot}-2`).says).toMatch(/comes within 1 mm/)
  })
  it('asks for the guard’s outline where nobody has drawn it', () => {
    const { outline: _, ...guard } = plate.parts.guard!
    const undrawn = { ...plate, parts: { ...plate.parts, guard } }
    expect(checkIn(undrawn, 'plate-cover', 'beside-guard')).toMatchObject({ raw: { verdict: 'cant-tell' } })
    expect(checkIn(undrawn, 'plate-cover', 'beside-guard').says).toContain('the guard’s outline')
  })
})

describe('a plate that lies askew, its tail end 16 mm further out', () => {
  // Sine 16/160 = 0.1, cosine 0.995: 84 mm along it are 83.6 back and 8.4 out.
  const askew = changed(plate, { 'body/plate.y': -70, 'body/plate.tail': -86 })
  it('carries its controls with it', () => {
    const at = controlPlace(askew, 'volume')
    expect(at.x - datums(askew).mouth).toBeCloseTo(190 + 84 * Math.sqrt(0.99), 6)
    expect(at.y).toBeCloseTo(-78.4, 6)
    // Across the plate: 5 mm towards the bass side are 0.5 back, since the plate leans out, and 4.97 in.
    const beside = controlPlace(changed(askew, { 'control-plate/volume.y': 5 }), 'volume')
    expect([beside.x - at.x, beside.y - at.y]).toEqual([expect.closeTo(0.5, 6), expect.closeTo(5 * Math.sqrt(0.99), 6)])
  })
  it('has the volume so far from the outer string as it stands there', () => {
    // 78.4 - 52.5 / 2.
    expect(checkIn(askew, 'control-reach', 'string').says).toBe('Volume and outer string are 52 mm apart.')
    expect(checkIn(changed(plate, { 'body/plate.y': -46, 'body/plate.tail': -30 }), 'control-reach', 'string').says).toMatch(
      /are 11 mm apart/,
    )
  })
  it('covers a route that lies along it as one that lies straight', () => {
    // The route's middle 80 along the plate: 79.6 back, 8 out.
    const along = changed(askew, { 'body/control.x': 190 + 80 * Math.sqrt(0.99), 'body/control.y': -78 })
    expect(checkIn(along, 'plate-cover', 'ends').says).toBe('The plate covers the route’s ends by 13 mm or more.')
    expect(checkIn(along, 'plate-cover', 'sides').says).toBe('The plate covers the route’s sides by 2.5 mm or more.')
  })
})

describe('leads to a control plate', () => {
  it('reach while it is turned over on its outer edge', () => {
    // Volume 274 back and 78 out; over the edge at 95 it lies 112 out. To a jack 338 back and 60 out: 64 and 52, and 40 of slack.
    const short = changed(plate, { 'body/jack.y': -60, 'wire/lead.jack': 100 })
    expect(checkIn(short, 'leads', 'jack').says).toBe(
      'Controls to jack: 100 mm, and with the control plate turned over beside its route it takes 122.',
    )
  })
})
