import {
  afterCoatsSays,
  dropJob,
  enteredAt,
  planJob,
  setSize,
  setTrait,
  slotSpec,
  specAt,
  throughFinish,
  wordOf,
  tablesOf,
  forgetTrial,
  JOINT_KINDS,
  recordTrial,
  type Check,
  cutSays,
  cutsOf,
  type CutLimits,
  type Cure,
  type Joint,
  type MeasureRank,
  type Size,
  type SizeRef,
  type TrialResult,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { tells } from '../../app/next'
import { useShallow } from 'zustand/react/shallow'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { Choice } from '../../ui/Field'
import { Untold } from '../../ui/Untold'
import { PegMark } from '../../ui/PegMark'
import { DetailTables } from '../../ui/DetailTables'
import { SizeField } from '../../ui/SizeField'
import { VerdictWord } from '../../ui/VerdictWord'
import { Alternatives } from './Alternatives'
import { SideView } from './SideView'

/** What to read to know, with the best tool of those on the bench; or that no reading with them will tell. */
function Settles({ joint }: { joint: Joint }) {
  const ranked = useBuild((s) => s.ranked)
  if (joint.verdict !== 'cant-tell' || !ranked) return null
  const next = ranked.find((r) => tells(r) && r.joints.includes(joint.id))
  // What it lacks stands in its own words.
  if (!next && joint.missing.length + joint.untold.length + joint.unmade.length) return null
  return <p className="mt-1 text-cant">{next ? toKnow(next) : 'No reading with the tools here would settle it.'}</p>
}

function toKnow({ ref, tool }: MeasureRank): string {
  const { label, unit } = specAt(ref)
  const what = `${label.toLowerCase()} (${slotSpec(ref.slot).label.toLowerCase()})`
  return unit === 'count' ? `To know, count: ${what}.` : `To know, read ${what} with the ${tool}.`
}

/** The joint in hand: what is the matter, the sizes it reads, the jobs that cure it. */
export function JointInHand({ joint, before }: { joint: Joint; before: Joint | undefined }) {
  const build = useOpenBuild()
  const { change, tryOut, trial } = useBuild(useShallow(({ change, tryOut, trial }) => ({ change, tryOut, trial })))
  const [trying, setTrying] = useState(false)
  const shownBuild = trial?.build ?? build
  const tables = useMemo(() => tablesOf(shownBuild, joint.id), [shownBuild, joint.id])
  const cuts = useMemo(() => (joint.cures.length ? cutsOf(shownBuild, joint.id) : {}), [shownBuild, joint])
  const coats = useMemo(() => afterCoatsSays(shownBuild, joint), [shownBuild, joint])
  const set = (ref: SizeRef, size: Size) => (trying ? tryOut((b) => setSize(b, ref, size)) : change((b) => setSize(b, ref, size)))
  return (
    <div>
      <h2 className="flex items-center gap-2 text-[23px]">
        <PegMark verdict={joint.verdict} size={26} silent /> {joint.title}
        <VerdictWord verdict={joint.verdict} condition={joint.condition} />
      </h2>
      <p className="mt-1">{joint.says}</p>
      {coats && <p className="mt-1 text-mind">{coats}</p>}
      <Settles joint={joint} />
      <Untold
        refs={joint.untold}
        onSay={(ref, said) =>
          trying ? tryOut((b) => setTrait(b, ref.slot, ref.trait, said)) : change((b) => setTrait(b, ref.slot, ref.trait, said))
        }
      />
      {!trial && <ByHand joint={joint} />}
      {before && trial && <TrialStrip before={before} after={joint} />}

      {joint.id === 'bridge-height' && <SideView />}

      <div className="mt-2 flex items-baseline justify-between gap-2">
        <h3 className="label text-[15px] text-soft">{joint.reads.length ? 'Sizes it reads' : 'Settled by looking, under Parts'}</h3>
        {!trial && joint.reads.length > 0 && (
          <label className="label flex min-h-8 items-center gap-2 text-[14px]">
            <input
              type="checkbox"
              className="size-4 shrink-0 accent-[var(--violet)]"
              checked={trying}
              onChange={(e) => setTrying(e.target.checked)}
            />{' '}
            only try it out
          </label>
        )}
      </div>
      <div>
        {missingFirst(joint).map((ref) => (
          <div key={`${ref.slot}/${ref.size}`} data-size={`${ref.slot}/${ref.size}`}>
            <SizeField sizeRef={ref} size={enteredAt(shownBuild, ref)} label={labelOf(ref, joint)} onCommit={(size) => set(ref, size)} />
          </div>
        ))}
      </div>

      <Planned joint={joint} onMeasured={set} />
      <TickedUnmeasured joint={joint} onMeasured={set} />
      {joint.cures.map((cure, i) => (
        <CureCard
          key={cure.id}
          cure={cure}
          cut={cuts[cure.id]}
          first={i === 0}
          onPlan={cure.plan ? () => change((b) => planJob(b, `${joint.id}/${cure.id}`, { ...cure.plan!, text: cure.job })) : undefined}
        />
      ))}
      <Caution
        lines={[
          ...(joint.cures.some((c) => c.tools.includes('router'))
            ? ['Both hands on the router; eye and ear protection; clamp the work.']
            : []),
          ...throughFinish(
            build,
            joint.cures.map((c) => c.gives),
          ),
        ]}
      />
      {joint.verdict !== 'snug' && !trial && <Alternatives key={joint.id} joint={joint} />}
      <DetailTables tables={tables} />
      <Chances checks={joint.checks.filter((c) => c.unit !== 'none')} />
    </div>
  )
}

/** The hand overrules: how it went when it was tried, kept until a size, a trait or the part is another. */
function ByHand({ joint }: { joint: Joint }) {
  const change = useBuild((s) => s.change)
  const kind = JOINT_KINDS.find((k) => k.id === joint.id)
  if (!kind) return null
  const { tried } = joint
  return (
    <div className="mt-2 border-l-4 border-hairline px-3">
      <Choice<TrialResult | ''>
        label={`I tried it: ${kind.trial.how}`}
        value={tried && !tried.since ? tried.result : ''}
        options={[['', tried?.since ? 'it has changed since; try it again' : 'not tried yet'], ...kind.trial.offers]}
        onChange={(r) => change((b) => (r ? recordTrial(b, joint, r, today()) : forgetTrial(b, joint)))}
      />
    </div>
  )
}

/** What it waits for stands where the eye falls first. */
function missingFirst({ reads, missing }: Joint): SizeRef[] {
  const waits = (r: SizeRef) => missing.some((m) => m.slot === r.slot && m.size === r.size)
  return [...reads.filter(waits), ...reads.filter((r) => !waits(r))]
}

const labelOf = (ref: SizeRef, joint: Joint) => {
  const label = specAt(ref).label
  const twin = joint.reads.some((r) => r.slot !== ref.slot && specAt(r).label === label)
  return twin ? `${label} (${slotSpec(ref.slot).label.toLowerCase()})` : label
}

function CureCard({
  cure,
  cut,
  first,
  onPlan,
}: {
  cure: Cure
  cut: CutLimits | undefined
  first: boolean
  onPlan: (() => void) | undefined
}) {
  return (
    <div className={`mt-3 border-l-4 px-3 ${first ? 'border-mind' : 'border-hairline'}`}>
      <p className="font-bold">{cure.job}</p>
      <p className="text-[14.5px]">{cure.how}</p>
      {cut && <p className="text-[14.5px]">{cutSays(cut)}</p>}
      <p className="label text-[14px] text-soft">
        {cure.gives === 'nothing' ? 'Takes nothing off any part' : `Gives way: ${cure.gives}`}
        {cure.tools.length > 0 && ` · ${cure.tools.join(', ')}`}
      </p>
      {onPlan && (
        <Button onClick={onPlan} className="mt-1">
          Do it on paper
        </Button>
      )}
    </div>
  )
}

/** Jobs this joint already counts on: done on paper, with a step in the plan, until the size they change is measured. */
function Planned({ joint, onMeasured }: { joint: Joint; onMeasured: (ref: SizeRef, size: Size) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  // What is only on trial stands in the bar at the foot, not in the plan.
  const planned = joint.planned.flatMap((id) => (build.jobs[id] ? [{ id, job: build.jobs[id] }] : []))
  if (!planned.length) return null
  return (
    <div className="mt-3 border-l-4 border-violet bg-wash px-3 py-2">
      {planned.map(({ id, job }) => (
        <div key={id}>
          <p className="flex flex-wrap items-center gap-2">
            <span>
              On paper: <b>{job.text}</b>{' '}
              {build.steps[`job-${id}`]
                ? 'Ticked off: measure it, and the joint is judged by what is.'
                : 'It stands in the Plan; measure it when it is done.'}
            </span>
            <Button look="quiet" className="!min-h-8" onClick={() => change((b) => dropJob(b, id))}>
              Rub it out
            </Button>
          </p>
          <Measured sizeRef={job} onMeasured={onMeasured} />
        </div>
      ))}
    </div>
  )
}

/** A cure ticked off in the plan without a reading moves nothing: it asks for the size it was to change. */
function TickedUnmeasured({ joint, onMeasured }: { joint: Joint; onMeasured: (ref: SizeRef, size: Size) => void }) {
  const done = useOpenBuild().steps[`cure-${joint.id}`]?.done
  const ref = joint.cures.find((c) => c.plan)?.plan
  if (!done || !ref) return null
  return (
    <div className="mt-3 border-l-4 border-violet bg-wash px-3 py-2">
      <p>
        Ticked off on {done.slice(0, 10)}, and by its sizes it is still {wordOf(joint.verdict, joint.condition)}. What was changed is known
        when it is measured:
      </p>
      <Measured sizeRef={ref} onMeasured={onMeasured} />
    </div>
  )
}

/** Where the reading after the job goes. */
function Measured({ sizeRef, onMeasured }: { sizeRef: SizeRef; onMeasured: (ref: SizeRef, size: Size) => void }) {
  const build = useOpenBuild()
  const ref = { slot: sizeRef.slot, size: sizeRef.size }
  return (
    <SizeField
      sizeRef={ref}
      size={enteredAt(build, ref)}
      label={`${specAt(ref).label}, as it is now`}
      onCommit={(size) => onMeasured(ref, size)}
    />
  )
}

/** Old and new side by side while a change is on trial. */
function TrialStrip({ before, after }: { before: Joint; after: Joint }) {
  const side = (name: string, j: Joint) => (
    <div className="min-w-0 flex-1 px-3 py-1.5">
      <p className="label text-[14px] text-soft">{name}</p>
      <p>
        <VerdictWord verdict={j.verdict} condition={j.condition} /> <span className="figure">{j.figure?.text}</span>
      </p>
      <p className="text-[13.5px]">{j.says}</p>
    </div>
  )
  return (
    <div className="mt-2 flex divide-x divide-hairline border border-dashed border-violet bg-wash">
      {side('As it is', before)}
      {side('On trial', after)}
    </div>
  )
}

/** What stands behind the verdict: each check with its number and chances. */
function Chances({ checks }: { checks: readonly Check[] }) {
  if (!checks.length) return null
  return (
    <details className="mt-3">
      <summary className="label min-h-8 cursor-pointer text-[14px] text-soft">How sure is this</summary>
      <table className="w-full text-[13.5px]">
        <caption className="sr-only">How likely each verdict is, by check</caption>
        <thead>
          <tr className="label text-left text-soft">
            <th>check</th>
            <th>snug</th>
            <th>loose</th>
            <th>tight</th>
            <th>won’t go</th>
          </tr>
        </thead>
        <tbody className="figure">
          {checks.map((c) => (
            <tr key={c.id} className="border-t border-hairline">
              <td className="font-text">{c.label}</td>
              {(['snug', 'loose', 'tight', 'wont-go'] as const).map((k) => (
                <td key={k}>{Math.round(c.raw.chances[k] * 100)} %</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[13px] text-soft">A class needs 90 % to be the verdict; below that the joint can’t be told.</p>
    </details>
  )
}
