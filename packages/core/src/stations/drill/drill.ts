import { benchKey } from '../../drill/bench'
import type { HoleCard } from '../../drill/holeCard'
import { drawHole, holeCards } from '../../drill/holes'
import { printMm } from '../../quantity/length'
import type { Contribution } from '../contribution'
import { afterJoints } from './afterJoints'
import { drillSheet } from './sheet'
import { drillSteps } from './steps'

/** A tape flag counts as moved beyond this, mm. [ours] */
const MOVED = 0.05

/** Drill: a card for each hole or row of equal holes. */
export const drill: Contribution<HoleCard[]> = {
  result: (build, _today, earlier, remember, bench) =>
    afterJoints(
      remember(`drill ${benchKey(bench)}`, build, (b) => holeCards(b, bench)),
      earlier,
    ),
  steps: drillSteps,
  things: (build, cards, bench) =>
    cards.map((c) => ({ id: c.id, title: c.title, ...(c.places[0] ? { at: c.places[0] } : {}), draw: () => drawHole(build, c.id, bench) })),
  count: (_, cards) => cards.filter((c) => c.work !== 'keep' && c.stands !== 'ready' && c.stands !== 'done').length,
  sheets: (build, cards) => (cards.length ? [drillSheet(build, cards)] : []),
  moved: (before, after) => {
    const moved = after.filter((now) => {
      const was = before.find((c) => c.id === now.id)
      return was && (was.bit !== now.bit || was.work !== now.work || Math.abs((was.flag ?? 0) - (now.flag ?? 0)) > MOVED)
    })
    return moved.length ? [moved.map(movedWords).join(', ')] : []
  },
}

const movedWords = (c: HoleCard): string =>
  c.flag !== undefined
    ? `${c.title.toLowerCase()}: tape at ${printMm(c.flag, 1)} mm`
    : `${c.title.toLowerCase()}: ${WORK[c.work ?? 'unsaid']}`

const WORK = { keep: 'stays as it is', ream: 'opened up', plug: 'plugged and made anew', new: 'made', unsaid: 'not known yet' } as const
