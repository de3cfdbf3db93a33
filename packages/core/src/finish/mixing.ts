import type { ColourMix } from '../document/build'
import type { Area } from './cover'

/** One colour of a mix as it is measured out. */
export interface Measured {
  name: string
  /** Share of the colour, 0 to 1. */
  share: number
  millilitres: number
}

/** A pot: what goes in, and what it is thinned with. */
export interface Pot {
  parts: Measured[]
  colour: number
  thinner: number
  total: number
  says: string
}

/**
 * Parts to millilitres. Thinning is said of the paint: 15 % of 200 ml are 30 ml on top; one part to nine is 900 %. [practice]
 * @param ready millilitres wanted when it is thinned
 */
export function potOf(mix: Pick<ColourMix, 'parts' | 'thin'>, ready: number): Pot | undefined {
  const sum = mix.parts.reduce((s, p) => s + p.parts, 0)
  if (sum <= 0 || ready <= 0) return undefined
  const colour = ready / (1 + mix.thin / 100)
  const thinner = ready - colour
  const parts = mix.parts.map((p) => ({ name: p.name, share: p.parts / sum, millilitres: (colour * p.parts) / sum }))
  const list = parts.map((p) => `${say(p.millilitres)} ml ${p.name}`).join(', ')
  return { parts, colour, thinner, total: ready, says: thinner > 0 ? `${list}, then ${say(thinner)} ml of thinner.` : `${list}.` }
}

/** One part to so many parts, as percent of the paint. */
export const oneTo = (parts: number): number => parts * 100

const say = (ml: number) => (ml < 10 ? ml.toFixed(1) : String(Math.round(ml)))

/** A wet coat of a thin colour takes about so much, ml per m2. [practice] */
const WET = 60
/** Share of what is sprayed that flies past. [practice] */
export const OVERSPRAY = 0.4

/** How much of a colour of one's own is wanted, ml: sprayed over both faces and the rim. */
export const colourWanted = ({ zones }: Area, coats: number): number =>
  ((zones.front + zones.back + zones.rim) * WET * coats) / (1 - OVERSPRAY)
