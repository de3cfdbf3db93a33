import { areaOf, halfWidths, templateOf, type Point } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { describe, expect, it } from 'vitest'
import { readOutline } from './outlineIn'
import { templateDxf } from './templateDxf'
import { templateSvg } from './templateSvg'

const template = templateOf(fullBuild(), 'body-front')!
const edge = (template.shapes[0] as { points: Point[] }).points
const svg = (d: string, more = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="400mm" viewBox="0 0 400 300" ${more}><path d="${d}"/></svg>`
const why = (name: string, text: string) => {
  const found = readOutline(name, text)
  return found.ok ? 'read' : found.why
}

describe('an outline out and in again', () => {
  it.each([
    ['SVG', 'x.svg', templateSvg(template, 'Trial')],
    ['DXF', 'x.dxf', templateDxf(template)],
  ])('as %s keeps its area within a thousandth', (_, name, text) => {
    const found = readOutline(name, text)
    if (!found.ok) throw new Error(found.why)
    expect(Math.abs(areaOf(found.value) / areaOf(edge) - 1)).toBeLessThan(0.001)
  })
  // A circle of 150 mm drawn with two arcs: pi 150^2.
  it('arcs and curves are walked, inches and centimetres come as millimetres', () => {
    const circle = 'M20 150 A150 150 0 0 1 320 150 A150 150 0 0 1 20 150 Z'
    for (const [width, box, d] of [
      ['400mm', '0 0 400 300', circle],
      ['40cm', '0 0 400 300', circle],
      ['10in', '0 0 254 190', circle],
    ] as const) {
      const found = readOutline('c.svg', `<svg width="${width}" viewBox="${box}"><g><path d="${d}"/></g></svg>`)
      expect(found.ok && areaOf(found.value) / (Math.PI * 150 ** 2)).toBeCloseTo(1, 3)
    }
    // Two half circles as bulges of 1.
    const dxf = [
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      '0',
      'LWPOLYLINE',
      '90',
      '2',
      '70',
      '1',
      '10',
      '0',
      '20',
      '0',
      '42',
      '1',
      '10',
      '300',
      '20',
      '0',
      '42',
      '1',
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n')
    const found = readOutline('c.dxf', dxf)
    expect(found.ok && areaOf(found.value) / (Math.PI * 150 ** 2)).toBeCloseTo(1, 3)
  })
  it('gives half-widths that any part can keep', () => {
    const found = readOutline('c.svg', svg('M20 150 A150 120 0 0 1 320 150 A150 120 0 0 1 20 150 Z'))
    if (!found.ok) throw new Error(found.why)
    const rows = halfWidths(found.value.map((p) => ({ x: p.x - 20, y: 150 - p.y })))
    expect(rows.find((r) => r.x === 100)!.bass).toBeCloseTo(120 * Math.sqrt(1 - (50 / 150) ** 2), 0)
  })
})

describe('bad outlines', () => {
  it.each([
    ['another kind of file', 'x.png', 'abc', /SVG or a DXF/],
    ['broken XML', 'x.svg', '<svg><path d="M0 0', /broken|no SVG|no path/],
    ['no path', 'x.svg', '<svg width="400mm" viewBox="0 0 400 300"><rect width="5"/></svg>', /no path/],
    ['an open line', 'x.svg', svg('M20 20 H300 V200 H60 V120'), /open: its ends lie/],
    ['one that crosses itself', 'x.svg', svg('M20 20 L300 200 L300 20 L20 200 Z'), /crosses itself/],
    ['one in another scale', 'x.svg', svg('M2 2 H30 V20 H2 Z'), /28 mm long/],
    ['one that is moved', 'x.svg', svg('M20 20 H300 V200 H20 Z').replace('<path', '<path transform="scale(2)"'), /transform/],
    ['40 000 points', 'x.dxf', polyline(40_000), /40000 points; at most 20000/],
    ['a broken DXF', 'x.dxf', 'nonsense', /broken|no polyline/],
  ])('%s gets a clear sentence', (_, name, text, sentence) => expect(why(name, text)).toMatch(sentence))
  it('a script in a file is text like any other', () => {
    const found = readOutline(
      'x.svg',
      svg('M20 20 H300 V200 H20 Z', 'onload="alert(1)"').replace('<path', '<script>alert(1)</script><path'),
    )
    expect(found.ok).toBe(true)
  })
})

function polyline(n: number): string {
  const points = Array.from({ length: n }, (_, i) => [
    '10',
    String(200 + 150 * Math.cos((2 * Math.PI * i) / n)),
    '20',
    String(150 * Math.sin((2 * Math.PI * i) / n)),
  ]).flat()
  return ['0', 'SECTION', '2', 'ENTITIES', '0', 'LWPOLYLINE', '90', String(n), '70', '1', ...points, '0', 'ENDSEC', '0', 'EOF'].join('\n')
}
