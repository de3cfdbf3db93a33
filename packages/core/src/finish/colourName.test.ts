import { describe, expect, it } from 'vitest'
import { newBuild } from '../document/build'
import { colourName } from './colourName'
import { layersOf } from './stack'

describe('a colour by its name', () => {
  it.each([
    ['#d8a040', 'amber'],
    ['#7a3418', 'brown'],
    ['#5a2a14', 'brown'],
    ['#c01818', 'red'],
    ['#5c0c0c', 'oxblood'],
    ['#101010', 'black'],
    ['#f4f2f0', 'white'],
    ['#808080', 'grey'],
    ['#2040a0', 'blue'],
    ['#187030', 'green'],
    ['#f0d020', 'yellow'],
    ['#ff0000', 'red'],
    ['#ff0008', 'red'],
  ])('%s is %s', (hex, name) => expect(colourName(hex)).toBe(name))
  /** Half way between a hue's lightest and darkest it is purest. [published: the HSL model] */
  const hsl = (hue: number, light: number) => {
    const channel = (n: number) => {
      const k = (n + hue / 30) % 12
      return light - 0.9 * Math.min(light, 1 - light) * Math.max(-1, Math.min(k - 3, 9 - k, 1))
    }
    const hex = (n: number) =>
      Math.round(255 * channel(n))
        .toString(16)
        .padStart(2, '0')
    return `#${hex(0)}${hex(8)}${hex(4)}`
  }
  it.each([
    ['red', 'oxblood', 352, 8],
    ['orange', 'brown', 18, 29],
    ['amber', 'brown', 35, 47],
    ['yellow', 'olive', 53, 65],
    ['green', 'green', 72, 162],
    ['turquoise', 'turquoise', 168, 192],
    ['blue', 'blue', 198, 252],
    ['violet', 'violet', 258, 292],
    ['pink', 'plum', 298, 342],
  ])('%s, dark %s: from %d to %d degrees of the circle', (bright, dark, from, to) => {
    for (const hue of [from, to]) {
      expect(colourName(hsl(hue, 0.55)), `${hue}`).toBe(bright)
      expect(colourName(hsl(hue, 0.3)), `${hue}`).toBe(dark)
      expect(colourName(hsl(hue, 0.1)), `${hue}`).toBe(`dark ${dark}`)
      expect(colourName(hsl(hue, 0.85)), `${hue}`).toBe(`light ${bright}`)
    }
  })
  it('any colour has one', () => {
    for (let n = 0; n < 0x1000000; n += 4099) expect(colourName(`#${n.toString(16).padStart(6, '0')}`)).toMatch(/^[a-z ]+$/)
  })
})

describe('two layers of one product', () => {
  const empty = newBuild({ name: 'x', handedness: 'right', strings: 6, scale: 648 }, '2026-11-24')
  const labels = (...layers: { product: string; coats: number; colour?: string }[]) =>
    layersOf({ ...empty, finish: { ...empty.finish, layers } }).map((l) => l.label)
  const wash = { product: 'acrylic-wash', coats: 1 }
  it('are told apart by their colour, or else by which lies lower', () => {
    expect(labels({ ...wash, colour: '#d8a040' }, { ...wash, colour: '#7a3418' })).toEqual(['Acrylic wash, amber', 'Acrylic wash, brown'])
    expect(labels({ ...wash, colour: '#5a2a14' }, { ...wash, colour: '#7a3418' })).toEqual([
      'Acrylic wash, brown, lower',
      'Acrylic wash, brown, upper',
    ])
    expect(labels(wash, wash)).toEqual(['Acrylic wash, lower', 'Acrylic wash, upper'])
  })
  it('one alone goes by its product', () => expect(labels({ ...wash, colour: '#d8a040' })).toEqual(['Acrylic wash']))
})
