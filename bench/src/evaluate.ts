import { applyChange, evaluate, setSize } from '@snug/core'
import { heron } from '@snug/demo'
import { median, row } from './measure'

/** From an edited size to every station's result anew. */
export async function benchEvaluate(): Promise<void> {
  const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
  let width = 56.1
  const edit = () => {
    width += 0.01
    return applyChange(build, setSize(build, { slot: 'body', size: 'pocket.widthMouth' }, { value: width, doubt: 0.05, known: 'calipers' }))
  }
  row('edit of a size to all verdicts and stations anew', await median(50, () => evaluate(edit(), '2026-11-24')))
}
