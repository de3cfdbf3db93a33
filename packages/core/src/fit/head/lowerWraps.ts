import type { Build } from '../../document/build'
import { drawnAt } from '../../judge/known'

/** So many turns more than are wanted anyway; with yet more a string lies over itself. [practice] */
const MOST_MORE = 3
/** The lowest wrap clears what the post stands in by so much, mm. [practice, from memory] */
const CLEAR = 2

/** One string that is wound further down its post: so many turns more than the others, each lower by its own thickness. */
export interface Further {
  n: number
  turns: number
}

/**
 * How a string gets its lowest wrap down to where it bears, in whole turns. Nothing where that takes more than a person winds, or more than the
 * post has room for.
 * @param wrap where the lowest wrap lies, and wanted: where it has to, both mm above the headstock's face
 */
export function furtherDown(build: Build, n: number, wrap: number, wanted: number): Further | undefined {
  const gauge = drawnAt(build, { slot: 'strings', size: `gauge.${n}` })
  const turns = Math.ceil((wrap - wanted) / gauge - 1e-9)
  return turns > MOST_MORE || wrap - turns * gauge < CLEAR ? undefined : { n, turns }
}
