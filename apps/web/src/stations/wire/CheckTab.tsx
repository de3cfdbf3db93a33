import { counted, fits, listenSheet, OPEN_LINE, printOhms, type Hunt } from '@snug/core'
import { useState } from 'react'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { PrintSheet } from '../../ui/PrintSheet'
import { Toggle } from '../../ui/Toggle'
import { ListenGrid } from './ListenGrid'
import { WireTabs } from './tabs'
import { useTestDrawing } from './useTestDrawing'
import { TestEntry } from './TestEntry'
import { useHarness } from './useHarness'
import { useHunt } from './useHunt'

type Line = Hunt['checks'][number]

/** The check before anything is closed: the fewest tests that find every fault that any test can find. */
export default function CheckTab() {
  const { hunt, found, tell, tellAll, clear } = useHunt()
  const build = useOpenBuild()
  const wire = useBuild((s) => s.evaluation!.wire)
  const harness = useHarness()
  const [listening, setListening] = useState(false)
  const [log, setLog] = useState<string>()
  const lines = hunt?.checks ?? []
  const done = lines.filter((l) => found[l.test.id] !== undefined)
  const bad = done.filter((l) => !fits(l, found[l.test.id]!))
  const drawing = useTestDrawing(lines.find((l) => found[l.test.id] === undefined)?.test ?? lines[0]?.test)
  const take = async (file: File) => {
    const { readMeterLog } = await import('@snug/formats/meterLog')
    const read = readMeterLog(await file.text())
    if (!read.ok) return setLog(read.why)
    const wanted = lines.filter((l) => l.test.kind === 'ohms')
    const pairs = read.readings.flatMap((r, i) => {
      const line = r.line === undefined ? wanted[i] : lines[r.line - 1]
      return line?.test.kind === 'ohms' ? [[line.test.id, r.ohm] as const] : []
    })
    tellAll(Object.fromEntries(pairs), `${counted(pairs.length, 'reading')} from ${file.name}`)
    const left = read.readings.length - pairs.length
    setLog(`${counted(pairs.length, 'reading')} taken from ${file.name}${left ? `; ${left} had no line of the list to go to` : ''}.`)
  }
  return (
    <Workspace
      loupe={drawing}
      listLabel="Check list"
      list={
        <div className="flex h-full flex-col">
          <WireTabs />
          {!hunt && <Empty>Working out what to measure…</Empty>}
          {listening && harness && (
            <div className="min-h-0 flex-1 overflow-auto">
              <ListenGrid harness={harness} />
            </div>
          )}
          <ol className={listening ? 'hidden' : 'min-h-0 flex-1 overflow-auto'}>
            {lines.map((l, i) => (
              <li key={l.test.id} className="grid grid-cols-[1.5rem_1fr_10rem] items-center gap-2 border-b border-hairline px-3 py-1.5">
                <span className="figure text-right text-[13px] text-soft">{i + 1}</span>
                <span>
                  {l.test.says} <span className="block text-[13.5px] text-soft">should give {l.expect}</span>
                  {found[l.test.id] !== undefined && (
                    <span className={fits(l, found[l.test.id]!) ? 'block text-snug' : 'block text-wont'}>
                      {fits(l, found[l.test.id]!) ? 'as it should' : 'not as it should: see under Find a fault'}
                    </span>
                  )}
                </span>
                <TestEntry
                  test={l.test}
                  outcome={found[l.test.id]}
                  example={exampleOf(l)}
                  onTell={(o) =>
                    tell(l.test.id, o, `${l.test.says} ${o === undefined ? 'taken back' : typeof o === 'number' ? printOhms(o) : o}`)
                  }
                />
              </li>
            ))}
          </ol>
        </div>
      }
      hand={
        <div>
          <h2 className="text-[22px]">Before it is closed</h2>
          <p role="status">
            {hunt ? `${done.length} of ${lines.length} done` : 'Working out what to measure'}
            {bad.length ? `, ${bad.length} not as it should be` : ''}.
          </p>
          <p className="mt-2">
            A beep says that metal touches metal, not that it is the right metal: so that what must stay silent is on the list too. A beeper
            stays silent through a coil’s kilohms: read the figures.
          </p>
          <p className="mt-2 text-soft">
            What is typed: ohms as the meter shows them, OL for an open line. The list holds the fewest tests that find every fault any test
            finds without an iron, what needs the guard open last.
          </p>
          <Toggle label="Listening sheet: every position, every control" on={listening} onChange={setListening} />
          {listening && wire.ok && <PrintSheet sheet={() => listenSheet(build, wire)} label="Print the listening sheet" />}
          <div className="mt-3 flex flex-wrap items-center gap-2">
            {hunt && (
              <FileButton name="Choose a meter’s log" accept=".csv,.txt,text/csv,text/plain" onFile={(f) => void take(f)}>
                Readings from a meter’s log
              </FileButton>
            )}
            <Button disabled={!Object.keys(found).length} onClick={clear}>
              Begin again
            </Button>
          </div>
          {log && (
            <p role="status" className="mt-1">
              {log}
            </p>
          )}
          <p className="mt-1 text-[15px] text-soft">
            One reading a row, in the order of the list’s lines that take ohms; or the line’s number first, then the reading.
          </p>
        </div>
      }
    />
  )
}

const exampleOf = ({ should }: Line): string =>
  typeof should === 'number' ? (should >= OPEN_LINE ? 'OL' : printOhms(should).replace(' ', '')) : ''
