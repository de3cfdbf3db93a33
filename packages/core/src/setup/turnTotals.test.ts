import { expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { applyChange } from '../document/change'
import { noteTurns } from './noting'
import { turnTotals } from './turnTotals'

it('adds up each screw on its own, both ways, and knows when it was last turned', () => {
  const turned = [
    ['2026-11-24T19:00:00Z', [{ screw: 'truss', turns: 0.25 }]],
    ['2026-11-24T19:10:00Z', [{ screw: 'length', string: 2, turns: 1.5 }]],
    ['2026-11-25T19:00:00Z', [{ screw: 'truss', turns: -0.125 }]],
    ['2026-11-25T19:05:00Z', [{ screw: 'length', string: 3, turns: -1 }]],
  ] as const
  const build = turned.reduce((b, [at, turns]) => applyChange(b, noteTurns(b, turns, at)), fullBuild())
  expect(turnTotals(build)).toEqual([
    { screw: 'truss', turns: 0.125, both: 0.375, times: 2, last: '2026-11-25T19:00:00Z' },
    { screw: 'length', string: 2, turns: 1.5, both: 1.5, times: 1, last: '2026-11-24T19:10:00Z' },
    { screw: 'length', string: 3, turns: -1, both: 1, times: 1, last: '2026-11-25T19:05:00Z' },
  ])
  expect(turnTotals(fullBuild())).toEqual([])
})
