import type { Build, FinishZone } from '../document/build'
import { daysBetween } from '../quantity/days'
import { dewPoint, DEW_MARGIN } from '../physics/dewPoint'
import { surfaceOf } from './stack'
import { zoneGroups } from './zones'
import { isAfter } from '../quantity/moments'
import { exactWait } from '../quantity/waits'
import { counted } from '../quantity/words'

/** What the log says that can be the ground of a trouble. */
export const FACTS = [
  'damp',
  'dew',
  'cold',
  'hot',
  'too soon',
  'too late',
  'forbidden',
  'many in one evening',
  'mist coats',
  'metallic',
  'metallic sanded',
  'dye over filler',
  'filler',
  'sealed',
  'sanded early',
  'cut through',
  'holes open',
  'oil',
  'stopped',
] as const
export type Fact = (typeof FACTS)[number]

const minute = (at: string) => Date.parse(`${at.slice(0, 16)}:00Z`) / 60000
/** Coats laid in one evening above which they are heavy. [ours] */
const MANY = 4

/** Facts of what was really laid, each with its sentence. @param zone only what touches it */
export function filmEvidence(build: Build, zone?: FinishZone): Map<Fact, string> {
  const facts = new Map<Fact, string>()
  const say = (fact: Fact, says: string) => facts.has(fact) || facts.set(fact, says)
  const groups = zoneGroups(build).filter((g) => !zone || g.zones.includes(zone))
  const layers = groups.flatMap((g) => g.layers)
  for (const g of groups) {
    for (const layer of g.layers) {
      const coats = Array.from({ length: layer.coats }, (_, i) => i + 1).flatMap((n) => {
        const id = `${g.id === 'whole' ? '' : `${g.id}/`}${layer.key}-${n}`
        const laid = build.finish.laid?.[id]
        return laid ? [{ n, ...laid }] : []
      })
      const named = layer.label.toLowerCase()
      coats.forEach((c, i) => {
        const where = `${named} ${c.n}`
        const [low, high] = layer.limits.air
        if (c.humidity !== undefined && c.humidity > layer.limits.humidity[1])
          say('damp', `${where} went on at ${c.humidity} % humidity; it wants at most ${layer.limits.humidity[1]} %`)
        if (c.air !== undefined && c.air < low) say('cold', `${where} went on at ${c.air} °C; it wants ${low} °C`)
        if (c.air !== undefined && c.air > high) say('hot', `${where} went on at ${c.air} °C; it wants at most ${high} °C`)
        if (c.air !== undefined && c.humidity !== undefined && c.surface !== undefined) {
          const margin = c.surface - dewPoint(c.air, c.humidity)
          if (margin < DEW_MARGIN) say('dew', `${where} went on a surface ${margin.toFixed(1)} °C above the dew point`)
        }
        const before = coats[i - 1]
        if (before) {
          const gap = minute(c.at) - minute(before.at)
          if (gap < layer.recoat)
            say('too soon', `${where} went on ${exactWait(gap)} after the last; the least is ${exactWait(layer.recoat)}`)
          if (layer.forbidden && gap > layer.forbidden[0] && gap < layer.forbidden[1])
            say(
              'forbidden',
              `${where} went on ${exactWait(gap)} after the last, between ${exactWait(layer.forbidden[0])} and ${exactWait(layer.forbidden[1])}`,
            )
          if (layer.keyAfter !== undefined && gap > layer.keyAfter)
            say('too late', `${where} went on ${exactWait(gap)} after the last, which wants a scuff`)
        }
        const same = coats.filter((x) => x.at.slice(0, 10) === c.at.slice(0, 10)).length
        if (same >= MANY) say('many in one evening', `${same} coats of ${named} in one evening`)
        const days = build.finish.passes
          ? Object.values(build.finish.passes).filter((p) => isAfter(p.at, c.at) && layer.beforeSanding !== undefined)
          : []
        const soon = days.find((p) => daysBetween(c.at.slice(0, 10), p.at.slice(0, 10)) * 1440 < (layer.beforeSanding ?? 0))
        if (soon && layer.name === 'top')
          say(
            'sanded early',
            `sanded ${counted(daysBetween(c.at.slice(0, 10), soon.at.slice(0, 10)), 'day')} after ${where}; it wants ${exactWait(layer.beforeSanding!)}`,
          )
      })
      if (layer.product === 'lacquer-mist') say('mist coats', 'laid in mist coats')
      if (layer.medium === 'metallic') say('metallic', `there is ${named} in it`)
      if (layer.medium === 'oil' || layer.medium === 'hard-wax') say('oil', `${named} is wiped on`)
    }
    const dye = g.layers.findIndex((l) => l.name === 'dye')
    const filler = g.layers.findIndex((l) => l.name === 'filler')
    if (filler >= 0) say('filler', 'there is grain filler under it')
    if (dye >= 0 && filler >= 0) say('dye over filler', 'dye and filler lie on each other')
  }
  const sealed = surfaceOf(build)
  if (sealed === 'sealed' || sealed === 'coated') say('sealed', `the body came ${sealed}`)
  if (sealed === undefined && build.parts.body) say('sealed', 'whether the body came sealed was never said')
  const passes = Object.values(build.finish.passes ?? {}).filter((p) => !zone || p.zone === undefined || p.zone === zone)
  const cut = passes.find((p) => p.through)
  if (cut) say('cut through', `cut through at ${cut.through}s on ${cut.at.slice(0, 10)}`)
  if (passes.length && facts.has('metallic') && !layers.some((l) => l.name === 'top'))
    say('metallic sanded', 'it was sanded with no clear over it')
  if (passes.length && !build.steps['seal-holes']?.done)
    say('holes open', 'wet sanding was logged and the holes were never ticked as sealed')
  const dates = [...new Set(Object.values(build.finish.laid ?? {}).map((c) => c.at.slice(0, 10)))].toSorted()
  if (dates.length > 1 && daysBetween(dates[0]!, dates.at(-1)!) > 21)
    say('stopped', `coats lie ${daysBetween(dates[0]!, dates.at(-1)!)} days apart`)
  return facts
}
