import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { anAct } from '../testing/edits'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { evaluate, type Evaluation } from './evaluate'
import { evaluator } from './evaluator'
import { patched, patchOf } from './patch'

const TODAY = '2026-11-24'
/** As it comes from another thread. */
const sent = <T>(x: T): T => structuredClone(x)

describe('evaluating one version after another', () => {
  it('gives what evaluating each alone gives, whatever a person does, and what is sent over is the same again', () => {
    holds(
      fc.property(fc.array(anAct, { minLength: 1, maxLength: 12 }), (acts) => {
        const next = evaluator()
        let build: Build = fullBuild()
        let given: Evaluation | undefined
        let received: Evaluation | undefined
        for (const act of acts) {
          build = act(build)
          const evaluation = next(sent(build), TODAY)
          expect(evaluation).toEqual(evaluate(build, TODAY))
          received = patched(received, sent(patchOf(given, evaluation)))
          given = evaluation
          expect(received).toEqual(evaluation)
        }
      }),
      60,
    )
  })
  it('a size moves what reads it; all else is the very object it was', () => {
    const next = evaluator()
    const before = next(sent(fullBuild()), TODAY)
    const after = next(sent(changed(fullBuild(), { 'body/pocket.widthMouth': 56.2 })), TODAY)
    const anew = after.fit.filter((j) => !before.fit.includes(j)).map((j) => j.id)
    expect(anew.length).toBeGreaterThan(0)
    expect(anew.length).toBeLessThan(12)
    for (const s of ['wire', 'finish', 'setup'] as const) expect(after[s], s).toBe(before[s])
  })
  it('each station is told of as soon as it is worked out, and what was sent over of one need not be sent again', () => {
    const next = evaluator()
    const told: [string, unknown][] = []
    const evaluation = next(sent(fullBuild()), TODAY, undefined, (station, result) => void told.push([station, result]))
    expect(told.map(([station]) => station)).toEqual(['parts', 'fit', 'drill', 'finish', 'wire', 'setup', 'plan', 'log'])
    for (const [station, result] of told) expect(result, station).toBe(evaluation[station as keyof Evaluation])
    // The joints went before the rest: afterwards they are only named.
    const early = { fit: evaluation.fit }
    const asked = next(sent(fullBuild()), TODAY)
    const patch = sent(patchOf(early, asked))
    expect(JSON.stringify(patch.fit ?? { list: [] }).length).toBeLessThan(JSON.stringify(evaluation.fit).length / 20)
    expect(patched(sent(early), patch)).toEqual(asked)
  })
  it('nothing changed: nothing is computed, and the patch is empty of joints', () => {
    const next = evaluator()
    const before = next(sent(fullBuild()), TODAY)
    const after = next(sent(fullBuild()), TODAY)
    expect(after.fit.every((j) => before.fit.includes(j))).toBe(true)
    expect(patchOf(before, after).fit).toEqual({ list: before.fit.map((j) => j.id) })
    expect(patchOf(before, after).wire).toBeUndefined()
  })
  it('a station that fails is computed anew when it can be', () => {
    const next = evaluator()
    next(fullBuild(), TODAY)
    expect(next({ ...fullBuild(), finish: undefined as never }, TODAY).failed.finish).toBeDefined()
    expect(next(fullBuild(), TODAY)).toEqual(evaluate(fullBuild(), TODAY))
  })
})
