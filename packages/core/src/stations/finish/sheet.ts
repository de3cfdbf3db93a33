import { CLOSINGS } from '../../finish/closing'
import type { Build } from '../../document/build'
import { finishCards } from '../../finish/cards'
import { coatsBy, coatsSay } from '../../finish/coatGroups'
import { finishDrawing } from '../../finish/filmDrawing'
import type { FinishResult } from '../../finish/finishPlan'
import { waitSays } from '../../quantity/waits'
import { STOP_TEST } from '../../finish/sections'
import { sayDay } from '../../quantity/days'
import { potOf } from '../../finish/mixing'
import type { Sheet, SheetBlock } from '../sheet'
import { counted } from '../../quantity/words'

/** The finish to take to the bench: the stacks, what to buy, the coats evening by evening to tick, the cards asked for, cautions. */
export function finishSheet(build: Build, f: FinishResult): Sheet {
  const evenings = coatsBy(f.plan?.coats ?? [], 'date')
  const mixes = Object.values(build.finish.mixes ?? {})
  return {
    id: 'finish-sheet',
    title: 'Finish sheet',
    about: `${build.name}. Times and films are the trade’s usual ranges, or the label’s where it was written down; the label always wins.`,
    blocks: [
      ...f.groups.flatMap((g): SheetBlock[] => [
        { heading: `${g.label}: ${g.zones.join(', ')}` },
        {
          table: {
            columns: ['from the wood', 'coats', 'µm each', 'next after', 'sand', 'how'],
            rows: g.layers.map((l) => [
              l.label,
              String(l.coats),
              l.film ? String(l.film) : 'in the wood',
              waitSays(l.recoat),
              l.sanding ?? (l.beforeSanding === undefined ? 'never' : `after ${waitSays(l.beforeSanding)}`),
              l.how,
            ]),
          },
        },
      ]),
      { drawing: finishDrawing(build) },
      { heading: 'To buy' },
      {
        table: {
          columns: ['product', 'ml', 'containers'],
          rows: f.shopping.map((s) => [
            s.label,
            String(Math.round(s.millilitres)),
            `${counted(s.containers, s.containerName)} of ${s.container} ml`,
          ]),
        },
      },
      ...mixes.flatMap((m): SheetBlock[] => {
        const pot = potOf(m, 100)
        return pot ? [{ text: `${m.name}, for 100 ml: ${pot.says}` }] : []
      }),
      { heading: 'Coats, evening by evening' },
      {
        tick: evenings.map(({ id, coats }) => {
          const open = coats.filter((c) => !c.laid)
          const groups = coatsBy(open, 'step').map((g) => coatsSay(g.coats))
          return `${sayDay(id)}: ${groups.join(' · ') || 'all laid'}`
        }),
      },
      ...(f.plan ? [{ text: `${CLOSINGS[f.plan.closing].title}: not before ${sayDay(f.plan.rubOut)}, counted from the last coat.` }] : []),
      { heading: 'A grit is done when' },
      { tick: [...STOP_TEST] },
      ...finishCards(build)
        .filter((c) => c.asked)
        .flatMap((c): SheetBlock[] => [
          { heading: c.title },
          ...(c.numbers.length ? [{ text: c.numbers.map((n) => `${n.label}: ${n.value}`).join(' · ') }] : []),
          { tick: c.lines },
        ]),
      { heading: 'Cautions' },
      { text: f.cautions.join(' ') },
    ],
  }
}
