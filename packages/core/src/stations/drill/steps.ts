import type { Build } from '../../document/build'
import type { HoleCard } from '../../drill/holeCard'
import { before, parcelsOf } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'

/** A step for each card that may be drilled, after its part has come and the trial build has shown the place. */
export const drillSteps = (_: Build, cards: readonly HoleCard[], earlier: readonly Step[]): Step[] =>
  cards
    .filter((c) => c.state !== 'refused')
    .map((c) =>
      step({
        id: `drill-${c.id}`,
        title: `Drill: ${c.title.toLowerCase()}`,
        why: c.says,
        station: 'drill',
        stage: 'wood',
        thing: c.id,
        minutes: 10 + 5 * Math.max(1, c.places.length),
        tools: c.tools,
        cautions: c.cautions,
        befores: [
          ...parcelsOf([c.slot], earlier),
          ...earlier.filter((s) => s.stage === 'trial').map((s) => before(s.id, 'placeBeforeHoles')),
        ],
      }),
    )
