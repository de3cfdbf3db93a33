import { helpSheet, printOhms, type Hunt } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Empty, Workspace } from '../../app/Workspace'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { PrintSheet } from '../../ui/PrintSheet'
import { ThingRow } from '../../ui/ThingRow'
import { Complaints } from './Complaints'
import { Repairs } from './Repairs'
import { WireTabs } from './tabs'
import { useTestDrawing } from './useTestDrawing'
import { TestEntry } from './TestEntry'
import { useHunt } from './useHunt'

/** What could be wrong, the likeliest first, and the one test that tells most for the minutes it costs. */
export default function FaultTab() {
  const { hunt, found, tell, clear } = useHunt()
  const build = useOpenBuild()
  const wire = useBuild((s) => s.evaluation!.wire)
  const complained = Object.keys(build.circuit.complaints ?? {}).length > 0
  const [chosen, setChosen] = useState<string>()
  const told = Object.entries(found)
  const suspects = hunt?.suspects ?? []
  const hand = suspects.find((s) => s.id === chosen) ?? suspects[0]
  const drawing = useTestDrawing(hunt?.next?.test)
  return (
    <Workspace
      loupe={drawing}
      listLabel="Suspects"
      list={
        <div className="flex h-full flex-col">
          <WireTabs />
          {!hunt && <Empty>Going through every fault there could be…</Empty>}
          {hunt && !told.length && !complained && (
            <p className="px-4 py-3 text-soft">
              Nothing is measured yet: this is how often each happens. Begin with the test on the right.
            </p>
          )}
          <ul className="min-h-0 flex-1 overflow-auto">
            {suspects.map((s) => (
              <ThingRow
                key={s.id}
                title={s.says}
                about={
                  s.alike.length
                    ? `or ${s.alike.length === 1 ? 'another' : `one of ${s.alike.length} others`} that no test tells from it`
                    : s.cure
                }
                figure={`${s.chance < 0.01 ? '<1' : Math.round(s.chance * 100)} %`}
                selected={s.id === hand?.id}
                onSelect={() => setChosen(s.id)}
              />
            ))}
          </ul>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          {hunt && <Complaints all={hunt.symptoms} />}
          <Next hunt={hunt} found={found} tell={tell} />
          {hand && (told.length > 0 || complained) && (
            <section>
              <h3 className="text-[18px]">{hand.says}</h3>
              {hand.cure && <p>{hand.cure}</p>}
              {hand.alike.length > 0 && (
                <>
                  <p className="mt-1 text-soft">No test without an iron tells it from:</p>
                  <ul className="list-disc pl-5">
                    {hand.alike.map((a) => (
                      <li key={a}>{a}</li>
                    ))}
                  </ul>
                </>
              )}
            </section>
          )}
          {(told.length > 0 || complained) && <Repairs suspect={hand} />}
          {hunt !== undefined && hunt.pairs.length > 0 && (
            <section>
              <h3 className="text-[18px]">No single fault explains all of it: two at once?</h3>
              <ul>
                {hunt.pairs.map((p) => (
                  <li key={p.says.join()} className="border-t border-hairline py-1">
                    {p.says[0]} <b>and</b> {p.says[1]}{' '}
                    <span className="text-soft">
                      explains {p.explains} of {told.length}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {told.length > 0 && (
            <section>
              <h3 className="text-[18px]">Found out so far</h3>
              <ul>
                {told.map(([test, outcome]) => (
                  <li key={test} className="flex items-center justify-between gap-2 border-t border-hairline py-0.5">
                    <span>
                      {said(hunt, test)}: <b>{typeof outcome === 'number' ? printOhms(outcome) : outcome}</b>
                    </span>
                    <Button look="quiet" onClick={() => tell(test, undefined, 'A bench test taken back')}>
                      away
                    </Button>
                  </li>
                ))}
              </ul>
              <Button className="mt-2" onClick={clear}>
                Begin again
              </Button>
            </section>
          )}
          {wire.ok && (
            <section>
              <h3 className="text-[18px]">Asking somebody</h3>
              <p className="text-[15px] text-soft">Circuit, readings, complaints, tests and changes on one page.</p>
              <PrintSheet sheet={() => helpSheet(build, wire)} label="Print the help page" />
            </section>
          )}
          <Caution
            lines={[
              'A tingle from the strings means a dangerous amplifier or outlet: stop, unplug, have a licensed electrician look. Never open a mains or valve amplifier; nothing inside the guitar makes a faulty supply safe.',
            ]}
          />
        </div>
      }
    />
  )
}

const said = (hunt: Hunt | undefined, id: string) => hunt?.tests.find((t) => t.id === id)?.says.replace(/\.$/, '') ?? id

function Next({ hunt, found, tell }: { hunt: Hunt | undefined } & Pick<ReturnType<typeof useHunt>, 'found' | 'tell'>) {
  const next = hunt?.next
  if (!hunt) return null
  return (
    <section>
      <h2 className="text-[22px]">Next test</h2>
      {next ? (
        <>
          <p className="text-[17px]">{next.test.says}</p>
          <p className="text-[15px] text-soft">
            Were all well: {next.expect}. About {Math.max(1, Math.round(next.minutes))}{' '}
            {Math.round(next.minutes) > 1 ? 'minutes' : 'minute'}
            {next.test.open ? ', with the guard or panel open; nothing is unsoldered' : ''}.
          </p>
          <div className="mt-1 max-w-56" key={next.test.id}>
            <TestEntry
              test={next.test}
              outcome={found[next.test.id]}
              example=""
              onTell={(o) => tell(next.test.id, o, `${next.test.says} ${typeof o === 'number' ? printOhms(o) : (o ?? '')}`)}
            />
          </div>
        </>
      ) : (
        <p>No test without an iron tells any more.</p>
      )}
    </section>
  )
}
