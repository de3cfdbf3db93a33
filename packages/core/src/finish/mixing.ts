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

/** A wet coat of a thin colour takes about so much, ml per m2; sprayed, nearly half of it flies past. [practice] */
const WET = 60
const FLIES = 0.6

/** How much of a colour is wanted, ml: for both faces and the rim, or a band of them. @param width of the band from the edge, mm */
export function colourWanted(area: Area, coats: number, sprayed: boolean, width?: number): number {
  const faces = area.zones.front + area.zones.back
  const share = width === undefined ? 1 : Math.min(1, bandShare(area, width))
  return ((faces * share + area.zones.rim) * WET * coats) / (sprayed ? FLIES : 0.9)
}

/** Of a face, what lies within a band from its edge: the band is as long as the rim, and no more than the face. */
function bandShare(area: Area, width: number): number {
  const around = area.zones.binding / 0.007
  return (around * (width / 1000)) / area.zones.front
}

/** A burst as it is laid: from the light middle to the dark edge. */
export interface BurstStep {
  name: string
  colour?: string
  width?: number
  millilitres: number
  says: string
}

/** The order of a burst's colours, lightest first, each with how much and how it is put on. */
export function burstOrder(
  area: Area,
  colours: readonly { name: string; colour?: string; width?: number; coats: number; sprayed: boolean }[],
): BurstStep[] {
  const bright = (c?: string) => (c ? [1, 3, 5].reduce((s, i) => s + parseInt(c.slice(i, i + 2), 16), 0) : 0)
  return [...colours]
    .toSorted((a, b) => (b.width ?? Infinity) - (a.width ?? Infinity) || bright(b.colour) - bright(a.colour))
    .map(({ name, colour, width, coats, sprayed }) => {
      const millilitres = colourWanted(area, coats, sprayed, width)
      const where = width === undefined ? 'all over' : `${width} mm in from the edge`
      return {
        name,
        ...(colour ? { colour } : {}),
        ...(width === undefined ? {} : { width }),
        millilitres,
        says: `${name}: ${where}, ${sprayed ? 'sprayed' : 'brushed or wiped'}${width === undefined ? '' : sprayed ? ', pointed off the body' : ', its inner border softened while wet'}, ${say(millilitres)} ml. Dry before the next.`,
      }
    })
}
