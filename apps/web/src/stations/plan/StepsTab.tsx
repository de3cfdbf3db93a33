import { placeOf, planDrawing, takeIn, type Evaluation, type PlannedStep } from '@snug/core'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useThings } from '../../state/useThings'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { ThingRow } from '../../ui/ThingRow'
import { StepInHand } from './StepInHand'
import { StepMark } from './StepMark'
import { ResumeCard } from './ResumeCard'
import { PlanTabs } from './tabs'
import { day, shortDay } from '../../ui/times'

/** The steps by their days with their reasons, and what can be done now. */
export function StepsTab() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const things = useThings()
  // What is next to do is taken in hand when nothing else was.
  const ordered = useMemo(() => {
    const first = plan.steps.find((s) => s.id === plan.ready[0])
    return first ? [first, ...plan.steps.filter((s) => s !== first)] : plan.steps
  }, [plan])
  const { hand, pick } = useHand('plan', ordered)
  const loupe = useMemo(() => planDrawing(plan, today(), build.due, hand?.id), [plan, build.due, hand?.id])
  const pins = useMemo(
    () =>
      [...plan.steps.filter((s) => s.state === 'done'), ...plan.steps.filter((s) => s.state === 'ready')].map((s, i) => {
        const at = placeOf(build, things, s)
        // Several steps on one place fan out a little.
        return {
          id: s.id,
          at: { x: at.x + (i % 3) * 12, y: at.y + (i % 2) * 14 },
          label: `${s.title}: ${s.state}`,
          shape: <StepShape state={s.state} />,
        }
      }),
    [build, things, plan],
  )
  if (!hand)
    return (
      <Workspace
        loupe={undefined}
        listLabel="Steps"
        list={<Empty>No steps yet. They grow from the parts you choose (key 1).</Empty>}
        hand={null}
      />
    )
  return (
    <Workspace
      pins={pins}
      selected={hand.id}
      onPick={pick}
      loupe={loupe}
      listLabel="Steps in order"
      list={
        <>
          <PlanTabs />
          <ResumeCard onNext={pick} />
          <ul>
            {plan.steps.map((s, i) => (
              <ThingRow
                key={s.id}
                number={i + 1}
                mark={<StepMark step={s} />}
                title={<span className={s.state === 'done' ? 'font-normal line-through decoration-hairline' : ''}>{s.title}</span>}
                about={
                  s.state === 'blocked'
                    ? `after: ${[...new Set(s.open.map((b) => plan.steps.find((o) => o.id === b.id)!.title))].join(', ')}`
                    : s.dries
                      ? `dries until ${day(s.dries)}: ${s.why}`
                      : s.why
                }
                figure={s.state === 'done' ? 'done' : s.date ? `${s.atEarliest ? 'from ' : ''}${shortDay(s.date)}` : ''}
                under={`${s.minutes} min`}
                selected={s.id === hand.id}
                onSelect={() => pick(s.id)}
              />
            ))}
          </ul>
          <LeftOut steps={plan.leftOut} />
        </>
      }
      hand={<StepInHand key={hand.id} step={hand} />}
    />
  )
}

/** What this job does not ask for, each to be taken in again. */
function LeftOut({ steps }: { steps: Evaluation['plan']['leftOut'] }) {
  const change = useBuild((s) => s.change)
  if (!steps.length) return null
  return (
    <section className="px-4 py-3" aria-label="Left out">
      <h3 className="text-[16px]">Left out: not part of this job, or for later</h3>
      <ul>
        {steps.map((s) => (
          <li key={s.id} className="flex items-baseline justify-between gap-3 border-b border-hairline py-1">
            <span className="min-w-0">{s.title}</span>
            <Button look="quiet" aria-label={`Take it in again: ${s.title}`} onClick={() => change((b) => takeIn(b, s))}>
              Take it in again
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}

const StepShape = ({ state }: { state: PlannedStep['state'] }) =>
  state === 'done' ? (
    <g>
      <circle r="7" fill="var(--ink)" />
      <path d="M-3.4 0l2.4 2.6L3.6 -2.6" stroke="var(--paper)" strokeWidth="1.8" fill="none" />
    </g>
  ) : (
    <circle r="7" fill="var(--sheet)" stroke="var(--violet)" strokeWidth="2.4" />
  )
