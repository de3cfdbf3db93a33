import { applyChange, evaluate, evaluator, patchOf, setSize } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { heron } from '@snug/demo'
import { median, row } from './measure'

const TODAY = '2026-11-24'

/** From nothing to every station's result, and from an edited size to what it changes, as the interface's worker does it. */
export async function benchEvaluate(): Promise<void> {
  const full = fullBuild()
  const build = heron(TODAY, '2027-02-15', '2026-12-05')
  row('every station of Heron from nothing', await median(50, () => evaluate(build, TODAY)))
  row('every station of the fullest build from nothing', await median(50, () => evaluate(full, TODAY)))
  let width = 56.1
  const next = evaluator()
  let given = next(build, TODAY)
  row(
    'edit of a size to what it changes at all stations, sent over and back',
    await median(50, () => {
      width += 0.01
      const size = { value: width, doubt: 0.05, known: 'calipers' as const }
      const edited = applyChange(build, setSize(build, { slot: 'body', size: 'pocket.widthMouth' }, size))
      const evaluation = next(structuredClone(edited), TODAY)
      structuredClone(patchOf(given, evaluation))
      given = evaluation
    }),
  )
}
