import { describe, expect, it } from 'vitest'
import type { Build, LaidCoat, ZoneLayer } from '../document/build'
import { dewPoint } from '../physics/dewPoint'
import { changed, fullBuild } from '../testing/fullBuild'
import { filmEvidence, type Fact } from './evidence'

const made = (layers: ZoneLayer[], finish: Partial<Build['finish']> = {}): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': 'raw', 'neck/surface': 'raw' })
  return { ...build, steps: {}, finish: { ...build.finish, system: 'lacquer', zones: {}, layers, ...finish } }
}
const coat = (at: string, room: Partial<LaidCoat> = {}): LaidCoat => ({ product: 'x', at, ...room })
const two = (product: string, second: string, room: Partial<LaidCoat> = {}) =>
  filmEvidence(made([{ product, coats: 5 }], { laid: { 'top-1': coat('2026-12-01T18:00'), 'top-2': coat(second, room) } }))

describe('what was really laid speaks', () => {
  it.each<[product: string, second: string, fact: Fact, says: string | undefined]>([
    // Lacquer wants an hour.
    ['lacquer-clear', '2026-12-01T18:59', 'too soon', 'nitrocellulose clear 2 went on 59 min after the last; the least is 60 min'],
    ['lacquer-clear', '2026-12-01T19:00', 'too soon', undefined],
    // Mist coats two days: what is ten minutes short is said to be short.
    [
      'lacquer-mist',
      '2026-12-03T17:50',
      'too soon',
      'nitrocellulose clear in mist coats 2 went on 47 h 50 min after the last; the least is 2 days',
    ],
    [
      'lacquer-mist',
      '2026-12-02T18:00',
      'too soon',
      'nitrocellulose clear in mist coats 2 went on 24 h after the last; the least is 2 days',
    ],
    // Acrylic: within the hour or after a day, never between.
    ['acrylic-clear', '2026-12-01T19:00', 'forbidden', undefined],
    ['acrylic-clear', '2026-12-01T19:01', 'forbidden', 'acrylic clear 2 went on 61 min after the last, between 60 min and 24 h'],
    ['acrylic-clear', '2026-12-02T17:59', 'forbidden', 'acrylic clear 2 went on 23 h 59 min after the last, between 60 min and 24 h'],
    ['acrylic-clear', '2026-12-02T18:00', 'forbidden', undefined],
    // Waterborne wants a scuff after a day.
    ['waterborne-clear', '2026-12-02T18:00', 'too late', undefined],
    ['waterborne-clear', '2026-12-04T20:00', 'too late', 'waterborne clear 2 went on 3 days 2 h after the last, which wants a scuff'],
  ])('%s, the second at %s, %s: %s', (product, second, fact, says) => expect(two(product, second).get(fact)).toBe(says))

  it('air and damp at the limits of the label say nothing, beyond them they do', () => {
    const at = (air: number, humidity: number) => two('lacquer-clear', '2026-12-02T18:00', { air, surface: air + 20, humidity })
    for (const [air, humidity] of [
      [10, 50],
      [30, 50],
      [20, 75],
    ] as const)
      for (const fact of ['cold', 'hot', 'damp'] as const) expect(at(air, humidity).has(fact), `${air} ${humidity} ${fact}`).toBe(false)
    expect(at(9, 50).get('cold')).toBe('nitrocellulose clear 2 went on at 9 °C; it wants 10 °C')
    expect(at(31, 50).get('hot')).toBe('nitrocellulose clear 2 went on at 31 °C; it wants at most 30 °C')
    expect(at(20, 76).get('damp')).toBe('nitrocellulose clear 2 went on at 76 % humidity; it wants at most 75 %')
    const near = two('lacquer-clear', '2026-12-02T18:00', { air: 20, humidity: 60, surface: dewPoint(20, 60) + 2 })
    expect(near.get('dew')).toBe('nitrocellulose clear 2 went on a surface 2.0 °C above the dew point')
    const clear = two('lacquer-clear', '2026-12-02T18:00', { air: 20, humidity: 60, surface: dewPoint(20, 60) + 3.01 })
    expect(clear.has('dew')).toBe(false)
  })

  it('four coats in one evening are many, three are not', () => {
    const evening = (n: number) => {
      const laid = Object.fromEntries(Array.from({ length: n }, (_, i) => [`top-${i + 1}`, coat(`2026-12-01T${18 + i}:00`)]))
      return filmEvidence(made([{ product: 'lacquer-clear', coats: 5 }], { laid })).get('many in one evening')
    }
    expect([evening(3), evening(4)]).toEqual([undefined, '4 coats of nitrocellulose clear in one evening'])
  })

  it('sanded before it was hard: by whole days from the coat', () => {
    const sanded = (day: string) =>
      filmEvidence(
        made([{ product: 'lacquer-clear', coats: 5 }], {
          laid: { 'top-1': coat('2026-12-01T18:00') },
          passes: { a: { at: `${day}T18:00`, grit: 1200 } as never },
        }),
      ).get('sanded early')
    expect(sanded('2026-12-07')).toBe('sanded 6 days after nitrocellulose clear 1; it wants 7 days')
    expect(sanded('2026-12-08')).toBeUndefined()
  })

  it('coats more than three weeks apart were stopped', () => {
    const apart = (last: string) => two('lacquer-clear', `${last}T18:00`).get('stopped')
    expect([apart('2026-12-22'), apart('2026-12-23')]).toEqual([undefined, 'coats lie 22 days apart'])
  })

  it('how the body came is said unless it came raw; nobody having said is said too', () => {
    const came = (surface: string | undefined) => {
      const build = made([{ product: 'lacquer-clear', coats: 5 }])
      if (surface) build.parts.body!.traits.surface = surface
      else delete build.parts.body!.traits.surface
      return filmEvidence(build).get('sealed')
    }
    expect([came('raw'), came('sealed'), came('coated')]).toEqual([undefined, 'the body came sealed', 'the body came coated'])
    expect(came(undefined)).toBe('whether the body came sealed was never said')
  })
  it('a zone hears only what touches it', () => {
    const build = made([{ product: 'lacquer-clear', coats: 2 }], {
      zones: { back: { layers: [{ product: 'oil-varnish', coats: 3 }] } },
    })
    expect([filmEvidence(build, 'back').has('oil'), filmEvidence(build, 'front').has('oil'), filmEvidence(build).has('oil')]).toEqual([
      true,
      false,
      true,
    ])
  })
})
