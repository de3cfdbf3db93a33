import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { knownBuild } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { aBass } from '../testing/aBass'
import { onAPlate } from '../testing/onAPlate'
import { aLefty } from '../testing/otherMakes'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'
import { templatesOf } from './templates/templates'

const paper = (b: Build, id: string) => templatesOf(b).find((t) => t.id === id)!
const ROUTES = ['route-neck', 'route-middle', 'route-bridge', 'route-control'] as const

describe('paper by which a route is cut', () => {
  it('is there for no route that its card refuses', () => {
    let refused = 0
    const law = fc.property(knownBuild, (build) => {
      const b = undrilled(build)
      const cards = holeCards(b)
      for (const t of templatesOf(b).filter(({ id }) => ROUTES.some((r) => r === id))) {
        const card = cards.find((c) => c.id === t.id)
        if (card?.stands !== 'refused') continue
        refused++
        expect(t.template, `${t.id}: ${card.says}`).toBeUndefined()
        expect(t.held?.says).toBe(card.says)
      }
    })
    holds(law, 300)
    expect(refused).toBeGreaterThan(0)
  })

  // Through a body of 20.
  const bare = undrilled(drillable(fullBuild()))
  it('says what its card says', () => {
    expect(paper(bare, 'route-neck').template).toBeDefined()
    const through = changed(bare, { 'body/thickness': 20 })
    const says = holeCards(through).find((c) => c.id === 'route-neck')!.says
    expect(holeCards(through).find((c) => c.id === 'route-neck')!.stands).toBe('refused')
    expect(paper(through, 'route-neck')).toMatchObject({
      template: undefined,
      waits: 'its card under Holes',
      held: { card: 'route-neck', says },
    })
  })
  it('nor while nobody has said from which face it is cut', () => {
    const open = changed(bare, {}, { 'body/access': undefined })
    expect(paper(open, 'route-control').template).toBeUndefined()
    expect(paper(open, 'route-control').held!.says).toBe(holeCards(open).find((c) => c.id === 'route-control')!.says)
    expect(paper(changed(open, {}, { 'body/access': 'front' }), 'route-control').template!.seen).toBe('front')
    const places = {
      'body/volume.x': 250,
      'body/volume.y': -80,
      'body/tone.x': 290,
      'body/tone.y': -90,
      'body/switch.x': 210,
      'body/switch.y': -70,
    }
    expect(paper(changed(open, places, { 'body/access': 'back' }), 'route-control').template!.seen).toBe('back')
  })
})

describe('the paper of a route that is still to be cut', () => {
  it('shows what its card says, a control route on its plate along that', () => {
    let [seen, along] = [0, 0]
    for (const make of [fullBuild(), onAPlate(), aLefty(), aBass()]) {
      for (const turn of [0, 20]) {
        const tail = make.parts.body!.sizes['plate.tail']?.value
        const b = changed(undrilled(drillable(make)), tail === undefined ? {} : { 'body/plate.tail': tail + turn })
        for (const c of holeCards(b).filter(({ id, work }) => ROUTES.some((r) => r === id) && work === 'new')) {
          if (c.stands === 'refused' || c.stands === 'waiting') continue
          const [long, wide] = /^([\d.]+) x ([\d.]+) mm/.exec(c.says)!.slice(1).map(Number)
          const cut = paper(b, c.id).template!.shapes[1]!
          const points = cut.shape === 'path' ? cut.points : []
          const over = (at: (p: { x: number; y: number }) => number) => Math.max(...points.map(at)) - Math.min(...points.map(at))
          expect(
            over((p) => p.x),
            c.id,
          ).toBeCloseTo(long!, 1)
          expect(
            over((p) => p.y),
            c.id,
          ).toBeCloseTo(wide!, 1)
          seen++
          if (turn && c.id === 'route-control' && make.parts['control-plate']) along++
        }
      }
    }
    expect(seen).toBeGreaterThan(10)
    expect(along).toBeGreaterThan(0)
  })
})
