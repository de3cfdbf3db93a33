import { describe, expect, it } from 'vitest'
import { FINISH_ZONES, type Build, type FinishZone, type ZoneLayer } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { zoneLook } from './looks'

const made = (layers: ZoneLayer[], traits: Record<string, string> = {}): Build => {
  const build = changed(fullBuild(), {}, { 'body/wood': 'alder', 'neck/wood': 'hard-maple', 'body/surface': 'raw', ...traits })
  return { ...build, steps: {}, finish: { ...build.finish, system: 'lacquer', zones: {}, layers } }
}
const look = (layers: ZoneLayer[], zone: FinishZone = 'front', traits = {}) => zoneLook(made(layers, traits), zone)
const channels = (hex: string) => [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16))
const sum = (hex: string) => channels(hex).reduce((a, b) => a + b, 0)
const WAX: ZoneLayer[] = [{ product: 'wax', coats: 1 }]
const dye = (more: Partial<ZoneLayer> = {}): ZoneLayer => ({ product: 'water-dye', coats: 1, colour: '#a03010', ...more })
const paint = (coats: number, more: Partial<ZoneLayer> = {}): ZoneLayer => ({
  product: 'acrylic-colour',
  coats,
  colour: '#204080',
  ...more,
})

describe('how a zone will look', () => {
  it('begins with its wood: the body’s, or the neck’s behind the head and the back of the neck; a colour told of the part wins', () => {
    for (const zone of FINISH_ZONES)
      expect(look(WAX, zone).wood, zone).toBe(zone === 'neck-back' || zone === 'head-face' ? '#ead9b5' : '#d3a878')
    const stained = made(WAX)
    stained.parts.body = { ...stained.parts.body!, colour: '#112233' }
    expect(zoneLook(stained, 'front').wood).toBe('#112233')
    // Of a wood nobody named it is some wood.
    const unnamed = made(WAX)
    delete unnamed.parts.body!.traits.wood
    expect(zoneLook(unnamed, 'front').wood).toMatch(/^#[0-9a-f]{6}$/)
  })
  it('each coat of paint hides more of what is under it and none goes beyond its colour; ten hide all', () => {
    const wood = channels(look(WAX).wood)
    const aim = channels('#204080')
    let before = wood
    for (let n = 1; n <= 10; n++) {
      const now = channels(look([paint(n)]).at(0))
      now.forEach((x, i) => {
        expect(Math.abs(x - aim[i]!), `${n} coats`).toBeLessThanOrEqual(Math.abs(before[i]! - aim[i]!))
        expect(Math.sign(aim[i]! - wood[i]!) * (aim[i]! - x), `${n} coats`).toBeGreaterThanOrEqual(0)
      })
      before = now
    }
    expect(before).toEqual(aim)
    // One hides three quarters: alder's d3 is 211, 211 - 0.75 (211 - 32) = 77.
    expect(channels(look([paint(1)]).at(0))[0]).toBe(77)
  })
  it('a dye only darkens, more by each coat and by its strength', () => {
    const coats = [0, 1, 2, 3].map((n) => sum(look(n ? [dye({ coats: n })] : WAX).at(0)))
    for (let n = 1; n < coats.length; n++) expect(coats[n]!).toBeLessThan(coats[n - 1]!)
    const strengths = [25, 50, 100].map((strength) => sum(look([dye({ strength })]).at(0)))
    expect(strengths).toEqual(strengths.toSorted((a, b) => b - a))
    expect(strengths[2]).toBe(coats[1])
  })
  it('a burst lies whole at the edge, fades inwards and ends where it is told to', () => {
    const burst = look([dye({ burst: 60 })])
    const [plain, all] = [look(WAX).at(0), look([dye()]).at(0)]
    expect(burst.at(0)).toBe(all)
    expect([burst.at(60), burst.at(200)]).toEqual([plain, plain])
    const steps = [0, 15, 30, 45, 60].map((d) => sum(burst.at(d)))
    for (let n = 1; n < steps.length; n++) expect(steps[n]!).toBeGreaterThan(steps[n - 1]!)
    expect(burst.fade).toBe(60)
    expect(look([dye({ burst: 60 }), dye({ burst: 90 }), dye()]).fade).toBe(90)
    expect(look([dye()]).fade).toBe(0)
    // The same of paint.
    expect(look([paint(3, { burst: 40 })]).at(40)).toBe(plain)
  })
  it('the rim and the binding are edge all over', () => {
    for (const zone of ['rim', 'binding'] as const) {
      const burst = look([dye({ burst: 60 })], zone)
      expect([burst.at(500), burst.fade], zone).toEqual([burst.at(0), 0])
      expect(burst.at(0), zone).toBe(look([dye()], zone).at(0))
    }
  })
  it('lacquer and oil warm what is under them, blue first; waterborne does not', () => {
    for (const product of ['lacquer-clear', 'oil-varnish'] as const) {
      const [r, g, b] = channels(look([{ product, coats: 4 }]).at(0)).map((x, i) => x / channels(look(WAX).wood)[i]!) as [
        number,
        number,
        number,
      ]
      expect(r > g && g > b && b < 1, product).toBe(true)
    }
    expect(look([{ product: 'waterborne-clear', coats: 4 }]).at(0)).toBe(look(WAX).wood)
  })
  it('colours nobody has chosen yet are listed', () => {
    const { colour: _, ...nameless } = dye()
    expect(look([nameless, paint(2)]).unnamed).toHaveLength(1)
    expect(look([nameless, paint(2)]).unnamed[0]).toMatch(/dye/i)
    expect(look([dye(), paint(2)]).unnamed).toEqual([])
    expect(look([{ product: 'lacquer-clear', coats: 2 }]).unnamed).toEqual([])
  })
})
