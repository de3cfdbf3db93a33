// @vitest-environment jsdom
import { bodyTemplate, headTemplate } from '@snug/formats'
import { describe, expect, it } from 'vitest'
import { heron } from './heron'

const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
const parse = (svg: string) => new DOMParser().parseFromString(svg, 'image/svg+xml')

describe('paper templates', () => {
  it.each([
    ['body', bodyTemplate(build)!],
    ['headstock', headTemplate(build)!],
  ])('%s: one unit is one millimetre, with a bar to measure', (_, t) => {
    const svg = parse(t.svg).documentElement
    const [, , width, height] = svg.getAttribute('viewBox')!.split(' ').map(Number) as [number, number, number, number]
    expect(svg.getAttribute('width')).toBe(`${width}mm`)
    expect(svg.getAttribute('height')).toBe(`${height}mm`)
    expect(t.svg).toMatch(/100 mm/)
    expect(t.svg).toMatch(/4 in/)
  })
  it('a left-handed body is drawn mirrored', () => {
    const d = (b: typeof build) => parse(bodyTemplate(b)!.svg).querySelector('path.cut')!.getAttribute('d')!
    const across = (path: string) => [...path.matchAll(/[ML]([-\d.]+) ([-\d.]+)/g)].map((m) => Number(m[2]))
    const right = across(d(build))
    const left = across(d({ ...build, handedness: 'left' }))
    expect(left).toHaveLength(right.length)
    right.forEach((y, i) => expect(left[i]).toBeCloseTo(-y, 2))
  })
  it('nothing without an outline', () => {
    const bare = structuredClone(build)
    delete bare.parts.body!.outline
    expect(bodyTemplate(bare)).toBeUndefined()
  })
})
