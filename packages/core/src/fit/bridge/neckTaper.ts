import type { Build } from '../../document/build'
import { asTold, isGlued } from '../../document/read'
import { CARD } from '../../instrument/neckAngle'

/** What tilts a neck in its pocket. */
interface Taper {
  /** "a tapered shim", as the job names it. */
  what: string
  how: string
  tools: string[]
}

const BOLTED: Taper = {
  what: 'a tapered shim',
  how: 'A full-length taper supports the whole heel.',
  tools: ['tapered shim', 'screwdriver'],
}
/** Glue holds where wood meets wood: under a glued heel nothing may be hollow. [practice] */
const GLUED: Taper = {
  what: 'a full-length taper of the same wood glued under the heel and planed',
  how: 'It has to touch everywhere: a glued neck stands on no card and no strip. Tried dry, with a straight edge to the bridge, before the neck is glued.',
  tools: ['plane', 'wood glue', 'clamps'],
}

/** Is it glue that will hold it? With screws chosen for it nobody is asked; what was said all the same holds. */
export const willBeGlued = (build: Build): boolean => isGlued(build.parts['neck-screws'] ? asTold(build) : build)

export const neckTaper = (build: Build): Taper => (willBeGlued(build) ? GLUED : BOLTED)

/** What a card at the pocket's end would do, where one may lie there. */
export const cardSays = (build: Build, degrees: number, rise: string): string =>
  willBeGlued(build)
    ? ''
    : ` A plastic card (${CARD} mm) at the end would give ${degrees.toFixed(2)}° and raise the plane ${rise} mm at the saddle.`
