import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { changed, fullBuild, without } from '../../testing/fullBuild'

const stepsOf = (b: Build) => evaluate(b, '2026-11-24').plan.steps
const step = (b: Build, id: string) => stepsOf(b).find((s) => s.id === id)
const order = (b: Build, ...ids: string[]) => ids.map((id) => stepsOf(b).findIndex((s) => s.id === id))
const cutOf = (b: Build) => step(b, 'string-up')!.cautions.find((c) => c.startsWith('Cut '))

describe('how a string goes round its post is said before it is cut', () => {
  // Wraps 8: string 5 lies 1.94 mm too high, three turns of 0.914; five in all of pi x (6.93 + 0.914) = 24.64 and 10 through the post: 133.
  const high = changed(fullBuild(), { 'tuners/post.height': 8 })
  it('wound further down, it has its turn before the strings go on, and they are cut by it', () => {
    expect(step(high, 'cure-nut-break')!.title).toBe('Wind string 5 further down its post: 3 turns more')
    expect(order(high, 'closing-pass', 'cure-nut-break', 'string-up')).toEqual(
      order(high, 'closing-pass', 'cure-nut-break', 'string-up').toSorted((a, b) => a - b),
    )
    expect(step(high, 'cure-nut-break')!.minutes).toBe(5)
    expect(step(high, 'string-up')!.befores.find((b) => b.id === 'nut-on')!.why).toMatch(/sits fast before they pull/)
    expect(step(high, 'string-up')!.befores.find((b) => b.id === 'cure-nut-break')!.risk).toMatch(/too short for more/)
    expect(cutOf(fullBuild())).toBe('Cut 55 mm past its post the thinnest, 61 the thickest: two turns round it.')
    expect(cutOf(high)).toBe(
      'Cut 55 mm past its post the thinnest, 61 the thickest: two turns round it; string 5, wound further down, 133 mm: 5 turns.',
    )
  })
  it('a tree is got before, and placed by the strings it holds: after they are on, before any number is taken', () => {
    const flat = without(changed(fullBuild(), { 'neck/head.drop': 9 }), 'string-tree')
    expect(step(flat, 'cure-nut-break')).toMatchObject({ title: expect.stringMatching(/^2 string trees for /), undated: 'not ordered' })
    for (const at of [order(flat, 'cure-nut-break', 'string-up'), order(fullBuild(), 'string-up', 'drill-string-tree', 'set-relief')]) {
      expect(at.every((i) => i >= 0)).toBe(true)
      expect(at).toEqual(at.toSorted((a, b) => a - b))
    }
    // Nothing is wound further down for it.
    expect(cutOf(flat)).toBe(cutOf(fullBuild()))
  })
  it('one held by a tree beside one wound further down: the length is said all the same', () => {
    const each = { 'tuners/post.height.6': 8, 'tuners/post.height.5': 6.5, 'tuners/post.height.4': 6.9, 'tuners/post.height.3': 5.5 }
    const both = changed(high, { ...each, 'string-tree/holds': 2 })
    expect(step(both, 'cure-nut-break')!.title).toBe('A string tree for strings 3 and 4; wind string 5 further down: 1 turn more')
    // Three turns of 24.64 and 10.
    expect(cutOf(both)).toMatch(/string 5, wound further down, 84 mm: 3 turns\.$/)
  })
  it('too short for its turns, it is locked under its first before it is wound at all', () => {
    const short = changed(fullBuild(), { 'strings/length': 912 })
    const at = order(short, 'closing-pass', 'cure-string-reach', 'string-up')
    expect(at).toEqual(at.toSorted((a, b) => a - b))
    expect(at.every((i) => i >= 0)).toBe(true)
  })
})
