import { printOhms, type Training } from '@snug/core'
import { useEffect, useState } from 'react'
import { Empty, Workspace } from '../../app/Workspace'
import { Button } from '../../ui/Button'
import { PickOnce } from '../../ui/PickOnce'
import { NumberEntry } from '../../ui/NumberEntry'
import { circuitWorker } from '../../workers/compute'
import { WireTabs } from './tabs'
import { useTestDrawing } from './useTestDrawing'
import { useCircuitBuild } from './useCircuitBuild'

/** One hidden fault in this very harness: meter and ears answer, the learner names it. */
export default function TrainerTab() {
  const build = useCircuitBuild()
  const [seed, setSeed] = useState(1)
  const [asked, setAsked] = useState<string[]>([])
  const [named, setNamed] = useState<string>()
  const [round, setRound] = useState<Training>()
  useEffect(() => {
    let live = true
    void circuitWorker()
      .training(build, seed, asked, named)
      .then((r) => live && setRound(r))
    return () => {
      live = false
    }
  }, [build, seed, asked, named])
  const again = (next: number) => {
    setSeed(next)
    setAsked([])
    setNamed(undefined)
  }
  const answers = new Map(round?.answers.map((a) => [a.test, a.outcome]))
  const drawing = useTestDrawing(round?.tests.find((t) => t.id === asked.at(-1)) ?? round?.tests[0])
  return (
    <Workspace
      loupe={drawing}
      listLabel="Tests"
      list={
        <div className="flex h-full flex-col">
          <WireTabs />
          {!round && <Empty>Hiding a fault…</Empty>}
          <ul className="min-h-0 flex-1 overflow-auto">
            {round?.tests.map((t) => (
              <li key={t.id} className="flex items-center justify-between gap-2 border-b border-hairline px-3 py-1">
                <span>{t.says}</span>
                {answers.has(t.id) ? (
                  <b className="figure">{outcomeWords(answers.get(t.id)!)}</b>
                ) : (
                  <Button
                    look="quiet"
                    disabled={named !== undefined}
                    aria-label={`Do it, ${t.minutes} min: ${t.says}`}
                    onClick={() => setAsked([...asked, t.id])}
                  >
                    do it, {t.minutes} min
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </div>
      }
      hand={
        <div className="flex flex-col gap-3">
          <h2 className="text-[22px]">Trainer, round {seed}</h2>
          <p>
            Something is wrong with this harness. Measure and listen on the left, as few minutes as you can, then name it. The same round
            comes again by its number.
          </p>
          <p className="text-soft">
            {asked.length} {asked.length === 1 ? 'test' : 'tests'} done.
          </p>
          {round && !round.score && (
            <PickOnce label="It is" nothing="name the fault" options={round.faults.map((f) => [f.id, f.says] as const)} onPick={setNamed} />
          )}
          {round?.score && (
            <section role="status">
              <p className={round.score.right ? 'text-[19px] text-snug' : 'text-[19px] text-wont'}>{round.score.says}</p>
              <p>
                <b className="figure">{round.score.points}</b> of 10 points.
              </p>
              {round.score.explains.map((e) => (
                <p key={e}>{e}</p>
              ))}
            </section>
          )}
          <div className="flex flex-wrap items-end gap-2">
            <Button look="main" onClick={() => again(seed + 1)}>
              Next round
            </Button>
            <Button onClick={() => again(seed)}>Begin again</Button>
            <div className="w-28">
              <NumberEntry label="Round number" value={seed} from={0} to={99999} whole onCommit={again} />
            </div>
          </div>
        </div>
      }
    />
  )
}

const outcomeWords = (o: number | string) => (typeof o === 'number' ? (o < 0.05 ? '0 Ω' : printOhms(o)) : o)
