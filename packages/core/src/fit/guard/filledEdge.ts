import type { Cure } from '../../judge/joint'
import { printMm } from '../../quantity/length'
import { elsewhere } from './elsewhere'

/** A wider strip in a route’s edge is a repair that shows, and the sizes are to be doubted first, mm. [practice, from memory] */
const FILLED_AT_MOST = 12
/** More than is just wanted, mm. [ours] */
const TO_SPARE = 0.5

interface ShownEdge {
  id: string
  /** What lies over it. */
  panel: 'guard' | 'control plate'
  /** Of which route, and where: “the neck route”, “the neck route’s edge”. */
  route: string
  edge: string
  /** What the panel lacks to cover it as is wanted, mm. */
  lack: number
}

/** A route that shows beside what is to cover it: its edge is moved in by a strip, as far as such a job goes. */
export function filledEdge({ id, panel, route, edge, lack }: ShownEdge): Cure {
  const wide = printMm(lack + TO_SPARE, 1)
  return lack + TO_SPARE > FILLED_AT_MOST
    ? elsewhere(
        `${id}-elsewhere`,
        `the places of the ${panel} and of ${route}`,
        panel,
        `It lacks ${wide} mm there: no edge is filled by so much.`,
      )
    : {
        id,
        job: `Glue a strip of the body’s wood, ${wide} mm wide, into ${edge} and cut it flush.`,
        how: `Before any coat goes on; or take a ${panel} that reaches further there.`,
        gives: 'nothing',
        tools: ['wood strip', 'wood glue', 'chisel'],
      }
}
