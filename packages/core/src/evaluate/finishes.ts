import type { Build } from '../document/build'
import type { Bench } from '../drill/bench'
import { offerOf, SYSTEM_IDS, withSystem, type Ending, type TriedFinishes, type FinishOffer } from '../finish/offers'
import { evaluator } from './evaluator'

const endingOf = ({ plan }: { plan: { ends?: string; undated: readonly string[] } }): Ending => ({
  ...(plan.ends ? { ends: plan.ends } : {}),
  atEarliest: plan.undated.length > 0,
})

/**
 * Every finish tried in the whole build, one after another: a film is followed by days of other work, and only the plan of all of it says
 * when that is done. The one that is chosen is taken as it stands, with its own layers and what is laid of them.
 * @returns all that is known so far, a finish more each time
 */
export function* triedFinishes(build: Build, today: string, bench?: Bench): Generator<TriedFinishes> {
  const evaluated = evaluator()
  const offers: FinishOffer[] = []
  for (const id of SYSTEM_IDS) {
    const e = evaluated(id === build.finish.system ? build : withSystem(build, id), today, bench)
    offers.push(offerOf(id, e.finish, endingOf(e), build.due))
    yield { offers: [...offers] }
  }
  if (build.due && offers.every((o) => o.late)) {
    const { laid: _, zones: __, layers: ___, under: ____, ...finish } = build.finish
    const e = evaluated({ ...build, finish: { ...finish, system: 'none' } }, today, bench)
    yield { offers, bare: endingOf(e) }
  }
}
