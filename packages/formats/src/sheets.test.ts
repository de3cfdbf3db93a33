// @vitest-environment jsdom
import {
  drawJoint,
  evaluate,
  findJoints,
  KIND_NAMES,
  measuringSheet,
  mockupSheet,
  mockupSteps,
  orderFor,
  orderSheet,
  rescueSheet,
  SLOT_NAMES,
  sheetsOf,
  unpackingSheet,
  type Sheet,
} from '@snug/core'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { describe, expect, it } from 'vitest'
import { drawingSvg } from './drawingSvg'
import { sheetHtml } from './sheetHtml'

const page = (sheet: Sheet) => new DOMParser().parseFromString(sheetHtml(sheet), 'text/html')
const made = (title: string, about: string, blocks: Sheet['blocks']): Sheet => ({ id: 'x', title, about, blocks })
const build = fullBuild()

describe('a sheet of paper', () => {
  it('stands alone: no script, nothing fetched, a title, a language', () => {
    const doc = page(made('Trial', 'about it', [{ heading: 'One' }, { text: 'words' }, { tick: ['a', 'b'] }]))
    expect(doc.querySelectorAll('script, link, img, iframe')).toHaveLength(0)
    expect(doc.title).toBe('Trial')
    expect(doc.documentElement.lang).toBe('en')
    expect([...doc.querySelectorAll('li')].map((l) => l.textContent)).toEqual(['a', 'b'])
  })
  it('what people typed stays text', () => {
    const nasty = '<img src=x onerror="alert(1)"> & "co"'
    const doc = page(
      made(nasty, nasty, [{ heading: nasty }, { text: nasty }, { tick: [nasty] }, { table: { columns: [nasty], rows: [[nasty]] } }]),
    )
    expect(doc.querySelectorAll('img')).toHaveLength(0)
    expect(doc.querySelector('h1')!.textContent).toBe(nasty)
    expect(doc.querySelector('td')!.textContent).toBe(nasty)
  })
})

describe('order sheet', () => {
  const order = orderFor(build.parts.guard!, undefined, '2026-11-24')
  it('holds every length with its tolerance and room for what came', () => {
    const [sizes, looks] = page(orderSheet(build, 'guard', order)).querySelectorAll('tbody')
    const rows = [...sizes!.querySelectorAll('tr')]
    // The hand goes with it: a guard for the other one fits nothing.
    expect(looks!.textContent).toContain('Handright-handed')
    expect(rows).toHaveLength(Object.keys(order.sizes).length)
    const opening = rows.find((r) => r.textContent!.startsWith('Neck pickup opening, centre'))!
    expect([...opening.querySelectorAll('td')].map((t) => t.textContent).slice(0, 3)).toEqual(['Neck pickup opening, centre', '31', '0.2'])
  })
  it('says from where it is measured and carries its drawing', () => {
    const doc = page(orderSheet(build, 'guard', order))
    expect(doc.body.textContent).toMatch(/from the edge of its neck cut-out/)
    expect(doc.querySelector('svg')!.getAttribute('aria-label')).toBe('guard')
  })
  it('what came and failed stands beside it', () => {
    const came = changed(build, { 'guard/opening.neck.centre': 25 })
    expect(page(orderSheet(came, 'guard', order)).body.textContent).toMatch(/25fail/)
  })
})

describe('what stations give to be printed', () => {
  it('a sheet for each, found by its station, none of them empty', () => {
    const ordered = { ...build, orders: { guard: orderFor(build.parts.guard!, undefined, '2026-11-24') } }
    const sheets = sheetsOf(ordered, evaluate(ordered, '2026-11-24'))
    expect(sheets.map((s) => `${s.station} ${s.id}`)).toEqual([
      'parts unpacking',
      'parts order-guard',
      'parts measuring-neck',
      'parts measuring-body',
      'fit trial-build',
      'drill drill-sheet',
      'finish finish-sheet',
      'wire wire-list',
      'wire listening',
      'wire wire-help',
      'setup setup-sheet',
      'setup shop-ticket',
      'setup player-page',
      'plan run-sheet',
    ])
    for (const s of sheets) expect(page(s).querySelectorAll('li, td, svg').length, s.id).toBeGreaterThan(3)
  })
})

describe('other sheets', () => {
  it.each(KIND_NAMES.map((k) => [k] as const))('measuring sheet of a %s has a line for each length', (kind) => {
    const doc = page(measuringSheet(kind))
    expect(doc.querySelector('h1')!.textContent).toMatch(/^Copy from an instrument you like/)
    expect(doc.querySelectorAll('table').length).toBeGreaterThan(0)
  })
  it('unpacking list names every part once, by seller, and what is not as listed', () => {
    const promised = structuredClone(build)
    promised.parts.guard!.promised = { thickness: { value: 3.9, doubt: 0.4, known: 'listed' } }
    const doc = page(unpackingSheet(promised))
    const ticks = [...doc.querySelectorAll('li')].map((l) => l.textContent!)
    expect(ticks.filter((t) => t.includes(':')).length).toBeGreaterThanOrEqual(Object.keys(build.parts).length)
    expect(doc.body.textContent).toMatch(/Not as listed.*Thickness: promised 3\.9 mm, came 2\.5 mm/s)
  })
  it('rescue sheet gives ranges and what to ask', () => {
    const doc = page(rescueSheet(['coil', 'nut'], 60, 200, 'EUR'))
    expect(doc.body.textContent).toMatch(/\d+ EUR \(\d+ to \d+\)/)
    expect(doc.body.textContent).toMatch(/Ohms at the jack/)
  })
  it('mock-up sheet has every step in order with room for the reading, and the jobs', () => {
    const tight = changed(build, { 'body/pocket.widthMouth': 56 })
    const doc = page(mockupSheet(tight))
    const steps = [...doc.querySelectorAll('tbody tr')].map((r) => r.querySelectorAll('td')[1]!.textContent)
    expect(steps).toEqual(mockupSteps(tight).map((s) => s.title))
    expect(doc.body.textContent).toMatch(/Shave/)
  })
})

describe('drawings on paper', () => {
  it('every joint’s drawing is well-formed, in its own millimetres, with nothing that is not a number', () => {
    for (const j of findJoints(build)) {
      const svg = drawingSvg(drawJoint(build, j.id)!, 150)
      const doc = new DOMParser().parseFromString(svg, 'image/svg+xml')
      const root = doc.documentElement
      expect(root.nodeName, j.id).toBe('svg')
      const [, , w, h] = root.getAttribute('viewBox')!.split(' ').map(Number) as [number, number, number, number]
      expect(parseFloat(root.getAttribute('height')!) / parseFloat(root.getAttribute('width')!), j.id).toBeCloseTo(h / w, 2)
      expect(svg, j.id).not.toMatch(/NaN|undefined|Infinity/)
    }
  })
  it('slots that are empty draw nothing that breaks', () => {
    expect(SLOT_NAMES.length).toBeGreaterThan(20)
    for (const slot of ['tailpiece', 'battery'] as const) expect(build.parts[slot]).toBeUndefined()
  })
})
