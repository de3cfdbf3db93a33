import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { isSaid, sizeRef } from '../document/read'
import { likelyOf } from '../quantity/distribution'
import { knownBuild } from '../testing/anyBuild'
import { throughOf } from '../testing/aThrough'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

const NEEDED = [
  ...(['pocket.length', 'pocket.depth', 'pocket.tilt'] as const).map((size) => sizeRef('body', size)),
  ...(['nutToHeelEnd', 'heel.thickness'] as const).map((size) => sizeRef('neck', size)),
]

/** Glued, on the body's centre line, its board ending where its heel does, its guard with a millimetre beside it. */
function glued(build: Build): Build {
  const wide = build.parts.body!.sizes['pocket.widthEnd']?.value
  const set = changed(
    without(build, 'neck-screws'),
    { 'body/axisAtBridge': 0, ...(build.parts.guard && wide !== undefined ? { 'guard/neck.width': wide + 2 } : {}) },
    { 'neck/joint': 'set', 'body/neckIs': 'own' },
  )
  const { neck } = set.parts
  return { ...set, parts: { ...set.parts, neck: { ...neck!, sizes: { ...neck!.sizes, boardLength: neck!.sizes.nutToHeelEnd! } } } }
}

/** Every check of the build by its name that hangs on nothing unknown, with its clearance. */
const clearances = (build: Build): Map<string, number> =>
  new Map(
    JOINT_KINDS.filter((k) => existsIn(k, build)).flatMap((k) =>
      k
        .find(build)
        .checks.filter((c) => !c.unknown.length && !c.supposed)
        .map((c) => [`${k.id}/${c.id}`, likelyOf(c.clearance)] as const),
    ),
  )

/** Of a pocket, and of how the guard's cut-out goes round a heel. */
const OF_POCKET = /^pocket-|^neck-screws|^guard-cover\/neck-cut/

describe('a neck in one piece with its body', () => {
  it('is judged as the same neck glued in, whatever is read of it: only its pocket is not', () => {
    let met = 0
    holds(
      fc.property(knownBuild, (drawn) => {
        if (!drawn.parts.body || !drawn.parts.neck || !isSaid(drawn, ...NEEDED)) return
        const build = glued(drawn)
        const [apart, one] = [clearances(build), clearances(throughOf(build))]
        for (const id of one.keys()) expect(apart.has(id), id).toBe(true)
        for (const [id, clearance] of apart) {
          if (OF_POCKET.test(id) || !one.has(id)) continue
          expect(one.get(id), id).toBeCloseTo(clearance, 6)
          met++
        }
      }),
      200,
    )
    expect(met).toBeGreaterThan(100)
  })

  it('has no joint in a pocket, and its neck no screws', () => {
    const kinds = JOINT_KINDS.filter((k) => existsIn(k, throughOf(fullBuild()))).map((k) => k.id)
    expect(kinds.filter((id) => /pocket|neck-screws/.test(id))).toEqual([])
    expect(JOINT_KINDS.filter((k) => existsIn(k, fullBuild())).filter(({ id }) => /pocket|neck-screws/.test(id))).toHaveLength(4)
  })
})
