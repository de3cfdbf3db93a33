import { placeOf, planDrawing, type PlannedStep } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { Circle, CircleCheck, Hourglass } from 'lucide-react'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useThings } from '../../state/useThings'
import { today } from '../../state/today'
import { ThingRow } from '../../ui/ThingRow'
import { StepInHand } from './StepInHand'

/** Plan: the steps in order with their reasons, what can be done now, and when it all ends. */
export default function PlanStation() {
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
        <ul>
          {plan.steps.map((s, i) => (
            <ThingRow
              key={s.id}
              number={i + 1}
              mark={<StepMark state={s.state} />}
              title={<span className={s.state === 'done' ? 'font-normal line-through decoration-hairline' : ''}>{s.title}</span>}
              about={s.state === 'blocked' ? `after: ${s.open.map((b) => plan.steps.find((o) => o.id === b.id)!.title).join(', ')}` : s.why}
              figure={s.state === 'done' ? 'done' : s.date ? format(parseISO(s.date), 'd MMM') : ''}
              under={`${s.minutes} min`}
              selected={s.id === hand.id}
              onSelect={() => pick(s.id)}
            />
          ))}
        </ul>
      }
      hand={<StepInHand key={hand.id} step={hand} />}
    />
  )
}

function StepMark({ state }: { state: PlannedStep['state'] }) {
  if (state === 'done') return <CircleCheck size={20} aria-label="done" />
  if (state === 'ready') return <Circle size={20} className="text-violet" strokeWidth={2.4} aria-label="can be done now" />
  return <Hourglass size={17} className="text-soft" aria-label={state === 'waiting' ? 'waits for a parcel' : 'waits for other steps'} />
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
