import { bodyOutline, coatsBy, datums, dryingIn, finishDrawing, type FinishResult, type Mark } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { useTab } from '../../ui/StationTabs'
import { ChooseTab } from './ChooseTab'
import { FinishInHand } from './FinishInHand'
import { FINISH_TABS, FinishTabs } from './tabs'

/** Finish: coats laid on the person's evenings, what to buy, and whether the weather allows it. */
export default function FinishStation() {
  const finish = useBuild((s) => s.evaluation!.finish)
  const [tab] = useTab(FINISH_TABS)
  const { system } = finish
  if (!system || tab === 'choose') return <ChooseTab finish={finish} />
  return <CoatsTab finish={{ ...finish, system }} />
}

/** Coats laid and to lay, evening by evening. */
function CoatsTab({ finish }: { finish: Chosen }) {
  const build = useOpenBuild()
  const evenings = useMemo(() => coatsBy(finish.plan?.coats ?? [], 'date'), [finish])
  const { hand, pick } = useHand('finish', evenings)
  const drawing = useMemo(() => finishDrawing(build), [build])
  const overlay = useMemo((): Mark[] => {
    const outline = bodyOutline(build, datums(build).mouth)
    const tail = Math.max(...outline.map((p) => p.x))
    return [
      { mark: 'area', role: 'film', points: outline },
      { mark: 'label', at: { x: tail - 96, y: 30 }, text: `flats ${Math.round(finish.film.flat)} µm`, anchor: 'middle' },
      { mark: 'label', at: { x: tail - 96, y: 62 }, text: `edges ${Math.round(finish.film.edge)} µm`, anchor: 'middle' },
      ...pocketMark(build),
    ]
  }, [build, finish])
  return (
    <Workspace
      overlay={overlay}
      loupe={drawing}
      listLabel="Coats by evening"
      list={
        <div className="flex h-full flex-col">
          <FinishTabs />
          {finish.plan ? (
            <ul className="min-h-0 flex-1 overflow-auto">
              {evenings.map((e, i) => (
                <ThingRow
                  key={e.id}
                  number={i + 1}
                  title={format(parseISO(e.id), 'EEE d MMM')}
                  about={e.coats
                    .map((c) => `${c.label.toLowerCase()} ${c.number}${c.laid ? ' laid' : ''}${c.note ? ' (scuff first)' : ''}`)
                    .join(' · ')}
                  figure={`${e.coats.length} ${e.coats.length === 1 ? 'coat' : 'coats'}`}
                  under={`${e.coats.reduce((s, c) => s + c.hands, 0)} min`}
                  selected={e.id === hand?.id}
                  onSelect={() => pick(e.id)}
                />
              ))}
              <li className="px-4 py-3">
                <b>Rub out from {format(parseISO(finish.plan.rubOut), 'EEE d MMM')}</b>
                {finish.plan.allLaid ? ' counted from the last coat as it was laid' : ' if the coats go on as planned'}
                <span className="block text-[14px] text-soft">
                  {finish.system.rubOut}; full cure {finish.system.fullCure}. At {build.finish.weather.air} °C times run ×
                  {dryingIn(build.finish.weather).toFixed(2)}.
                </span>
              </li>
            </ul>
          ) : (
            <Empty>{finish.trouble}</Empty>
          )}
        </div>
      }
      hand={<FinishInHand finish={finish} coats={hand?.coats ?? []} next={finish.plan?.coats.find((c) => !c.laid)?.id} />}
    />
  )
}

type Chosen = FinishResult & { system: NonNullable<FinishResult['system']> }

/** The pocket, hatched when it is masked. */
function pocketMark(build: ReturnType<typeof useOpenBuild>): Mark[] {
  if (!build.finish.maskPocket) return []
  const d = datums(build)
  return [
    {
      mark: 'area',
      role: 'doubt',
      points: [
        { x: d.mouth, y: -28 },
        { x: d.heelEnd, y: -28 },
        { x: d.heelEnd, y: 28 },
        { x: d.mouth, y: 28 },
      ],
    },
    { mark: 'label', at: { x: (d.mouth + d.heelEnd) / 2, y: 40 }, text: 'masked', anchor: 'middle' },
  ]
}
