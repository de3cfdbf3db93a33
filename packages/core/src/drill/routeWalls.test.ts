import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { sizeAt, sizeRef } from '../document/read'
import { aThrough } from '../testing/aThrough'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holeCards } from './holes'

/** Its pocket and its bores are there, none of its routes is. */
const unrouted = (build: Build): Build =>
  changed(
    drillable(build),
    Object.fromEntries(
      ['neck', 'middle', 'bridge'].flatMap((p) =>
        ['length', 'width', 'depth', 'radius', 'side'].map((s) => [`body/route.${p}.${s}`, undefined]),
      ),
    ),
    { 'body/routed': 'none' },
  )
const card = (build: Build, place: string, centre: number) =>
  holeCards(changed(unrouted(build), { [`body/route.${place}.centre`]: centre })).find((c) => c.id === `route-${place}`)!
const walls = (build: Build, place: string, centre: number) =>
  card(build, place, centre).guards.flatMap((g) => (g.id === 'face' ? [] : [[g.id, g.verdict, g.spare?.value.toFixed(1)]]))

// A cover of 36 mm and 1 round it: a route of 38, so 19 either side of its middle. The pocket is 76 long, the studs stand at 255.
describe('the walls of a pickup’s route that is still to be cut', () => {
  it('to the pocket: 107 − 19 − 76 leaves 12, which is no news; 96 leaves 1, 90 breaks in by 5', () => {
    expect(walls(fullBuild(), 'neck', 107)).toEqual([])
    expect(walls(fullBuild(), 'neck', 96)).toEqual([['pocket', 'tight', '1.0']])
    expect(walls(fullBuild(), 'neck', 90)).toEqual([['pocket', 'wont-go', '-5.0']])
    const refused = card(fullBuild(), 'neck', 90)
    expect(refused.stands).toBe('refused')
    expect(refused.says).toBe(
      'It would break into the neck’s pocket by 5 mm. Move its middle towards the bridge, or take a shorter pickup.',
    )
  })
  it('of neck and body in one piece to the end of the board: 31 − 19 leaves 12, 10 is 9 under it', () => {
    expect(walls(aThrough(), 'neck', 31)).toEqual([])
    expect(walls(aThrough(), 'neck', 10)).toEqual([['board', 'wont-go', '-9.0']])
    expect(card(aThrough(), 'neck', 10).says).toMatch(/^It would reach under the board’s end by 9 mm\./)
  })
  it('to the studs: 37 beside the centre line and the route 35.7, so the bore of 9.9 is met along it from 231 on', () => {
    expect(walls(fullBuild(), 'bridge', 219)).toEqual([])
    // 255 − (231 + 19) = 5 along, (74 − 71.4) / 2 = 1.3 across: 5.17 apart, less 4.95.
    expect(walls(fullBuild(), 'bridge', 231)).toEqual([['near-stud-bores', 'tight', '0.2']])
    expect(walls(fullBuild(), 'bridge', 240)).toEqual([['near-stud-bores', 'wont-go', expect.stringMatching(/^-/)]])
  })
  it('to another route: under a guard two may be one, and it is said', () => {
    // The middle cover is 18, its route 20: 164 − 139 less 10 and 19 is four millimetres into it.
    expect(walls(fullBuild(), 'neck', 139)).toEqual([['wall-route-middle', 'tight', '-4.0']])
    expect(card(fullBuild(), 'neck', 139).stands).toBe('mind')
  })
  it('a pocket nobody has read is asked for', () => {
    const unread = holeCards(changed(unrouted(fullBuild()), { 'body/pocket.length': undefined })).find((c) => c.id === 'route-neck')!
    expect(unread.guards.find((g) => g.id === 'pocket')!.missing).toEqual([{ slot: 'body', size: 'pocket.length' }])
  })
})

describe('a route that is still to be cut, beside holes and other routes', () => {
  const found = (build: Build, id: string) =>
    holeCards(build)
      .find((c) => c.id === id)!
      .guards.filter((g) => g.verdict !== 'snug' && g.id !== 'chamber')
      .map((g) => [g.id, g.verdict, g.spare?.value.toFixed(2)])
  // Six screws of 3.5 over 58 mm on the line of 255; their pilots take up the thread, 1.75 either side.
  const onScrews = (centre: number, more: Record<string, number | undefined> = {}) =>
    changed(unrouted(fullBuild()), { 'body/route.bridge.centre': centre, ...more }, { 'bridge/mount': 'screws' })
  it('a bridge’s screws: 255 − 19 − 234 less 1.75 leaves 0.25; at 240 it is 4 past them; both cards say it', () => {
    expect(found(onScrews(225), 'route-bridge')).toEqual([])
    expect(found(onScrews(234), 'route-bridge')).toEqual([
      ['near-bridge-screws', 'tight', '0.25'],
      // Half a bit of 3 from the same line, and where its mouth comes is known to 2.
      ['near-ground-wire', 'cant-tell', '0.50'],
    ])
    expect(found(onScrews(234), 'bridge-screws')).toContainEqual(['hollow-route-bridge', 'tight', '0.25'])
    expect(found(onScrews(240), 'route-bridge')).toContainEqual(['near-bridge-screws', 'wont-go', '-5.75'])
    expect(found(onScrews(240), 'bridge-screws')).toContainEqual(['hollow-route-bridge', 'wont-go', '-5.75'])
    const { says } = holeCards(onScrews(240)).find((c) => c.id === 'route-bridge')!
    expect(says).toMatch(
      /^It would break into the bridge screws by 5\.8 mm\. Measure both places again; if it is so, one of them has to move\./,
    )
  })
  it('a bridge whose stand nobody has told, and one whose place nobody has read: nothing is clear of it', () => {
    const untold = changed(unrouted(fullBuild()), { 'body/route.bridge.centre': 219 }, { 'bridge/mount': undefined })
    expect(found(untold, 'route-bridge')).toContainEqual(['near-bridge', 'cant-tell', undefined])
    expect(found(onScrews(225, { 'bridge/screws': undefined }), 'route-bridge')).toEqual([['near-bridge-screws', 'cant-tell', undefined]])
  })
  /** As far along the guard as the bridge's pickup. */
  const beside = (of: 'volume' | 'tone') => sizeAt(fullBuild(), sizeRef('guard', `${of}.x`))!.value - 30
  // The controls' line 90 to the treble side and their pots 24 with 5 round them: from 73 on; a route 150 wide ends at 75.
  it('both of two routes: the wide pickup’s and the controls’ overlap by two, and each says so', () => {
    const both = changed(
      unrouted(fullBuild()),
      {
        'pickup-bridge/width': 148,
        ...Object.fromEntries(
          (['volume', 'tone'] as const).flatMap((of) => [
            [`guard/${of}.x`, beside(of)],
            [`guard/${of}.y`, -90],
          ]),
        ),
        ...Object.fromEntries(['length', 'width', 'x', 'y', 'depth'].map((s) => [`body/control.${s}`, undefined])),
      },
      { 'body/routed.control': 'none' },
    )
    expect(found(both, 'route-bridge')).toContainEqual(['wall-control', 'tight', '-2.00'])
    expect(found(both, 'route-control')).toContainEqual(['wall-route-bridge', 'tight', '-2.00'])
  })
})

