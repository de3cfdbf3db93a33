import { differences, wordOf, type Build } from '@snug/core'
import { useQuery } from '@tanstack/react-query'
import { Redo2, SquarePen, Undo2 } from 'lucide-react'
import { useCallback, useMemo, useState } from 'react'
import { Empty, Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import type { BuildEvent } from '../../state/api'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { usePrefs } from '../../state/prefs'
import { Button } from '../../ui/Button'
import { PegMark } from '../../ui/PegMark'
import { printedValue } from '../../ui/printedValue'
import { ThingButton } from '../../ui/ThingRow'
import { moment, shortDay, timeOfDay } from '../../ui/times'
import { VirtualRows } from '../../ui/VirtualRows'
import { evaluateAtBench } from '../../workers/compute'
import { LogTabs } from './tabs'
import { useBuildAt, useHistory } from './useHistory'

const ICON = { change: SquarePen, undo: Undo2, redo: Redo2 } as const
const KIND = { change: 'changed', undo: 'taken back', redo: 'made again' } as const
const kindOf = (e: BuildEvent): keyof typeof ICON => (e.kind === 'undo' || e.kind === 'redo' ? e.kind : 'change')
/** Differences shown at once. */
const MOST = 60

/** Every change of the build: what it did, the instrument as it was then, and the way back to it. */
export default function ChangesTab() {
  const { id } = useWhere()
  const revision = useBuild((s) => s.revision)
  const { data, fetchNextPage, hasNextPage, isFetchingNextPage, isLoading } = useHistory(id, revision)
  const events = useMemo(() => (data?.pages.flat() ?? []).map((e) => ({ ...e, id: String(e.revision) })), [data])
  const [chosen, setChosen] = useState<string>()
  const hand = events.find((e) => e.id === chosen) ?? events[0]
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) void fetchNextPage()
  }, [hasNextPage, isFetchingNextPage, fetchNextPage])
  const after = useBuildAt(id, hand?.revision).data
  return (
    <Workspace
      loupe={hand ? <Verdicts then={after} revision={hand.revision} /> : undefined}
      {...(after ? { build: after } : {})}
      listLabel="Changes, latest first"
      list={
        <div className="flex h-full flex-col">
          <LogTabs />
          {events.length ? (
            <VirtualRows
              items={events}
              hand={hand}
              onNearEnd={more}
              testId="change-rows"
              row={(e) => {
                const Icon = ICON[kindOf(e)]
                return (
                  <ThingButton
                    number={e.revision}
                    mark={<Icon size={17} aria-label={KIND[kindOf(e)]} />}
                    title={<span className="font-normal">{e.label}</span>}
                    about={KIND[kindOf(e)]}
                    figure={<span className="text-[13px]">{shortDay(e.at)}</span>}
                    under={timeOfDay(e.at)}
                    selected={e === hand}
                    onSelect={() => setChosen(e.id)}
                  />
                )
              }}
            />
          ) : (
            <Empty>{isLoading ? 'Fetching the changes…' : 'Nothing was changed yet since this build was put on the shelf.'}</Empty>
          )}
        </div>
      }
      hand={
        hand ? (
          <ChangeInHand key={hand.id} event={hand} after={after} />
        ) : (
          <p className="text-soft">Whatever is changed from now on can be looked at here, as it was, and brought back.</p>
        )
      }
    />
  )
}

/** Joints that were judged otherwise then than they are now. */
function Verdicts({ then, revision }: { then: Build | undefined; revision: number }) {
  const { id } = useWhere()
  const now = useBuild((s) => s.evaluation!.fit)
  const judged = useQuery({
    queryKey: ['judged', id, revision],
    queryFn: () => evaluateAtBench(then!, today(), useBench.getState().bench),
    enabled: then !== undefined,
    staleTime: Infinity,
  })
  const moved = judged.data?.fit.flatMap((j) => {
    const is = now.find((o) => o.id === j.id)
    return is?.verdict === j.verdict ? [] : [{ joint: j, is }]
  })
  return (
    <div className="h-full overflow-auto px-4 py-3" role="status">
      <h2 className="text-[18px]">Joints judged otherwise then</h2>
      {!moved ? (
        <p className="text-soft">Reckoning…</p>
      ) : moved.length === 0 ? (
        <p className="text-soft">None: every joint is judged now as it was then.</p>
      ) : (
        <ul className="mt-1">
          {moved.map(({ joint, is }) => (
            <li key={joint.id} className="flex items-center gap-1.5 py-0.5 text-[14.5px]">
              {joint.title}: <PegMark verdict={joint.verdict} size={17} silent /> {wordOf(joint.verdict, joint.condition)} then,{' '}
              {is ? (
                <>
                  <PegMark verdict={is.verdict} size={17} silent /> {wordOf(is.verdict, is.condition)} now
                </>
              ) : (
                'no longer there'
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function ChangeInHand({ event, after }: { event: BuildEvent; after: Build | undefined }) {
  const { id } = useWhere()
  const now = useOpenBuild()
  const revision = useBuild((s) => s.revision)
  const goBack = useBuild((s) => s.goBack)
  const before = useBuildAt(id, event.revision - 1).data
  const did = useMemo(() => (before && after ? differences(before, after) : undefined), [before, after])
  const since = useMemo(() => (after ? differences(now, after) : undefined), [now, after])
  const latest = event.revision === revision
  return (
    <div>
      <h2 className="text-[23px]">{event.label}</h2>
      <p className="text-[14px] text-soft">
        {moment(event.at)}, change {event.revision} of {revision}. The instrument above is drawn as it was after it.
      </p>
      <Differences title="What it did" rows={did} was="before" is="after" none="It left the build as it was." />
      {!latest && (
        <>
          <Differences title="What going back there would change" rows={since} was="now" is="then" none="The build reads the same now." />
          <div className="mt-3 flex flex-wrap gap-2">
            <Button look="main" disabled={!since?.length} onClick={() => void goBack(event.revision)}>
              Bring it back as it was after this
            </Button>
          </div>
          <p className="mt-1 text-[13px] text-soft">Bringing it back is a change like any other: nothing in this list is lost by it.</p>
        </>
      )}
    </div>
  )
}

function Differences({
  title,
  rows,
  was,
  is,
  none,
}: {
  title: string
  rows: ReturnType<typeof differences> | undefined
  was: string
  is: string
  none: string
}) {
  const system = usePrefs((p) => p.system)
  return (
    <section aria-label={title} className="mt-3">
      <h3 className="text-[18px]">{title}</h3>
      {!rows ? (
        <p className="text-soft">Looking…</p>
      ) : !rows.length ? (
        <p className="text-soft">{none}</p>
      ) : (
        <table aria-label={title} className="mt-1 w-full text-left text-[14.5px]">
          <thead className="label text-soft">
            <tr>
              <th scope="col">where</th>
              <th scope="col">{was}</th>
              <th scope="col">{is}</th>
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, MOST).map((d) => (
              <tr key={d.path.join('/')} className="border-t border-hairline align-top">
                <td className="py-1 pr-3">{d.what}</td>
                <td className="figure py-1 pr-3">{printedValue(d.path, d.was, system)}</td>
                <td className="figure py-1">{printedValue(d.path, d.is, system)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {rows && rows.length > MOST && <p className="text-[14px] text-soft">and {rows.length - MOST} more places.</p>}
    </section>
  )
}
