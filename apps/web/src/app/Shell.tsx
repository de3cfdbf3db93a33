import { countsOf, STATION_NAME, type Station } from '@snug/core'
import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import { Outlet, useParams } from 'react-router'
import { Hatches } from '../drawing/Hatches'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { Sheet } from '../ui/Sheet'
import { useTitle } from '../ui/useTitle'
import { ConflictSheet } from './ConflictSheet'
import { Finder } from './Finder'
import { Header } from './Header'
import { KeysSheet } from './KeysSheet'
import './layout.css'
import './print.css'
import { nextMeasure } from './next'
import type { Pocket } from './pocket'
import { QuickLog } from './QuickLog'
import { Sill } from './Sill'
import { SkipLinks } from './SkipLinks'
import { ToolRoll } from './ToolRoll'
import { TrialBar } from './TrialBar'
import { useKeys } from './useKeys'
import { useWhere } from './where'

/** How long a field may take to appear with its station, ms. */
const PATIENCE = 3000

/** The field appears with the station, on a slow machine some frames later: it is focused once it stands, unless the person has moved on. */
function focusOnceThere(selector: string): void {
  const [until, from] = [performance.now() + PATIENCE, document.activeElement]
  const look = () => {
    const field = document.querySelector<HTMLElement>(selector)
    if (field) field.focus()
    else if (performance.now() < until && [from, document.body].includes(document.activeElement)) requestAnimationFrame(look)
  }
  requestAnimationFrame(look)
}

/** Everything round the stations of one open build. */
export function Shell({ pockets }: { pockets: Record<Station, Pocket> }) {
  const { id = '' } = useParams()
  const { station, go } = useWhere()
  const { open, build, evaluation, early, problem } = useBuild(
    useShallow(({ open, build, evaluation, early, problem }) => ({ open, build, evaluation, early, problem })),
  )
  const [sheet, setSheet] = useState<'find' | 'log' | 'keys'>()
  useEffect(() => void open(id), [id, open])
  const acts = useMemo(
    () => ({
      go,
      find: () => setSheet('find'),
      log: () => setSheet('log'),
      keys: () => setSheet('keys'),
      measure: () => {
        const s = useBuild.getState()
        const next = s.build && s.evaluation ? nextMeasure(s.build, s.evaluation, s.ranked) : undefined
        if (next?.joint) go('fit', next.joint)
        else if (next) go('parts', next.ref.slot)
        if (next) focusOnceThere(`[data-size="${next.ref.slot}/${next.ref.size}"] input`)
      },
    }),
    [go],
  )
  useKeys(acts)
  useTitle(station && STATION_NAME[station], build?.name)
  // A whole station is laid out for the first time: in pieces, so that the page hears fingers meanwhile.
  const ready = evaluation !== undefined || (early !== undefined && station === 'fit')
  const there = useDeferredValue(ready)
  const counts = useMemo(() => (build && evaluation ? countsOf(build, evaluation) : {}), [build, evaluation])
  if (problem)
    return (
      <main className="p-8">
        {problem}{' '}
        <a href="/" className="underline">
          Back to the shelf
        </a>
      </main>
    )
  if (!build)
    return (
      <main className="p-8 text-soft" aria-busy="true">
        Laying the build out…
      </main>
    )
  return (
    <div className="shell">
      <SkipLinks />
      <Hatches />
      <Header build={build} evaluation={evaluation} onFind={acts.find} onLog={acts.log} onKeys={acts.keys} />
      <ToolRoll id={id} station={station} counts={counts} pockets={pockets} />
      <main className="shell-main">
        {ready && there ? (
          <Outlet />
        ) : (
          <p className="p-8 text-soft" aria-busy="true">
            Reckoning…
          </p>
        )}
      </main>
      {evaluation && <TrialBar />}
      {evaluation && <Sill build={build} evaluation={evaluation} onMeasure={acts.measure} onStep={(s) => go('plan', s)} />}
      {evaluation && <Finder open={sheet === 'find'} onOpenChange={(o) => setSheet(o ? 'find' : undefined)} go={go} />}
      <Sheet open={sheet === 'log'} onOpenChange={(o) => setSheet(o ? 'log' : undefined)} title="Quick log">
        <QuickLog onDone={() => setSheet(undefined)} />
      </Sheet>
      <KeysSheet open={sheet === 'keys'} onOpenChange={(o) => setSheet(o ? 'keys' : undefined)} />
      <ConflictSheet />
    </div>
  )
}
