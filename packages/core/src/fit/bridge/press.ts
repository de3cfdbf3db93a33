import type { Build } from '../../document/build'
import { filmToCome } from '../../finish/film'
import type { Question, Cure } from '../../judge/joint'
import { gapOf } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'

/** A bushing is tapped in while it is larger than its bore by no more than this, mm. [practice] */
export const PRESSED = 0.17
/** A thicker wrap gives way under a stud’s pull, or in a ferrule’s bore sets it askew, mm. [practice, from memory] */
export const WRAPPED_AT_MOST = 0.3
/** Bushing minus bore, mm: +0.05 to +0.15 taps in square. [practice] */
export const PRESS_BANDS: readonly Band[] = [
  { upTo: -0.8, is: 'wont-go' },
  { upTo: 0.03, is: 'loose' },
  { upTo: PRESSED, is: 'snug' },
  { upTo: 0.9, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]

/** A bushing tapped into the body: bridge studs and tailpiece studs alike. */
export function pressCheck(
  build: Build,
  { id, label, stud, bore, slot, size }: { id: string; label: string; stud: Size; bore: Size; slot: 'body'; size: string },
): Question {
  const i = gapOf([
    [1, stud],
    [-1, bore],
  ])
  return {
    id,
    label,
    clearance: i,
    bands: PRESS_BANDS,
    // Film in the bore makes it smaller, so the bushing sits tighter.
    coats: -filmToCome(build, { slot, size }),
    says: () => {
      const v = likelyOf(i)
      const by = printMm(Math.abs(v))
      const off =
        by === '0'
          ? 'The bushing is no larger than its bore'
          : v < 0
            ? `The bore is ${by} mm larger than the bushing`
            : `The bushing is only ${by} mm larger than its bore`
      if (v < 0.03) return `${off}: the studs stand loose and lean under string pull.`
      if (v <= PRESSED)
        return `The bushing taps in, ${printMm(v)} mm larger than its bore: square, protected, after trying the bridge on loose posts.`
      return `The bushing is ${printMm(v)} mm larger than its bore; driven in it splits the wood.`
    },
    cures: ({ verdict }) => (verdict === 'snug' ? [] : pressCures(stud, bore, { slot, size })),
  }
}

/** What is wrapped round a bushing of so much over its bore, both sides, mm. */
const lacking = (over: number): number => Math.max(0.1, 0.1 - over)
/** So loose that no wrap holds it: the bore is plugged. */
export const pastWrapping = (over: number): boolean => lacking(over) / 2 > WRAPPED_AT_MOST

function pressCures(stud: Size, bore: Size, ref: { slot: 'body'; size: string }): Cure[] {
  const v = stud.value - bore.value
  const to = stud.value - 0.1
  if (v > 0.15)
    return [
      {
        id: 'ream-bore',
        job: `Drill the bores out to ${printMm(to)} mm.`,
        how: 'Try the bit in scrap of the same wood first; drill press or stand, tape flag for the depth.',
        gives: 'body',
        tools: ['bit of that size', 'drill stand'],
        plan: { ...ref, delta: to - bore.value, doubt: 0.04 },
      },
    ]
  const lack = lacking(v)
  const plugged = (job: string): Cure => ({
    id: 'plug-stud',
    job: `${job} with dowel of the same grain and drill it anew, ${printMm(to)} mm.`,
    how: 'An evening to dry; lasts for good. Before any coat goes on.',
    gives: 'nothing',
    tools: ['dowel', 'wood glue', 'drill stand'],
    plan: { ...ref, delta: to - bore.value, doubt: 0.05 },
  })
  if (pastWrapping(v)) return [plugged('Plug the bore')]
  return [
    {
      id: 'wrap-stud',
      job: `Wrap the bushing: ${printMm(lack / 2)} mm of paper or foil all round.`,
      how: 'Reversible, tried first. Press with the stud in, protected, square to the top.',
      gives: 'nothing',
      tools: ['paper or foil strip', 'clamp or soft-faced hammer'],
      plan: { ...ref, delta: -lack, doubt: 0.04 },
    },
    plugged('Or plug the bore'),
    {
      id: 'glue-stud',
      job: 'Or set the bushing in epoxy.',
      how: 'Quick, and hard to undo: the bushing comes out only with the wood round it. Gloves; no skin contact.',
      gives: 'nothing',
      tools: ['epoxy', 'gloves'],
    },
  ]
}
