import type { Build } from '../../document/build'
import type { HoleCard } from '../../drill/holeCard'
import { before, parcelsOf } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { jobsBefore } from './afterJoints'

/** Which hole is marked by which other one. */
const BY_HOLE: Record<string, readonly string[]> = {
  'neck-screws': ['neck-clearance'],
  'string-holes': ['bridge-screws'],
  'ferrule-bores': ['string-holes'],
  'tail-bores': ['stud-bores'],
  'jack-passage': ['jack-bore'],
  'tuner-screws': ['tuner-bores'],
}

/** A step for each hole that is to be made, once its part has come and the trial build has shown the place; what is there needs none. */
export function drillSteps(_: Build, cards: readonly HoleCard[], earlier: readonly Step[]): Step[] {
  const todo = cards.filter((c) => c.work !== 'keep' && c.stands !== 'refused')
  return todo.map((c) => {
    const late = c.id === 'string-tree'
    return step({
      id: `drill-${c.id}`,
      title: c.work === undefined ? `Look, then drill: ${c.title.toLowerCase()}` : `${VERB[c.work]}: ${c.title.toLowerCase()}`,
      why: c.says,
      station: 'drill',
      stage: late ? 'strings' : 'wood',
      thing: c.id,
      slot: c.slot,
      minutes: (c.id.startsWith('route-') ? 60 : 10) + 5 * Math.max(1, c.places.length),
      ...(c.with ? { tools: c.with } : {}),
      cautions: c.cautions,
      befores: [
        ...parcelsOf([c.slot], earlier),
        ...earlier.filter((s) => s.stage === 'trial').map((s) => before(s.id, 'placeBeforeHoles')),
        ...jobsBefore(c, earlier).map((s) => before(s.id, 'dryFitFirst')),
        ...(BY_HOLE[c.id] ?? []).filter((id) => todo.some((t) => t.id === id)).map((id) => before(`drill-${id}`, 'holeAfterHole')),
        ...(late ? [before('string-up', 'treeByStrings')] : []),
      ],
    })
  })
}

const VERB = { keep: 'Try', ream: 'Open up', plug: 'Plug and drill', new: 'Drill' } as const
