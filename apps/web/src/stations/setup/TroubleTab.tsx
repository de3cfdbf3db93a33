import { openTrouble, playingDiagnosis, playingSymptomsOf, setSetup, type PlayingTrouble } from '@snug/core'
import { useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { writeDown } from '../../state/logQueue'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { ThingRow } from '../../ui/ThingRow'
import { SetupTabs } from './tabs'
import { useSetupDrawing } from './useSetupDrawing'
import { now } from '../../state/now'
import { shortDay } from '../../ui/times'
import { newId } from '../../state/newId'

/** What is wrong at playing: causes ranked by what is usual, what was read and what checks have shown; the next check by its minutes. */
export default function TroubleTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const buildId = useBuild((s) => s.id)!
  const queries = useQueryClient()
  const drawing = useSetupDrawing()
  const all = useMemo(() => playingSymptomsOf(build).map((s) => playingDiagnosis(build, s, openTrouble(build, s.id)?.[1].found)), [build])
  const [seen, setSeen] = useState<string>()
  const diagnosis = all.find((d) => d.symptom.id === seen) ?? all.find((d) => openTrouble(build, d.symptom.id)) ?? all[0]!
  const hand = diagnosis.symptom
  const open = openTrouble(build, hand.id)
  const found = open?.[1].found
  const put = (more: Partial<PlayingTrouble>, label: string) => {
    const id = open?.[0] ?? newId()
    const trouble = { ...(open?.[1] ?? { symptom: hand.id, at: now() }), ...more }
    change((b) => setSetup(b, 'troubles', { ...b.setup.troubles, [id]: trouble }, `${hand.label}: ${label}`))
  }
  const answer = (check: string, yes: boolean) => put({ found: { ...found, [check]: yes } }, `${check} ${yes ? 'yes' : 'no'}`)
  const was = (cause: (typeof diagnosis.suspects)[number]) => {
    put({ cause: cause.id }, cause.says)
    const text = `${hand.label}: ${cause.says}. ${cause.cure}`
    void writeDown(buildId, { kind: 'note', text, station: 'setup' }).then(() => queries.invalidateQueries({ queryKey: ['log', buildId] }))
  }
  const closed = Object.values(build.setup.troubles ?? {}).filter((t) => t.symptom === hand.id && t.cause)
  const asked = hand.checks.filter((c) => found?.[c.id] !== undefined)
  return (
    <Workspace
      fromSide
      loupe={drawing}
      listLabel="Trouble at playing"
      list={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          <ul>
            {all.map(({ symptom, suspects }) => (
              <ThingRow
                key={symptom.id}
                title={symptom.label}
                about={`First thought: ${suspects[0]!.says}`}
                figure={openTrouble(build, symptom.id) ? 'open' : ''}
                selected={symptom.id === hand.id}
                onSelect={() => setSeen(symptom.id)}
              />
            ))}
          </ul>
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">{hand.label}</h2>
          {diagnosis.next ? (
            <section aria-label="Next check" className="mt-2 border-l-4 border-violet pl-3">
              <p className="text-[14px] text-soft">
                Next, {diagnosis.next.minutes} {diagnosis.next.minutes === 1 ? 'minute' : 'minutes'}:
              </p>
              <p className="text-[16px]">{diagnosis.next.asks}</p>
              <div className="mt-2 flex gap-2">
                <Button className="min-h-12 flex-1 justify-center" onClick={() => answer(diagnosis.next!.id, true)}>
                  Yes
                </Button>
                <Button className="min-h-12 flex-1 justify-center" onClick={() => answer(diagnosis.next!.id, false)}>
                  No
                </Button>
              </div>
            </section>
          ) : (
            <p className="mt-2">Every check is answered. Cure the first, play it again; then the next.</p>
          )}
          <h3 className="mt-3 text-[18px]">What it may be</h3>
          <ol className="list-decimal pl-5">
            {diagnosis.suspects.map((c) => (
              <li key={c.id} className="mt-1 border-t border-hairline pt-1">
                <b className="figure">{Math.round(100 * c.share)} %</b> {c.says}
                {c.because && <span className="block text-[14px] text-mind">read: {c.because}</span>}
                <span className="block text-[14px] text-soft">{c.cure}</span>
                {asked.length > 0 && (
                  <Button look="quiet" onClick={() => was(c)}>
                    It was this<span className="sr-only">, {c.says}</span>
                  </Button>
                )}
              </li>
            ))}
          </ol>
          {asked.length > 0 && (
            <>
              <h3 className="mt-3 text-[18px]">Answered</h3>
              <ul>
                {asked.map((c) => (
                  <li key={c.id} className="flex items-center gap-2">
                    <span className="flex-1">
                      {c.asks} <b>{found![c.id] ? 'Yes' : 'No'}</b>
                    </span>
                    <Button look="quiet" onClick={() => answer(c.id, !found![c.id])}>
                      Change<span className="sr-only">, {c.asks}</span>
                    </Button>
                  </li>
                ))}
              </ul>
            </>
          )}
          {closed.map((t) => (
            <p key={t.at} className="mt-2 text-[15px]">
              {shortDay(t.at)}: it was {hand.causes.find((c) => c.id === t.cause)?.says ?? t.cause}
            </p>
          ))}
        </div>
      }
    />
  )
}
