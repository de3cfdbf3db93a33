import { describe, expect, it } from 'vitest'
import { applyChange } from '../document/change'
import { planJob, setSize } from '../document/changes'
import { aBuild, aPart } from '../testing/bench'
import { evaluate } from '../evaluate/evaluate'
import { whatMoved } from './things'

/** Both of one wood and grain: the year moves heel and pocket alike. */
const WOOD = { wood: 'hard-maple', grain: 'flat' }
const build = aBuild({
  body: aPart(
    'body',
    {
      thickness: 44,
      'pocket.widthMouth': 56.1,
      'pocket.widthEnd': 56.3,
      'pocket.length': 76,
      'pocket.depth': 16,
      mouthToBridge: 255,
    },
    WOOD,
  ),
  neck: aPart(
    'neck',
    {
      scale: 647.7,
      nutToHeelEnd: 462,
      'heel.widthMouth': 56.45,
      'heel.widthEnd': 56.1,
      'heel.thickness': 25.4,
      'head.thickness': 14,
      crown: 1.1,
    },
    WOOD,
  ),
  strings: aPart('strings', { 'gauge.1': [0.254, 'listed', 0.005], 'gauge.2': [0.33, 'listed', 0.005] }),
})
const moved = (change: Parameters<typeof applyChange>[1]) =>
  whatMoved(evaluate(build, '2026-11-24'), evaluate(applyChange(build, change), '2026-11-24'))
const calipers = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })

describe('what an edit moved', () => {
  it('a verdict, by name, old and new', () =>
    expect(moved(setSize(build, { slot: 'body', size: 'pocket.widthMouth' }, calipers(56.7)))).toContain(
      'heel in pocket, at the mouth: tight → snug',
    ))
  it('a number that moved without a verdict', () =>
    expect(moved(setSize(build, { slot: 'body', size: 'pocket.widthMouth' }, calipers(56.05))).join()).toMatch(
      /heel in pocket, at the mouth −0\.35 → −0\.40/,
    ))
  it('string pull when a gauge changes', () =>
    expect(moved(setSize(build, { slot: 'strings', size: 'gauge.1' }, { value: 0.28, doubt: 0.005, known: 'listed' })).join()).toMatch(
      /string pull \d+ → \d+ N/,
    ))
  it('nothing when nothing did', () =>
    expect(moved({ label: 'name', edits: [{ path: ['name'], from: 'Trial', to: 'Other' }] })).toEqual([]))
  it('a job on paper moves what the real size would', () =>
    expect(moved(planJob(build, 'x', { slot: 'body', size: 'pocket.widthMouth', delta: 0.6, doubt: 0.05, text: 'shave' }))).toContain(
      'heel in pocket, at the mouth: tight → snug',
    ))
})
