import type { Build } from '../../document/build'
import type { FinishResult } from '../../finish/finishPlan'
import { coatsBy } from '../../finish/coatGroups'
import type { Coat } from '../../finish/schedule'
import { before } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { daysBetween } from '../../quantity/days'

/** Sanding after all wood work, each layer after the one below, the rub-out once the film is hard. */
export function finishSteps(build: Build, { system, plan }: FinishResult, earlier: readonly Step[]): Step[] {
  if (!Object.keys(build.parts).length) return []
  const sand = step({
    id: 'sand',
    title: 'Sand to P180, P240, P320; ease sharp pocket edges; mask the pocket',
    why: 'Paint wears on sharp edges first, and film in the pocket closes the joint.',
    station: 'finish',
    stage: 'film',
    minutes: 120,
    cautions: ['Dust mask (P2 or N95) or extraction. Old finish may hold lead: test before sanding.'],
    befores: earlier
      .filter((s) => s.stage === 'wood' || s.stage === 'trial')
      .map((s) => before(s.id, s.station === 'drill' ? 'holesBeforeFinish' : 'dryFitFirst')),
  })
  if (!plan) return [sand]
  let last = sand
  const layers = coatsBy(plan.coats, 'layer').map(({ id: layer, coats }) => {
    const [from, to] = [coats[0]!.date, coats.at(-1)!.date]
    last = step({
      id: coatsStep(layer),
      title: `${coats[0]!.label}: ${coats.length} coats`,
      why: `${from} to ${to}, ${system.label.toLowerCase()}.`,
      station: 'finish',
      stage: 'film',
      thing: from,
      minutes: coats.reduce((sum, c) => sum + c.hands, 0),
      calendar: { from, to },
      cautions: system.cautions,
      befores: [before(last.id, 'dryFitFirst')],
    })
    return last
  })
  const rub = step({
    id: 'rub-out',
    title: 'Rub out and polish',
    why: `Not before ${plan.rubOut}: ${system.rubOut}.`,
    station: 'finish',
    stage: 'film',
    minutes: 150,
    rest: daysBetween(plan.lastCoat, plan.rubOut),
    cautions: ['Polishing pads in a drill grab: both hands, edge turning away from you.'],
    befores: [before(last.id, 'cureBeforeRub')],
  })
  return [sand, ...layers, rub]
}

/** Under which id the coats of a layer are ticked off. */
export const coatsStep = (layer: Coat['layer']): string => `coats-${layer}`
