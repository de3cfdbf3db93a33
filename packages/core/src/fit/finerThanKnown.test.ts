import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Check } from '../judge/joint'
import { digitsKnown } from '../quantity/digitsKnown'
import { doubtOf, likelyOf } from '../quantity/distribution'
import { anyBuild } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { checkIn } from '../testing/rows'
import { judgeJoints } from './index'

/** The numbers in a check's sentence that are its own figure, with more decimals than its doubt leaves. */
function finer(check: Check): string[] {
  const shown = check.shown ?? check.clearance
  if (check.unit === 'none' || !shown.length) return []
  const [value, digits] = [Math.abs(likelyOf(shown)), digitsKnown(doubtOf(shown))]
  return [...check.says.matchAll(/\d+\.(\d+)/g)]
    .filter(([text, decimals]) => decimals!.length > digits && Number(text) === Number(value.toFixed(decimals!.length)))
    .map(([text]) => `${text} in “${check.says}”, known to ±${doubtOf(shown)}`)
}

describe('no number is shown finer than it is known', () => {
  it('neither a joint’s figure nor what is said of a check', () =>
    void holds(
      fc.property(anyBuild, (build) => {
        for (const joint of judgeJoints(build)) {
          const at = (text: string) => `${joint.id}: ${text}`
          if (joint.figure)
            expect((joint.figure.text.split('.')[1] ?? '').length, at(joint.figure.text)).toBeLessThanOrEqual(
              digitsKnown(joint.figure.doubt),
            )
          expect(joint.checks.flatMap(finer).map(at)).toEqual([])
        }
      }),
      100,
    ))
  it('a pitch known to a third of a millimetre leaves a whole row told to a tenth', () => {
    const build = changed(fullBuild(), { 'tuners/width': 24.78, 'neck/tuner.pitch': 25.43 })
    build.parts.neck!.sizes['tuner.pitch'] = { value: 25.43, doubt: 0.33, known: 'listed' }
    const row = checkIn(build, 'tuner-row', 'row')
    // Five pitches between six posts: 1.65.
    expect(doubtOf(row.clearance)).toBeGreaterThan(1)
    expect(row.says).toMatch(/ with \d\.\d mm to spare\.$/)
  })
})
