import { beginsOn, minutesOn, nextOfTracks, planDrawing, sayClock, type Track } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { ThingRow } from '../../ui/ThingRow'
import { StepBench } from './StepBench'
import { StepInHand } from './StepInHand'
import { StepMark } from './StepMark'
import { Orders } from './Orders'
import { PlanTabs } from './tabs'
import { shortDay } from '../../ui/times'
import { useTonight } from './useAhead'

const SOME = 90
const minuteNow = () => new Date().getHours() * 60 + new Date().getMinutes()

/** So many minutes tonight: the whole steps that fit and help most, in their order. */
export default function TonightTab() {
  const build = useOpenBuild()
  const { go } = useWhere()
  const plan = useBuild((s) => s.evaluation!.plan)
  const [minutes, setMinutes] = useState(() => minutesOn(build, today()) || SOME)
  // It begins when the evening does, or now where that has passed.
  const [from] = useState(() => Math.max(beginsOn(build, today()), minuteNow()))
  const set = useTonight(minutes, from)
  const [seen, setSeen] = useState<string>()
  const [bench, setBench] = useState(false)
  // What was ticked since stays on the evening's list until another number of minutes is asked.
  const steps = useMemo(() => (set?.steps ?? []).flatMap((s) => plan.steps.find((p) => p.id === s.id) ?? []), [set, plan])
  const hand = steps.find((s) => s.id === seen) ?? steps[0]
  const drawing = useMemo(() => planDrawing(plan, today(), build.due, hand?.id), [plan, build.due, hand])
  return (
    <Workspace
      loupe={drawing}
      listLabel="Tonight"
      list={
        <>
          <PlanTabs />
          <div className="flex flex-wrap items-end gap-4 px-4 py-2">
            <div className="w-36">
              <NumberEntry label="Minutes tonight" value={minutes} from={10} to={720} whole onCommit={setMinutes} />
            </div>
            {steps.length > 0 && (
              <Button look="main" className="!min-h-12" onClick={() => setBench(true)}>
                Bench view
              </Button>
            )}
          </div>
          <p role="status" className="px-4 pb-2">
            {!set
              ? 'Weighing what fits …'
              : !steps.length
                ? 'Nothing that is ready fits: all waits for parcels, for drying, or takes longer.'
                : `${set.minutes} of ${minutes} minutes${set.gains ? `; the end comes ${set.gains} ${set.gains === 1 ? 'day' : 'days'} nearer by them` : '; none of it moves the end, which waits for something else'}. From ${sayClock(from)}.`}
          </p>
          <ul>
            {steps.map((s, i) => (
              <ThingRow
                key={s.id}
                number={i + 1}
                mark={<StepMark step={s} />}
                title={s.title}
                about={s.id === set?.opener ? `an easy one to begin with: ${s.why}` : s.why}
                figure={`${s.minutes} min`}
                under={s.need === 'must' ? '' : s.need === 'should' ? 'should' : 'later'}
                selected={s.id === hand?.id}
                onSelect={() => setSeen(s.id)}
              />
            ))}
          </ul>
          <Tracks onPick={(id) => go('plan', id)} />
          <Orders />
          {bench && <StepBench steps={steps} onClose={() => setBench(false)} />}
        </>
      }
      hand={hand ? <StepInHand key={hand.id} step={hand} /> : <p>Another evening, then: see Steps for what is waited for.</p>}
    />
  )
}

const TRACK: Record<Track, string> = { neck: 'Neck', body: 'Body', electrics: 'Electrics' }

/** Neck, body and electrics go on by themselves: the next step of each, for an evening that takes another turn. */
function Tracks({ onPick }: { onPick: (id: string) => void }) {
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const next = useMemo(() => nextOfTracks(steps), [steps])
  if (!next.length) return null
  return (
    <section aria-label="Next of each" className="px-4 py-3">
      <h3 className="text-[18px]">Next of each</h3>
      <ul>
        {next.map(({ track, next: s }) => (
          <li key={track} className="grid grid-cols-[5.5rem_1fr_auto] items-center gap-3 border-t border-hairline">
            <b>{TRACK[track]}</b>
            <button type="button" className="min-h-10 truncate text-left hover:text-violet" onClick={() => onPick(s.id)}>
              {s.title}
            </button>
            <span className="text-[14px] text-soft">
              {s.state === 'ready' ? 'can be done now' : s.date ? `from ${shortDay(s.date)}` : 'waits'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
