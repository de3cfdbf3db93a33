import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holds } from '../../testing/holds'
import type { SizeUnit } from '../kind'
import { KIND_NAMES, KINDS, type KindName } from '../kinds/index'
import { readListing } from './readListing'

const figures = (value: number, places: number) => String(Number(value.toFixed(places)))
const comma = (text: string) => text.replace('.', ',')

/** How sellers write a value of each unit: what stands there, and what it comes to. */
const WRITTEN: Record<SizeUnit, readonly ((value: number) => readonly [text: string, value: number])[]> = {
  mm: [
    (v) => [`${figures(v, 2)} mm`, Number(v.toFixed(2))],
    (v) => [`${figures(v, 1)}mm`, Number(v.toFixed(1))],
    (v) => [`${comma(figures(v, 2))} mm`, Number(v.toFixed(2))],
    (v) => [`${figures(v, 0)} millimeters`, Number(v.toFixed(0))],
    (v) => [`${figures(v / 10, 2)} cm`, 10 * Number((v / 10).toFixed(2))],
    (v) => [`${figures(v / 25.4, 3)}"`, 25.4 * Number((v / 25.4).toFixed(3))],
    (v) => [`${figures(v / 25.4, 3)}-inch`, 25.4 * Number((v / 25.4).toFixed(3))],
    (v) => [`${Math.floor(v / 25.4)}-3/8 in`, 25.4 * (Math.floor(v / 25.4) + 3 / 8)],
    (v) => [`${Math.floor(v / 25.4)}⅝”`, 25.4 * (Math.floor(v / 25.4) + 5 / 8)],
  ],
  ohm: [
    (v) => [`${figures(v / 1000, 1)}k`, 1000 * Number((v / 1000).toFixed(1))],
    (v) => [`${figures(v / 1000, 2)} kOhm`, 1000 * Number((v / 1000).toFixed(2))],
    (v) => [`${figures(v, 0)} ohms`, Number(v.toFixed(0))],
    (v) => [`${figures(v / 1e6, 3)} Meg`, 1e6 * Number((v / 1e6).toFixed(3))],
  ],
  farad: [
    (v) => [`${figures(v * 1e9, 1)} nF`, 1e-9 * Number((v * 1e9).toFixed(1))],
    (v) => [`${figures(v * 1e6, 4)}uF`, 1e-6 * Number((v * 1e6).toFixed(4))],
    (v) => [`${figures(v * 1e12, 0)}pF`, 1e-12 * Number((v * 1e12).toFixed(0))],
  ],
  henry: [(v) => [`${figures(v, 2)} H`, Number(v.toFixed(2))], (v) => [`${figures(v * 1000, 0)} mH`, Number((v * 1000).toFixed(0)) / 1000]],
  g: [
    (v) => [`${figures(v, 0)} g`, Number(v.toFixed(0))],
    (v) => [`${figures(v / 1000, 3)} kg`, 1000 * Number((v / 1000).toFixed(3))],
    (v) => [`${figures(v / 453.59237, 2)} lbs`, 453.59237 * Number((v / 453.59237).toFixed(2))],
    // A pound has sixteen ounces.
    (v) => [`${Math.floor(v / 453.59237)} lb 6 oz`, 453.59237 * (Math.floor(v / 453.59237) + 6 / 16)],
  ],
  newton: [(v) => [`${figures(v, 0)} N`, Number(v.toFixed(0))]],
  deg: [(v) => [`${figures(v, 1)}°`, Number(v.toFixed(1))]],
  count: [],
}

interface Said {
  kind: KindName
  key: string
  text: string
  value: number
}
const ALL = KIND_NAMES.flatMap((kind) =>
  Object.entries(KINDS[kind].sizes).flatMap(([key, spec]) => WRITTEN[spec.unit].map((write) => ({ kind, key, spec, write }))),
)
/** A size of some part as a seller may write it. */
const said: fc.Arbitrary<Said> = fc
  .tuple(fc.constantFrom(...ALL), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([{ kind, key, spec, write }, at]) => {
    const low = Math.max(spec.min, 0)
    const [text, value] = write(low > 0 ? low * (spec.max / low) ** at : spec.max * at)
    return { kind, key, text, value }
  })
  .filter(({ kind, key, value }) => value >= Math.max(KINDS[kind].sizes[key]!.min, 1e-13) && value <= KINDS[kind].sizes[key]!.max)

const labelOf = ({ kind, key }: Said) => KINDS[kind].sizes[key]!.label
const close = (a: number, b: number) => Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b))

describe('what a seller’s text says of a size', () => {
  it('with its name before it, the number is read as it is written and offered to that size first', () =>
    holds(
      fc.property(said, fc.constantFrom(': ', ' ', ' is '), (s, joined) => {
        const found = readListing(s.kind, `New part. ${labelOf(s)}${joined}${s.text}; sold as is.`)
        expect(
          found.map((n) => n.value).filter((v) => close(v, s.value)),
          `${s.kind} ${labelOf(s)} ${s.text}`,
        ).toHaveLength(1)
        expect(found.at(-1)!.sizes[0], `${s.kind} ${labelOf(s)} ${s.text}`).toBe(s.key)
      }),
      2000,
    ))

  it('a number that is denied, or only a tolerance, is offered to nothing; a bound at most to an end', () =>
    holds(
      fc.property(
        said,
        fc.constantFrom('not', 'no', 'other than', '±', '+/-', 'up to', 'max.', 'minimum', 'at least', 'more than', '<', '≥'),
        (s, before) => {
          for (const n of readListing(s.kind, `${labelOf(s)}, ${before} ${s.text}`))
            for (const key of n.sizes) expect(`${before} ${key}`).toMatch(/^(?:up|max|min|at|more|<|≥).*\.(?:min|max|radius|radiusEnd)$/)
        },
      ),
      2000,
    ))

  it('of a range each number is offered only to its end of something that has two', () =>
    holds(
      fc.property(said, fc.constantFrom(' to ', '-', ' – ', ' and '), fc.boolean(), (s, joined, twice) => {
        const unit = /[^\d.,/ -].*$/.exec(s.text)?.[0] ?? ''
        fc.pre(/^\d+(?:\.\d+)? ?[a-z]+$/i.test(s.text))
        const low = s.text.replace(/[^\d.].*$/, '')
        const text = `${labelOf(s)} ${joined === ' and ' ? 'between ' : ''}${low}${twice ? ` ${unit}` : ''}${joined}${Number(low) * 1.5} ${unit}`
        const ends = readListing(s.kind, text).flatMap((n) => n.sizes.map((key) => ({ key, low: close(n.value, s.value) })))
        for (const { key, low: isLow } of ends) expect(key, text).toMatch(isLow ? /\.(?:min|radius)$/ : /\.(?:max|radiusEnd)$/)
      }),
      2000,
    ))

  it('no better known than the tolerance beside it, or what "about" leaves of its last figure', () =>
    holds(
      fc.property(said, fc.constantFrom(0.5, 1, 2.5), (s, percent) => {
        const [exact] = readListing(s.kind, `${s.text}`)
        const [with_] = readListing(s.kind, `${s.text} ±${percent} %`)
        expect(with_!.value).toBe(exact!.value)
        expect(close(with_!.within, Math.max(exact!.within, (exact!.value * percent) / 100)), s.text).toBe(true)
        expect(readListing(s.kind, `about ${s.text}`)[0]!.within).toBeGreaterThanOrEqual(exact!.within)
      }),
      2000,
    ))
})
