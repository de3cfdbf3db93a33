import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { untold } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { aTwelve } from '../testing/otherMakes'
import { undrilled } from '../testing/undrilled'
import { headTask } from './head/layout'
import { holeCards } from './holes'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
const blankHead = (build: Build) => undrilled(drillable(build))

describe('tuner bores that are still to be drilled', () => {
  it('of a head of which nobody said whether its tuners stand in one row or in two have no place, and neither have their screws', () => {
    const blank = blankHead(aTwelve())
    expect(card(blank, 'tuner-bores').places).toHaveLength(12)
    const unsaid = untold(blank, 'traits', 'neck', 'head')
    const bores = card(unsaid, 'tuner-bores')
    expect([bores.stands, bores.untold, bores.places]).toEqual(['waiting', [{ slot: 'neck', trait: 'head' }], []])
    expect([card(unsaid, 'tuner-screws').stands, card(unsaid, 'tuner-screws').places]).toEqual(['mind', []])
  })
  it('of a single row wait for its side, which turns all of them over', () => {
    const unsaid = untold(blankHead(fullBuild()), 'traits', 'neck', 'row')
    expect(card(unsaid, 'tuner-bores').untold).toEqual([{ slot: 'neck', trait: 'row' }])
  })
  it('of a single row wait for how it swings: laid straight the posts would leave the head’s edge', () => {
    const unread = changed(blankHead(fullBuild()), { 'neck/tuner.slant': undefined })
    expect(card(unread, 'tuner-bores').missing).toEqual([{ slot: 'neck', size: 'tuner.slant' }])
    // Two rows run along the head.
    const two = changed(blankHead(aTwelve()), { 'neck/tuner.slant': undefined })
    expect(card(two, 'tuner-bores').places).toHaveLength(12)
  })
})

it('a layout of the headstock waits for the same: its moves would all be wrong ones', () => {
  const laid = (build: Build) => headTask(drillable(build))
  expect('task' in laid(aTwelve())).toBe(true)
  expect(laid(untold(aTwelve(), 'traits', 'neck', 'head'))).toEqual({ missing: [], lacks: 'whether the tuners stand in one row or in two' })
  expect(laid(untold(fullBuild(), 'traits', 'neck', 'row'))).toEqual({ missing: [], lacks: 'the side the row stands on' })
})

it('holes in a guard are clear of no jack of which nobody said what holds it', () => {
  const bare = changed(drillable(fullBuild()), { 'guard/pot.hole': undefined }, { 'guard/bored.controls': 'none' })
  const jack = (build: Build) => card(build, 'pot-holes').guards.filter((g) => g.id === 'near-jack')
  expect(jack(bare)).toEqual([])
  expect(jack(untold(bare, 'traits', 'jack', 'held')).map((g) => [g.verdict, g.says])).toEqual([
    ['cant-tell', 'Not checked: nobody has said what holds the jack, and it may sit in the guard too.'],
  ])
})
