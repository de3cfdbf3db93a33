import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { boxAround } from '../geometry/box'
import { tipCone } from '../physics/pilot'
import { aPart } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { drawHole, holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())
/** The same with no stud bores in the body. */
const blank = () => changed(full(), { 'body/studBore': undefined, 'body/studBoreDepth': undefined }, { 'body/bored.studs': 'none' })

describe('what is there is measured, what is planned is drilled', () => {
  // Bushing 10.0 in a bore of 9.9: 0.1 larger, taps in.
  it('studs already bored: nothing is drilled', () => {
    const c = card(full(), 'stud-bores')
    expect([c.work, c.stands]).toEqual(['keep', 'ready'])
    expect(c.says).toMatch(/0\.1 mm larger: nothing is drilled/)
    expect(c.steps.join(' ')).not.toMatch(/drill/)
  })
  // 10.3 - 10.0 = 0.3 mm too large for a press of at most 0.17: opened to 10.15 ... 10.25, for which no half-millimetre bit will do.
  it('a bushing 0.3 mm over its bore is not ready: the bore is opened to 0.1 under the bushing', () => {
    const c = card(changed(full(), { 'body/studBore': 10, 'bridge/studDiameter': 10.3 }), 'stud-bores')
    expect([c.work, c.stands, c.bit]).toEqual(['ream', 'mind', 10.2])
    expect(c.says).toMatch(/10 mm, and the bushings 10\.3: driven in, they split the wood/)
  })
  it('a bore wider than its bushing is not drilled either: it is wrapped', () => {
    const c = card(changed(full(), { 'body/studBore': 10.2 }), 'stud-bores')
    expect([c.work, c.stands]).toEqual(['keep', 'mind'])
    expect(c.says).toMatch(/0\.2 mm wider than the bushings.*wrap/)
    expect(c.steps[0]).toMatch(/^wrap each bushing, as Dry fit says, until it starts by hand/)
    expect(card(full(), 'stud-bores').steps[0]).toMatch(/^try a bushing in each by hand/)
  })
  // Body 74, bridge 78: the bores cannot be used.
  it('a bore nobody measured deep is drawn blind, says so, and its depth is asked for before a bushing is driven', () => {
    const deep = (mm: number | undefined) => card(changed(full(), { 'body/studBoreDepth': mm, 'bridge/studLength': 25 }), 'stud-bores')
    const guard = (mm: number | undefined) => deep(mm).guards.find((g) => g.id === 'deep')
    expect(guard(26)).toMatchObject({ verdict: 'snug', says: 'The bores are 1 mm deeper than the bushings.' })
    expect(guard(24)).toMatchObject({
      verdict: 'tight',
      says: expect.stringMatching(/^The bores are 1 mm too shallow: the bushings would stand proud\./),
    })
    expect(guard(undefined)).toMatchObject({ verdict: 'cant-tell', missing: [{ slot: 'body', size: 'studBoreDepth' }] })
    const drawn = (mm: number | undefined) => {
      const { marks, numbers } = drawHole(changed(full(), { 'body/studBoreDepth': mm, 'bridge/studLength': 25 }), 'stud-bores')!
      const hole = marks.find((m) => m.mark === 'area' && m.role === 'cavity')
      return [hole?.mark === 'area' && boxAround(hole.points).height, numbers.find((n) => n.label === 'Depth')?.value]
    }
    expect(drawn(30)).toEqual([30, '30 mm'])
    expect(drawn(undefined)).toEqual([25, 'not measured'])
  })
  it('bores of another pattern are plugged and made anew, at the bridge’s own spacing', () => {
    const c = card(changed(full(), { 'bridge/studSpacing': 78 }), 'stud-bores')
    expect(c.work).toBe('plug')
    expect(c.places.map((p) => p.y).toSorted((a, b) => a - b)).toEqual([-39, 39])
    expect(c.says).toMatch(/74 mm apart and it wants 78/)
  })
  // A tailpiece of 82 mm over bores 84 apart; what is there stands where the body has it, not where the tailpiece would.
  it('a tailpiece’s bores are compared with its own studs, and lie where they are', () => {
    const tail = (spacing: number | undefined) => {
      const b = changed(
        full(),
        { 'body/tail.toBridge': 45, 'body/tail.bore': 11.4, ...(spacing ? { 'body/tail.spacing': spacing } : {}) },
        { 'bridge/mount': 'post' },
      )
      const tailpiece = aPart('tailpiece', { studSpacing: 82, studDiameter: 11.5, studLength: 22, height: 12 }, { type: 'stop' })
      return card({ ...b, parts: { ...b.parts, tailpiece } }, 'tail-bores')
    }
    expect([tail(84).work, tail(84).says]).toEqual(['plug', expect.stringMatching(/84 mm apart and it wants 82/)])
    expect([tail(82.2).work, ...tail(82.2).places.map((p) => Math.abs(p.y))]).toEqual(['keep', 41.1, 41.1])
    expect([tail(undefined).stands, tail(undefined).missing]).toEqual(['waiting', [{ slot: 'body', size: 'tail.spacing' }]])
  })
  it('nobody has said whether it is there: the card asks, and drills nothing', () => {
    const b = changed(full(), { 'body/studBore': undefined })
    delete b.parts.body!.traits['bored.studs']
    const c = card(b, 'stud-bores')
    expect([c.work, c.stands]).toEqual([undefined, 'waiting'])
    expect(c.untold).toEqual([{ slot: 'body', trait: 'bored.studs' }])
  })
  // 10.0 - 0.15 ... 0.05 = 9.85 ... 9.95: none of 1, 1.5 ... 13.
  it('a bore for a 10 mm bushing wants 9.9 and no half-millimetre bit is that: get it; with one it is ready', () => {
    const c = card(blank(), 'stud-bores')
    expect([c.work, c.stands, c.bit]).toEqual(['new', 'mind', 9.9])
    expect(c.says).toMatch(/get 9\.9 mm before you drill/)
    const owned = card(blank(), 'stud-bores', { ...USUAL_BENCH, bits: [...USUAL_BENCH.bits, 9.9] })
    expect([owned.stands, owned.depth! + tipCone(9.9)]).toEqual(['ready', owned.flag])
  })
  // The heel's screws go through the pocket's floor: how thick that will be is not there to measure.
  it('a card that hangs on another hole says that it is made first, and asks for nothing; its guards say the same', () => {
    const bare = changed(
      full(),
      { 'body/pocket.depth': undefined, 'body/pocket.length': undefined },
      { 'body/routed.pocket': 'none', 'body/bored.neck': 'none' },
    )
    expect(card(bare, 'neck-clearance').says).toBe('Not made yet: pocket depth (body); the cards under Drill say how.')
    const studs = card(changed(bare, { 'body/studBore': undefined }, { 'body/bored.studs': 'none' }), 'stud-bores')
    expect(studs.guards.find((g) => g.id === 'window')!.says).toMatch(/^Not checked\. Not made yet: pocket length/)
    const routed = { ...bare, steps: { 'drill-route-pocket': { done: '2026-11-28T19:00:00Z' } } }
    expect(card(routed, 'neck-clearance').says).toBe('Not known yet: pocket depth (body).')
  })
  it('a guess is no size: an assumed bushing is asked for', () => {
    const b = blank()
    const assumed = { ...b.parts.bridge!.sizes, studDiameter: { value: 10, doubt: 1, known: 'assumed' as const } }
    const c = card({ ...b, parts: { ...b.parts, bridge: { ...b.parts.bridge!, sizes: assumed } } }, 'stud-bores')
    expect([c.stands, c.missing]).toEqual(['waiting', [{ slot: 'bridge', size: 'studDiameter' }]])
  })
  it('pilots that are there are tried by hand, and no flag is given', () => {
    const c = card(changed(full(), {}, { 'neck/pilots': 'drilled' }), 'neck-screws')
    expect([c.work, c.flag, c.bit]).toEqual(['keep', undefined, undefined])
    expect(c.steps[0]).toMatch(/^the neck clamped home in its pocket, on its axis, looked at through the body’s holes: each hole lies/)
  })
  it('holes that are there are laid under what comes over them, each said in its own way', () => {
    const told: Record<string, readonly [string, RegExp]> = {
      'guard-screws': ['body/bored.guard', /^the guard laid on/],
      'claw-screws': ['body/bored.claw', /^the claw held level/],
      'tuner-screws': ['neck/bored.tunerScrews', /looked at through its ears: each/],
    }
    for (const [id, [trait, over]] of Object.entries(told)) {
      const c = card(changed(full(), {}, { [trait]: 'drilled' }), id)
      expect([c.work, c.steps[0]]).toEqual(['keep', expect.stringMatching(over)])
      expect(c.steps[1]).toMatch(/dowel.*drilled anew/)
    }
    expect(card(changed(full(), {}, { 'body/bored.neck': 'drilled' }), 'neck-clearance').says).toMatch(/plate or the bushings laid on/)
    // One screw by itself lies under nothing.
    expect(card(changed(full(), {}, { 'body/bored.buttons': 'drilled' }), 'strap-buttons').steps).toEqual([])
  })
  it('a hole ticked off is done', () =>
    expect(card({ ...full(), steps: { 'drill-guard-screws': { done: '2026-11-20T19:00:00Z' } } }, 'guard-screws').stands).toBe('done'))
})
