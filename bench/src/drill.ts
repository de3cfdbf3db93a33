import { headTask, holeCards, layHead, templateOf, type HeadTask } from '@snug/core'
import { templatePdf } from '@snug/formats'
import { drillable } from '@snug/core/testing/drillable'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { heron } from '@snug/demo'
import { median, row } from './measure'

/** Every card, a headstock laid out, and paper: what Drill asks of a person's patience. */
export async function benchDrill(): Promise<void> {
  const full = drillable(fullBuild())
  row('all hole cards of the fullest build', await median(50, () => holeCards(full)))
  row('all hole cards of Heron', await median(50, () => holeCards(heron('2026-11-24', '2027-02-15', '2026-12-05'))))
  const six = taskOf(headTask(full))
  row('headstock laid out, 6 posts in line', await median(9, () => layHead(six)))
  const twelve: HeadTask = {
    ...six,
    rows: 'two',
    count: 12,
    strings: Array.from({ length: 12 }, (_, i) => 22 - 4 * i),
    outline: [
      { x: -230, y: -42 },
      { x: 0, y: -42 },
      { x: 0, y: 42 },
      { x: -230, y: 42 },
    ],
    housing: { width: 14, length: 14 },
    marks: [],
  }
  row('headstock laid out, 12 posts in two rows', await median(9, () => layHead(twelve)))
  row('headstock laid out, 12 posts in line', await median(9, () => layHead({ ...twelve, rows: 'one', side: 'bass' })))
  const template = templateOf(full, 'body-front')!
  row('PDF of the body template, A4', await median(9, () => templatePdf(template, 'Trial', 'a4')))
}

function taskOf(found: ReturnType<typeof headTask>): HeadTask {
  if (!('task' in found)) throw new Error('There is no headstock to lay out.')
  return found.task
}
