import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Drawing } from '../drawing/drawing'
import { evaluate } from '../evaluate/evaluate'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { drawingOf, thingsOf } from './things'

const TODAY = '2026-11-24'
/** Every drawing of a build by its name. */
function drawingsOf(build: Build): [string, Drawing][] {
  const things = thingsOf(build, evaluate(build, TODAY))
  return things.flatMap((t) => {
    const drawing = drawingOf(build, things, { station: t.station, thing: t.id })
    return drawing ? [[`${t.station} ${t.id}`, drawing] as [string, Drawing]] : []
  })
}
const moved = changed(fullBuild(), {
  'body/thickness': 41.7,
  'body/pocket.depth': 15.2,
  'neck/heel.thickness': 25.9,
  'nut/height': 7.9,
  'bridge/studSpacing': 71.5,
  'body/mouthToBridge': 251,
})
const BUILDS: [string, Build][] = [
  ['the fullest build', fullBuild()],
  ['other sizes', moved],
  ['without a guard', without(fullBuild(), 'guard', 'shielding')],
]
const dimensions = (d: Drawing) => d.marks.filter((m) => m.mark === 'dimension')

describe.each(BUILDS)('drawings of %s', (_, build) => {
  const all = drawingsOf(build)
  it('each dimension says how far its ends are apart, to the last digit it prints', () => {
    let told = 0
    const off: string[] = []
    for (const [name, d] of all) {
      if (d.note && /×|µm/.test(d.note)) continue
      for (const m of dimensions(d)) {
        if (!/^-?\d+(\.\d+)?$/.test(m.text)) continue
        told++
        const digits = m.text.split('.')[1]?.length ?? 0
        const apart = Math.hypot(m.to.x - m.from.x, m.to.y - m.from.y)
        if (Math.abs(apart - Math.abs(Number(m.text))) > 0.5 * 10 ** -digits + 1e-6) off.push(`${name}: ${m.text} for ${apart.toFixed(3)}`)
      }
    }
    expect(off).toEqual([])
    expect(told).toBeGreaterThan(40)
  })
  it('a drawing to another scale keeps to it: lengths go as their numbers, or by the factor it states', () => {
    let told = 0
    for (const [name, d] of all) {
      const factor = d.note && /×(\d+)/.exec(d.note)?.[1]
      const micro = d.note?.includes('µm')
      if (!factor && !micro) continue
      const ratios = dimensions(d).map((m) => Math.hypot(m.to.x - m.from.x, m.to.y - m.from.y) / Number(m.text))
      if (!ratios.length) continue
      told += ratios.length
      // A film's edges are rounded to the micrometre.
      if (micro) for (const r of ratios) expect(r / ratios[0]!, name).toBeCloseTo(1, 1)
      // Where only a gap is drawn wider, what lies across it is a little off its number; nothing else may be.
      else
        expect(
          ratios.some((r) => Math.abs(r - 1) < 0.01 || Math.abs(r / Number(factor) - 1) < 0.01),
          name,
        ).toBe(true)
    }
    expect(told).toBeGreaterThan(4)
  })
  it('what is dimensioned and labelled lies inside the frame', () => {
    const out: string[] = []
    for (const [name, d] of all) {
      const { x, y, width, height } = d.bounds
      for (const m of d.marks) {
        const points = m.mark === 'dimension' ? [m.from, m.to] : m.mark === 'label' ? [m.at] : []
        for (const p of points)
          if (p.x < x - 1e-6 || p.x > x + width + 1e-6 || p.y < y - 1e-6 || p.y > y + height + 1e-6)
            out.push(
              `${name}: ${m.mark === 'dimension' || m.mark === 'label' ? m.text : ''} at ${p.x.toFixed(1)} ${p.y.toFixed(1)}, frame ${x.toFixed(1)} ${y.toFixed(1)} ${(x + width).toFixed(1)} ${(y + height).toFixed(1)}`,
            )
      }
    }
    expect(out).toEqual([])
  })
})

describe('a left-handed build', () => {
  // Its parts are for the right hand, which is the one joint that says so.
  const alike = (build: Build) => drawingsOf(build).filter(([name]) => name !== 'fit hands')
  const right = alike(fullBuild())
  const left = alike({ ...fullBuild(), handedness: 'left' })
  it('has the same drawings with the same sizes and numbers', () => {
    expect(left.map(([name]) => name)).toEqual(right.map(([name]) => name))
    const said = (d: Drawing) => dimensions(d).map((m) => m.text)
    for (const [i, [name, d]] of left.entries()) {
      expect(said(d), name).toEqual(said(right[i]![1]))
      expect(d.numbers, name).toEqual(right[i]![1].numbers)
    }
  })
  it('what is called bass and treble in a view from above lies on the other side', () => {
    const walls = (all: [string, Drawing][]) =>
      all
        .flatMap(([, d]) => d.marks)
        .flatMap((m) =>
          m.mark === 'label' && /^(bass|treble) wall$/.test(m.text) ? [[m.text, Math.sign(m.at.y)] as [string, number]] : [],
        )
    expect(walls(right).length).toBeGreaterThan(2)
    expect(walls(left)).toEqual(walls(right).map(([word, side]) => [word, -side]))
  })
})
