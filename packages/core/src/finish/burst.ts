import type { Build, FinishZone } from '../document/build'
import { areaToCoat, layerNeed } from './cover'
import type { Layer } from './stack'
import { zoneGroups } from './zones'

/** A colour as it is laid: from the light middle to the dark edge. */
export interface BurstStep {
  name: string
  colour?: string
  /** Of the band from the edge, mm. */
  width?: number
  millilitres: number
  says: string
}

const isColour = (l: Layer): boolean => l.colour !== undefined || l.burst !== undefined || l.name === 'dye'
const say = (ml: number) => (ml < 10 ? ml.toFixed(1) : String(Math.round(ml)))

/** The colours of the group that has the most of them, lightest first, each with how much of it and how it is put on. */
export function burstOrder(build: Build): { zones: readonly FinishZone[]; steps: BurstStep[] } {
  const area = areaToCoat(build)
  const [group] = zoneGroups(build).toSorted((a, b) => b.layers.filter(isColour).length - a.layers.filter(isColour).length)
  if (!group) return { zones: [], steps: [] }
  const bright = (c?: string) => (c ? [1, 3, 5].reduce((s, i) => s + parseInt(c.slice(i, i + 2), 16), 0) : 0)
  const steps = group.layers
    .filter(isColour)
    .toSorted((a, b) => (b.burst ?? Infinity) - (a.burst ?? Infinity) || bright(b.colour) - bright(a.colour))
    .map((layer) => {
      const { label: name, colour, burst: width } = layer
      const { millilitres } = layerNeed(area, group.zones, layer)
      const sprayed = layer.applied === 'spray'
      const where = width === undefined ? 'all over' : `${width} mm in from the edge`
      const border = width === undefined ? '' : sprayed ? ', pointed off the body' : ', its inner border softened while wet'
      return {
        name,
        ...(colour ? { colour } : {}),
        ...(width === undefined ? {} : { width }),
        millilitres,
        says: `${name}: ${where}, ${sprayed ? 'sprayed' : 'brushed or wiped'}${border}, ${say(millilitres)} ml. Dry before the next.`,
      }
    })
  return { zones: group.zones, steps }
}
