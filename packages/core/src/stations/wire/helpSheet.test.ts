import { describe, expect, it } from 'vitest'
import { wireResult } from '../../circuit/bench/wireResult'
import { fullBuild } from '../../testing/fullBuild'
import { wirable } from '../../testing/wirable'
import { helpSheet, listenSheet } from './helpSheet'
import { tagSheet } from './sheet'

const made = (build = fullBuild()) => {
  const wire = wireResult(build)
  if (!wire.ok) throw new Error('no circuit')
  return { build, wire }
}
const text = (sheet: unknown) => JSON.stringify(sheet)

describe('the help page', () => {
  it('says nothing was done where nothing was', () => {
    const { build, wire } = made()
    const all = text(helpSheet(build, wire))
    expect(all.match(/Nothing yet\./g)).toHaveLength(2)
    expect(all).toMatch(/Nothing was noted down/)
    expect(all).not.toMatch(/Suspected/)
  })
  it('holds complaints, readings in words, changes with what they did, what was heard badly', () => {
    const build = fullBuild()
    build.circuit = {
      ...build.circuit,
      complaints: { 'touch rises': '2026-11-24' },
      found: { 'ohms jack.sleeve strings.1 ': 8000, touch: 'rises' },
      repairs: { r1: { on: '2026-11-24', what: 'Jack turned over', lugs: [], then: 'gone', kept: true } },
      heard: { '2 tone': 'bad' },
      edits: { 'a b': { is: 'cut', from: 'a', to: 'b', role: 'hot' } },
    }
    const all = text(helpSheet(build, made(build).wire))
    for (const words of [
      'Hum grows when the strings are touched',
      'Meter from the sleeve to the strings.","8.00 k',
      'Jack turned over","gone","kept',
      '"2","tone"',
      '1 wire is otherwise',
    ])
      expect(all).toContain(words)
  })
})

describe('the listening sheet on paper', () => {
  it('has a box for every position and control, ticked where it was heard', () => {
    const build = fullBuild()
    build.circuit = { ...build.circuit, heard: { '1 strum': 'good', '3 volume': 'bad' } }
    const all = text(listenSheet(build, made(build).wire))
    expect(all.match(/\[ {2}\]/g)).toHaveLength(18)
    expect(all.match(/\[x\]/g)).toHaveLength(1)
    expect(all.match(/\[!\]/g)).toHaveLength(1)
  })
})

describe('tags for leads', () => {
  const rows = (w: Parameters<typeof wirable>[0], leads: Record<string, string>) => {
    const build = wirable(w)
    build.circuit = { ...build.circuit, leads }
    return Object.fromEntries((tagSheet(build).blocks[0] as { table: { rows: string[][] } }).table.rows.map(([t, , c]) => [t, c]))
  }
  it('carry the colour noted for the end each lead comes from: a single coil is hot at its finish, two in series at the first one’s start', () => {
    const colours = { 'middle.finish': 'white', 'bridge-a.start': 'red', 'bridge-b.start': 'black' }
    const tags = rows({ places: ['middle', 'bridge'], two: ['bridge'] }, colours)
    expect(tags).toEqual({
      'middle hot': 'white',
      'middle ground': '',
      'bridge hot': 'red',
      'bridge ground': 'black',
      'jack tip': '',
      'jack sleeve': '',
      strings: '',
    })
    expect(rows({ places: ['bridge'], two: ['bridge'], leads: 'four' }, colours)['bridge coil 2 start']).toBe('black')
  })
})
