import { datums } from '../../instrument/datums'
import { setupSheets } from '../../setup/setupSheets'
import { setupDrawing } from '../../setup/setupDrawing'
import { outOfTune, setupResult, type SetupResult } from '../../setup/setupResult'
import type { Contribution } from '../contribution'
import { setupSteps } from './steps'

/** String pull counts as moved beyond this, N. [ours] */
const MOVED = 0.5

/** Set up: relief, action and pitch, each as turns of the screw that does it. */
export const setup: Contribution<SetupResult> = {
  result: (build, _today, _earlier, remember) => remember('setup', build, setupResult),
  steps: setupSteps,
  draw: setupDrawing,
  things: (build, { moves }) => {
    const { scale } = datums(build)
    const along: Record<string, number> = { relief: scale * 0.37, action: scale / 2, intonation: scale, strings: scale * 0.35 }
    return [
      { id: 'first', title: 'First strings on' },
      ...moves,
      { id: 'intonation', title: 'Intonation at fret 12' },
      { id: 'strings', title: 'String pull' },
    ].map(({ id, title }) => ({ id, title, at: { x: along[id] ?? scale / 2, y: 0 } }))
  },
  sheets: (build, s) => (build.parts.strings ? setupSheets(build, s) : []),
  count: (_, s) => outOfTune(s) + s.moves.filter((m) => m.measured && !m.done).length,
  moved: (before, after) =>
    Math.abs(before.total - after.total) > MOVED ? [`string pull ${Math.round(before.total)} → ${Math.round(after.total)} N`] : [],
}
