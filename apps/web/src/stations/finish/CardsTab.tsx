import type { CARD_IDS } from '@snug/core'
import { finishCards, finishDrawing, maskMarks, wearMarks } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { ThingRow } from '../../ui/ThingRow'
import { CardLines } from './CardLines'
import { FinishTabs } from './tabs'
import { usePaint } from './usePaint'
import { WearMap } from './WearMap'

/** Jobs of their own at the finish, those this build asks for first. */
export default function CardsTab() {
  const build = useOpenBuild()
  const paint = usePaint()
  const cards = useMemo(() => finishCards(build), [build])
  const drawing = useMemo(() => finishDrawing(build), [build])
  const [seen, setSeen] = useState<(typeof CARD_IDS)[number]>()
  const hand = cards.find((c) => c.id === seen) ?? cards[0]!
  const done = (id: string, lines: readonly string[]) => lines.filter((_, i) => build.finish.ticked?.[`${id}-${i}`]).length
  const masked = useMemo(() => (hand.id === 'masking' ? maskMarks(build) : hand.id === 'relic' ? wearMarks(build) : []), [build, hand.id])
  return (
    <Workspace
      paint={paint}
      overlay={masked}
      loupe={drawing}
      listLabel="Cards"
      list={
        <div className="flex min-h-full flex-col">
          <FinishTabs />
          <ul>
            {cards.map((c) => (
              <ThingRow
                key={c.id}
                title={c.title}
                about={c.why}
                figure={`${done(c.id, c.lines)} of ${c.lines.length}`}
                under={c.asked ? 'asked for here' : ''}
                selected={c.id === hand.id}
                onSelect={() => setSeen(c.id)}
              />
            ))}
          </ul>
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">{hand.title}</h2>
          <p>{hand.why}</p>
          {hand.numbers.length > 0 && (
            <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3">
              {hand.numbers.map((n) => (
                <div key={n.label} className="contents">
                  <dt className="text-soft">{n.label}</dt>
                  <dd className="figure">{n.value}</dd>
                </div>
              ))}
            </dl>
          )}
          {hand.id === 'relic' && <WearMap />}
          <CardLines key={hand.id} card={hand} />
          <Caution lines={hand.cautions} />
        </div>
      }
    />
  )
}
