import { byMoment, causesOf, FILM_SYMPTOMS, finishDrawing, setFinish } from '@snug/core'
import { useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { api } from '../../state/api'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { ThingRow } from '../../ui/ThingRow'
import { FinishTabs } from './tabs'
import { usePaint } from './usePaint'
import { now } from '../../state/now'
import { moment } from '../../ui/times'
import { newId } from '../../state/newId'

/** What went wrong, why it did by what was logged, and the ways back with their time and cost. */
export default function TroubleTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const buildId = useBuild((s) => s.id)!
  const queries = useQueryClient()
  const paint = usePaint()
  const drawing = useMemo(() => finishDrawing(build), [build])
  const logged = Object.entries(build.finish.troubles ?? {}).toSorted(([, a], [, b]) => byMoment(b.at, a.at))
  const [seen, setSeen] = useState<string>()
  const hand = FILM_SYMPTOMS.find((s) => s.id === (seen ?? logged[0]?.[1].symptom)) ?? FILM_SYMPTOMS[0]!
  const causes = useMemo(() => causesOf(build, hand), [build, hand])
  const log = (way?: string) => {
    const at = now()
    const [open] = logged.find(([, t]) => t.symptom === hand.id && !t.way) ?? []
    const id = way && open ? open : newId()
    const trouble = { ...(build.finish.troubles?.[id] ?? { symptom: hand.id, at }), ...(way ? { way } : {}) }
    const text = `${hand.label}${way ? `: ${hand.ways.find((w) => w.id === way)!.says}` : ''}`
    void api
      .addLog(buildId, { kind: 'mistake', text, station: 'finish' })
      .then(() => queries.invalidateQueries({ queryKey: ['log', buildId] }))
    change((b) =>
      setFinish(
        b,
        'troubles',
        { ...b.finish.troubles, [id]: trouble },
        `${hand.label}${way ? `: ${hand.ways.find((w) => w.id === way)!.says.slice(0, 60)}` : ''}`,
      ),
    )
  }
  return (
    <Workspace
      paint={paint}
      loupe={drawing}
      listLabel="Trouble"
      list={
        <div className="flex min-h-full flex-col">
          <FinishTabs />
          <ul>
            {FILM_SYMPTOMS.map((s) => {
              const times = logged.filter(([, t]) => t.symptom === s.id).length
              return (
                <ThingRow
                  key={s.id}
                  title={s.label}
                  about={s.ways[0]!.says}
                  figure={times ? `${times} ×` : ''}
                  selected={s.id === hand.id}
                  onSelect={() => setSeen(s.id)}
                />
              )
            })}
          </ul>
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">{hand.label}</h2>
          <h3 className="mt-2 text-[18px]">Why, likeliest first</h3>
          <ol className="list-decimal pl-5">
            {causes.map((c) => (
              <li key={c.says} className="mt-1">
                <span className="figure">{Math.round(100 * c.share)} %</span> {c.says}
                {c.because.map((b) => (
                  <span key={b} className="block text-[14px] text-mind">
                    logged: {b}
                  </span>
                ))}
              </li>
            ))}
          </ol>
          <h3 className="mt-3 text-[18px]">Ways back</h3>
          <ul>
            {hand.ways.map((w) => (
              <li key={w.id} className="border-t border-hairline py-2">
                {w.says}
                <span className="block text-[14px] text-soft">
                  {w.minutes} min at the bench, {w.days === 0 ? 'on at once' : `${w.days} ${w.days === 1 ? 'day' : 'days'} of waiting`};
                  costs {w.cost}
                </span>
                <Button className="mt-1" aria-label={`This one: ${w.says}`} onClick={() => log(w.id)}>
                  This one
                </Button>
              </li>
            ))}
          </ul>
          <Button className="mt-2" onClick={() => log()}>
            It happened: write it down
          </Button>
          {logged
            .filter(([, t]) => t.symptom === hand.id)
            .map(([id, t]) => (
              <p key={id} className="mt-1 text-[15px]">
                {moment(t.at)}
                {t.way ? `: ${hand.ways.find((w) => w.id === t.way)?.says ?? t.way}` : ', nothing done about it yet'}
              </p>
            ))}
        </div>
      }
    />
  )
}
