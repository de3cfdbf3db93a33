import type { Build } from '../../document/build'
import type { SizeRef } from '../../document/read'
import type { Question } from '../../judge/joint'
import { gapOf, sizeIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { capital } from '../../quantity/words'

/** How far places in the wood may differ from the part's own before it no longer drops on, mm. [practice] */
const PATTERN_PLAY = 0.5

/** Does what the part stands on, from first to last, lie where the body has it? */
export function patternCheck(build: Build, of: { what: 'bridge' | 'tailpiece'; own: SizeRef; body: SizeRef }): Question {
  const [own, wood] = [sizeIn(build, of.own), sizeIn(build, of.body)]
  const diff = gapOf([
    [1, own],
    [-1, wood],
  ])
  const off = Math.abs(likelyOf(diff))
  return {
    id: 'pattern',
    label: 'Mounting pattern',
    clearance: diff.map((n) => ({ ...n, mean: PATTERN_PLAY - Math.abs(n.mean) })),
    shown: diff,
    bands: [
      { upTo: -0.8, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      off <= PATTERN_PLAY
        ? `${capital(of.what)} ${printMm(own.value, 1)} mm and body ${printMm(wood.value, 1)} mm from first to last agree.`
        : `The ${of.what}’s pattern is ${printMm(own.value, 1)} mm and the body’s ${printMm(wood.value, 1)} mm: ${printMm(off, 1)} mm apart.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'plug-pattern',
              job: `Plug the old holes and drill at ${printMm(own.value, 1)} mm.`,
              how: 'Dowel of the same grain, an evening to dry; place by two threads for the outer strings.',
              gives: 'nothing',
              tools: ['dowel', 'wood glue', 'drill stand'],
              plan: { slot: 'body', size: of.body.size, delta: own.value - wood.value, doubt: 0.2 },
            },
            {
              id: `other-${of.what}`,
              job: `Or a ${of.what} whose pattern is ${printMm(wood.value, 1)} mm from first to last.`,
              how: 'Ask for the pattern in millimetres, not by name.',
              gives: `the ${of.what}`,
              tools: [],
            },
          ],
  }
}
