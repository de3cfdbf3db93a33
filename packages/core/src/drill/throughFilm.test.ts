import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../document/build'
import { isThrough } from '../document/read'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'

const CAME = ['raw', 'sealed', 'coated', undefined] as const
const NONE = newBuild({ name: '', handedness: 'right', strings: 6, scale: 648 }, '2026-12-01').finish
/** With no finish chosen, the wood as it came. */
const came = (build: Build, body: (typeof CAME)[number], neck: (typeof CAME)[number]): Build => ({
  ...changed(build, {}, { 'body/surface': body, 'neck/surface': neck }),
  finish: NONE,
})
const cardsOf = (build: Build) => holeCards(build).filter((c) => c.steps.length)
const FILM = /what it came with|where it came with a film|\bthe film\b/
const FACES: Readonly<Record<string, 'body' | 'neck'>> = {
  front: 'body',
  back: 'body',
  rim: 'body',
  'head front': 'neck',
  'head back': 'neck',
}

describe('a hole through a film', () => {
  it('says before anything else how it goes through what its face came with; of raw wood nothing, of what nobody said only where', () => {
    let seen = 0
    const law = fc.property(
      fc.nat(everyMake().length - 1),
      fc.nat(),
      fc.constantFrom(...CAME),
      fc.constantFrom(...CAME),
      (m, mask, body, neck) => {
        const build = came(undrilled(drillable(everyMake()[m]!), mask), body, neck)
        for (const card of cardsOf(build)) {
          const part = FACES[card.side]
          const surface = part === 'neck' && !isThrough(build) ? neck : body
          const [first] = card.steps
          const words = `${card.id}, ${card.work}, ${surface}: ${first}`
          // What is begun inside a hollow or under a plate has none at its mouth.
          const none = !part || card.work === 'keep' || /^(claw-screws|ground-wire|jack-passage|pickup-)/.test(card.id)
          if (none || surface === 'raw') expect(FILM.test(first!), words).toBe(false)
          else if (surface === undefined) expect(first, words).toMatch(/^where it came with a film: tape/)
          else expect(first, words).toMatch(/^tape .*what it came with/)
          if (!none) seen++
          expect(card.steps.slice(1).join(' '), card.id).not.toMatch(/through film|backwards/)
        }
      },
    )
    holds(law, 300)
    expect(seen).toBeGreaterThan(100)
  })
  const cut = came(drillable(fullBuild()), 'coated', 'raw')
  const first = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!.steps[0]
  it('drilled: the bit backwards; cut with a router: a knife on the line; reamed: chamfered by hand to the new width', () => {
    expect(first(cut, 'neck-clearance')).toBe(
      'tape over the place, the mark on it; the bit backwards until it is through what it came with, only then forwards',
    )
    const routed = changed(cut, {
      'body/route.neck.length': undefined,
      'body/route.neck.width': undefined,
      'body/route.neck.depth': undefined,
    })
    expect(first(routed, 'route-neck')).toBe(
      'tape along the line, and what it came with cut through on it with a knife before any cutter comes near',
    )
    const small = changed(cut, { 'body/jack.bore': 8 })
    expect(holeCards(small).find((c) => c.id === 'jack-bore')!.work).toBe('ream')
    expect(first(small, 'jack-bore')).toMatch(/^tape round the hole; chamfer through what it came with by hand to the new width first/)
  })
  it('a raw face that has had its coats is drilled through them; a string tree always is, where coats are planned', () => {
    const raw = came(fullBuild(), 'raw', 'raw')
    const lacquer: Build = { ...raw, finish: { ...raw.finish, system: 'lacquer' } }
    const laid: Build = {
      ...lacquer,
      finish: {
        ...lacquer.finish,
        laid: { 'sealer-1': { product: 'sanding-sealer', at: '2026-12-01T19:00:00Z', air: 20, surface: 20, humidity: 50 } },
      },
    }
    expect(first(drillable(raw), 'neck-clearance')).not.toMatch(FILM)
    expect(first(drillable(lacquer), 'neck-clearance')).not.toMatch(FILM)
    expect(first(drillable(laid), 'neck-clearance')).toMatch(/backwards until it is through the film/)
    expect(first(drillable(lacquer), 'string-tree')).toMatch(/backwards until it is through the film/)
    expect(first(drillable(raw), 'string-tree')).not.toMatch(FILM)
  })
})
