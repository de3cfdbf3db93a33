import { buildBook, careSheet, handOver, isOut, knownFaults, reopen, totalSays, turnTotals } from '@snug/core'
import { useQuery } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { api } from '../../state/api'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { PrintSheet } from '../../ui/PrintSheet'
import { day, shortDay } from '../../ui/times'
import { LogTabs } from './tabs'

/** What goes along when the instrument goes: its book, how to care for it, and what is known to be open. */
export default function HandoverTab() {
  const { id } = useWhere()
  const build = useOpenBuild()
  const evaluation = useBuild((s) => s.evaluation!)
  const log = useQuery({ queryKey: ['log', id], queryFn: () => api.log(id) })
  const faults = useMemo(() => knownFaults(evaluation), [evaluation])
  return (
    <Workspace
      loupe={<TurnedSoFar />}
      listLabel="What is open"
      list={
        <>
          <LogTabs />
          <div className="px-4 py-3">
            <h2 className="text-[20px]">Known to be open</h2>
            {faults.length ? (
              <ul className="mt-1">
                {faults.map((f) => (
                  <li key={f} className="border-b border-hairline py-1.5">
                    {f}
                  </li>
                ))}
              </ul>
            ) : (
              <p className="text-soft">Every joint goes as it should, and every step is done.</p>
            )}
          </div>
        </>
      }
      hand={
        <div>
          <h2 className="text-[23px]">{isOut(build) ? 'Handed over' : 'Handing over'}</h2>
          <Delivery />
          <section aria-label="On paper" className="mt-5 border-t border-hairline pt-3">
            <h3 className="text-[18px]">What goes along</h3>
            <PrintSheet sheet={() => buildBook(build, evaluation, log.data ?? [])} label="Build book" named="build book" />
            <PrintSheet sheet={() => careSheet(build, evaluation.setup)} label="Care sheet" named="care sheet" />
            <a
              className="label mt-2 inline-flex min-h-10 items-center underline hover:text-violet"
              href={`/api/builds/${id}/bundle`}
              download
            >
              The whole build as one file, with its log and pictures
            </a>
          </section>
        </div>
      }
    />
  )
}

/** The counters of all screws that were turned and written down. */
function TurnedSoFar() {
  const build = useOpenBuild()
  const turns = turnTotals(build)
  return (
    <div className="h-full overflow-auto px-4 py-3">
      <h2 className="text-[18px]">Screws turned so far</h2>
      {turns.length === 0 ? (
        <p className="text-soft">None was written down. Turns made as told at Set up, or said in the log, are counted here.</p>
      ) : (
        <table className="mt-1 w-full text-left text-[15px]">
          <caption className="sr-only">Turns of the screws</caption>
          <thead className="label text-soft">
            <tr>
              <th scope="col">screw</th>
              <th scope="col">stands at</th>
              <th scope="col">altogether</th>
              <th scope="col">last</th>
            </tr>
          </thead>
          <tbody>
            {turns.map((t) => {
              const [screw, stands, altogether] = totalSays(t)
              return (
                <tr key={screw} className="border-t border-hairline">
                  <td className="py-1 pr-3">{screw}</td>
                  <td className="py-1 pr-3">{stands}</td>
                  <td className="py-1 pr-3">{altogether}</td>
                  <td className="figure py-1">{shortDay(t.last)}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
    </div>
  )
}

function Delivery() {
  const build = useOpenBuild()
  const evaluation = useBuild((s) => s.evaluation!)
  const change = useBuild((s) => s.change)
  const [to, setTo] = useState('')
  const [why, setWhy] = useState('')
  const { delivered } = build
  const open = knownFaults(evaluation).length
  return (
    <>
      {delivered && (
        <p>
          On {day(delivered.on)}
          {delivered.to ? `, to ${delivered.to}` : ''}, with {delivered.faults.length || 'nothing'} known to be open.
          {delivered.reopened && ` Taken in again on ${day(delivered.reopened.on)}: ${delivered.reopened.why}.`}
        </p>
      )}
      {delivered && isOut(build) ? (
        <>
          {delivered.faults.length > 0 && (
            <ul className="mt-1 list-disc pl-5 text-[15px]">
              {delivered.faults.map((f) => (
                <li key={f}>{f}</li>
              ))}
            </ul>
          )}
          <form
            className="mt-3"
            onSubmit={(e) => {
              e.preventDefault()
              change((b) => reopen(b, today(), why))
            }}
          >
            <label className="label block text-[14px] text-soft" htmlFor="why-again">
              What its next test showed, or its player says
            </label>
            <input id="why-again" className={INPUT} value={why} maxLength={400} onChange={(e) => setWhy(e.target.value)} />
            <Button className="mt-2" type="submit" disabled={!why.trim()}>
              Take it in again
            </Button>
          </form>
        </>
      ) : (
        <form
          onSubmit={(e) => {
            e.preventDefault()
            change((b) => handOver(b, evaluation, today(), to))
          }}
        >
          <p className="mt-1 text-[15px]">
            {open
              ? `${open === 1 ? 'One thing is' : `${open} things are`} known to be open. What is open is written down as it is today and stands in its book; it can be taken in again.`
              : 'Nothing is known to be open.'}
          </p>
          <label className="label mt-2 block text-[14px] text-soft" htmlFor="hand-to">
            Who it goes to
          </label>
          <input id="hand-to" className={INPUT} value={to} maxLength={120} onChange={(e) => setTo(e.target.value)} />
          <Button className="mt-2" type="submit">
            Handed over{delivered ? ' once more' : ''} today
          </Button>
        </form>
      )}
    </>
  )
}