describe('the floor of a pickup’s route that is still to be cut', () => {
  const floor = (build: Build, centre = 164) => card(build, 'middle', centre).guards.filter((g) => g.id === 'face' || g.id === 'under')
  // A body of 44.2, a pickup of 17 and 3 under it; the springs' room is 18 deep, 68 wide, from 118 to 285.
  const room = { 'body/vibrato.width': 68 }
  it('over the springs’ room is what both leave: 44.2 − 20 − 18 = 6.2, and not 24.2', () => {
    expect(floor(changed(fullBuild(), room)).map((g) => g.says)).toEqual(['6.2 mm of floor stays over the vibrato’s cavity.'])
    expect(card(changed(fullBuild(), room), 'middle', 164).left).toBeCloseTo(6.2, 9)
  })
  it('without a vibrato is the body’s own', () => {
    const none = {
      'body/claw.x': undefined,
      'body/vibrato.length': undefined,
      'body/vibrato.width': undefined,
      'body/spring.depth': undefined,
    }
    const fixed = changed(unrouted(fullBuild()), none, { 'bridge/mount': 'screws' })
    const { guards } = holeCards(fixed).find((c) => c.id === 'route-middle')!
    expect(guards.map((g) => g.says)).toEqual(['24.2 mm of floor stays.'])
  })
  it('beside the room is the body’s own too: one of 20 mm at 95 ends 13 before the claw', () => {
    expect(floor(changed(fullBuild(), room), 95).map((g) => g.says)).toEqual(['24.2 mm of floor stays.'])
  })
  it('over a room nobody has measured is told by no card as if it were whole', () => {
    const open = floor(changed(fullBuild(), { ...room, 'body/spring.depth': undefined }))
    expect(open.map((g) => [g.id, g.verdict])).toEqual([
      ['face', 'snug'],
      ['under', 'cant-tell'],
    ])
    expect(open[1]!.missing).toEqual([{ slot: 'body', size: 'spring.depth' }])
  })
  it('through a deeper room is refused: 30 of 44.2 leave 14.2 for a route of 20', () => {
    const deep = card(changed(fullBuild(), { ...room, 'body/spring.depth': 30 }), 'middle', 164)
    expect([deep.stands, deep.says]).toEqual(['refused', expect.stringMatching(/^It would break 5\.8 mm into the vibrato’s cavity\./)])
  })
})

describe('the walls of a control route that is still to be cut', () => {
  /** Two pots of 24 mm in a route with 5 round them: 34 across, so 17 either side of their line. */
  const control = (across: number, more: Record<string, number | undefined> = {}) => {
    const bare = changed(
      drillable(fullBuild()),
      {
        ...Object.fromEntries(['length', 'width', 'x', 'y', 'depth'].map((s) => [`body/control.${s}`, undefined])),
        'body/vibrato.width': 68,
      },
      { 'body/routed.control': 'none' },
    )
    const at = { 'guard/volume.y': across, 'guard/tone.y': across, 'guard/switch.y': across }
    return holeCards(changed(bare, { ...at, ...more })).find((c) => c.id === 'route-control')!
  }
  const walls = (card: ReturnType<typeof control>) => card.guards.filter((g) => g.id.startsWith('wall-')).map((g) => [g.id, g.verdict])
  it('well beside everything nothing is said', () => {
    expect(walls(control(-90))).toEqual([])
  })
  it('into the bridge pickup’s route it is to be minded: wires lead that way', () => {
    expect(walls(control(-50, { 'body/route.bridge.length': 110 })).find(([id]) => id === 'wall-route-bridge')).toEqual([
      'wall-route-bridge',
      'tight',
    ])
  })
  it('from the front into the springs’ room only where both are deep enough to meet', () => {
    // 44.2 thick, the pots 16 and 4 over them: 20 and a room of 18 leave 6.2; one of 25 is met.
    expect(walls(control(-45)).map(([id]) => id)).not.toContain('wall-springs')
    const met = control(-45, { 'body/spring.depth': 25 })
    expect(walls(met)).toContainEqual(['wall-springs', 'wont-go'])
    expect([met.stands, met.says.split('.')[0]]).toEqual(['refused', 'It would open into the vibrato’s cavity, cut from the other face'])
  })
})
