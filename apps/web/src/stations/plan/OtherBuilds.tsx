import { isOut, type Build, type PlannedStep, type Shared } from '@snug/core'
import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useWhere } from '../../app/where'
import { api } from '../../state/api'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useResting } from '../../state/restingStore'
import { today } from '../../state/today'
import { Toggle } from '../../ui/Toggle'
import { day } from '../../ui/times'
import { rankWorker } from '../../workers/compute'

/** Steps shown of the weeks ahead. */
const NEXT = 14
const NONE: readonly Shared[] = []

/** All builds that share this bench and this person's evenings: when each is done beside the others, and what comes next of all of them. */
export function OtherBuilds() {
  const { id } = useWhere()
  const open = useOpenBuild()
  const revision = useBuild((s) => s.revision)
  const unsent = useBuild((s) => s.unsent)
  const bench = useBench((s) => s.bench)
  const { resting, rest } = useResting()
  const shelf = useQuery({ queryKey: ['shelf-builds'], queryFn: allBuilds, staleTime: 0 })
  const on = useMemo(
    () =>
      (shelf.data ?? [])
        .map((b) => (b.id === id ? { id, build: open } : b))
        .filter((b) => b.id === id || !(resting.includes(b.id) || isOut(b.build))),
    [shelf.data, id, open, resting],
  )
  const shared = useQuery({
    queryKey: ['shared-bench', today(), on.map((b) => b.id).join(), revision, unsent],
    queryFn: () => rankWorker().sharedBench(on, today(), bench),
    enabled: on.length > 0,
    placeholderData: (before) => before,
    gcTime: 0,
  })
  const found = shared.data ?? NONE
  const next = useMemo(() => nextOf(found), [found])
  if (shelf.isError) return <p className="p-4 text-wont">{shelf.error.message}</p>
  return (
    <section aria-label="On this bench" className="px-4 py-3">
      <h2 className="text-[20px]">On this bench</h2>
      <p className="text-[14px] text-soft">
        One person, one set of evenings: of what comes next in each, the one with least time to its own promised day is worked first.
      </p>
      <table className="mt-2 w-full text-left text-[15px]">
        <caption className="sr-only">Builds and their promised days</caption>
        <thead className="label text-soft">
          <tr>
            <th scope="col">build</th>
            <th scope="col">promised</th>
            <th scope="col">alone</th>
            <th scope="col">beside the others</th>
            <th scope="col">on the bench</th>
          </tr>
        </thead>
        <tbody>
          {(shelf.data ?? []).map((b) => (
            <Row
              key={b.id}
              id={b.id}
              name={b.build.name}
              shared={found.find((s) => s.id === b.id)}
              gone={isOut(b.build)}
              open={b.id === id}
              resting={resting}
              rest={rest}
            />
          ))}
        </tbody>
      </table>
      {next.length > 0 && (
        <>
          <h3 className="mt-4 text-[18px]">Next, of all of them</h3>
          <ul>
            {next.map(({ step, of }) => (
              <li key={`${of.id} ${step.id}`} className="grid grid-cols-[6rem_1fr_auto] gap-3 border-t border-hairline py-1 text-[15px]">
                <span className="figure">{day(step.date!)}</span>
                <span className="min-w-0 truncate">
                  <b>{of.name}</b> {step.title}
                </span>
                <span className="figure">{step.minutes} min</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

const allBuilds = async (): Promise<{ id: string; build: Build }[]> =>
  Promise.all((await api.builds()).map(async (b) => ({ id: b.id, build: (await api.build(b.id)).build })))

function nextOf(shared: readonly Shared[]): { step: PlannedStep; of: Shared }[] {
  return shared
    .flatMap((of) => of.plan.steps.filter((s) => s.state !== 'done' && s.date && !s.atEarliest).map((step) => ({ step, of })))
    .toSorted((a, b) => a.step.date!.localeCompare(b.step.date!))
    .slice(0, NEXT)
}

function Row({
  id,
  name,
  shared,
  open,
  gone,
  resting,
  rest,
}: {
  id: string
  name: string
  shared: Shared | undefined
  open: boolean
  /** Handed over: nobody works at it. */
  gone: boolean
  resting: readonly string[]
  rest: (id: string, rests: boolean) => void
}) {
  const off = resting.includes(id) && !open
  return (
    <tr className="border-t border-hairline align-top">
      <td className="py-1.5 pr-3 font-bold">{open ? name : <Link to={`/builds/${id}/plan?tab=bench`}>{name}</Link>}</td>
      <td className="figure py-1.5 pr-3">{shared?.due ? day(shared.due) : ''}</td>
      <td className="figure py-1.5 pr-3">{shared?.alone ? day(shared.alone) : ''}</td>
      <td className="py-1.5 pr-3">
        {shared?.ends ? (
          <>
            <span className="figure">{day(shared.ends)}</span>
            {shared.later > 0 && `, ${shared.later} ${shared.later === 1 ? 'day' : 'days'} later`}
            {shared.late > 0 && <b className="block text-wont">{shared.late} days after its day</b>}
          </>
        ) : gone && !open ? (
          'handed over'
        ) : off ? (
          'rests'
        ) : (
          'no evening is free'
        )}
      </td>
      <td className="py-1">
        {open ? 'open here' : gone ? '' : <Toggle label={`${name} is`} on={!off} onChange={(is) => rest(id, !is)} />}
      </td>
    </tr>
  )
}
