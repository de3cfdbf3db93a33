import {
  drawJoint,
  enteredAt,
  jobsLeft,
  mockupSteps,
  setIn,
  setSize,
  specAt,
  stateOf,
  type MockupStep,
  type MockupState,
  mockupSheet,
} from '@snug/core'
import { Circle, CircleCheck, RotateCw } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { openSheet } from '../../ui/openSheet'
import { PegMark } from '../../ui/PegMark'
import { JointLinks } from '../../ui/JointLinks'
import { SizeField } from '../../ui/SizeField'
import { ThingRow } from '../../ui/ThingRow'
import { FitTabs } from './FitTabs'
import { now } from '../../state/now'

/** The real trial build, one thing at a time in big type: measured to its size with its tool, or said how it went. */
export function MockupTab() {
  const build = useOpenBuild()
  const joints = useBuild((s) => s.evaluation!.fit)
  const steps = useMemo(() => mockupSteps(build), [build])
  const state = (s: MockupStep) => stateOf(s, build.mockup?.[s.id])
  const [chosen, setChosen] = useState<string>()
  const next = steps.find((s) => state(s) !== 'done')
  const hand = steps.find((s) => s.id === chosen) ?? next ?? steps[0]
  const stale = steps.filter((s) => state(s) === 'stale').length
  const jobs = jobsLeft(joints)
  const joint = hand && joints.find((j) => hand.joints.includes(j.id))
  const loupe = useMemo(() => joint && drawJoint(build, joint.id), [build, joint])
  return (
    <Workspace
      loupe={loupe}
      listLabel="Trial build, in order"
      list={
        <div className="flex h-full flex-col">
          <div className="flex items-center border-b border-hairline bg-canvas/50">
            <div className="flex-1">
              <FitTabs />
            </div>
            <Button look="quiet" className="mr-2" onClick={() => void openSheet(mockupSheet(build))}>
              Print the sheet
            </Button>
          </div>
          <div className="min-h-0 flex-1 overflow-auto">
            {stale > 0 && (
              <p role="status" className="border-b border-hairline bg-wash px-4 py-2">
                Something they stood on has changed: re-check only these {stale}, marked with the turning arrow.
              </p>
            )}
            <ul>
              {steps.map((s, i) => (
                <ThingRow
                  key={s.id}
                  number={i + 1}
                  mark={<StateMark state={state(s)} />}
                  title={s.title}
                  about={resultWords(s, build)}
                  selected={s.id === hand?.id}
                  onSelect={() => setChosen(s.id)}
                />
              ))}
            </ul>
            <section aria-labelledby="jobs-left" className="px-4 py-3">
              <h3 id="jobs-left" className="text-[18px]">
                Wood and plastic jobs left, all before finish
              </h3>
              {jobs.length === 0 ? (
                <p className="text-soft">None by what is known now.</p>
              ) : (
                <ul>
                  {jobs.map(({ joint, job, alsoFor }) => (
                    <li key={joint.id} className="border-b border-hairline py-1">
                      <PegMark verdict={joint.verdict} condition={joint.condition} size={16} /> <b>{job}</b>{' '}
                      <span className="text-soft">{[joint, ...alsoFor].map((j) => j.title).join(', ')}</span>
                    </li>
                  ))}
                </ul>
              )}
            </section>
          </div>
        </div>
      }
      hand={
        hand ? (
          <StepCard key={hand.id} step={hand} state={state(hand)} done={() => setChosen(undefined)} last={!next} />
        ) : (
          <p className="text-soft">Choose a body and a neck under Parts (key 1); the trial build starts with them.</p>
        )
      }
    />
  )
}

function StateMark({ state }: { state: MockupState }) {
  if (state === 'done') return <CircleCheck size={19} aria-label="done" />
  if (state === 'stale') return <RotateCw size={18} className="text-copper" aria-label="stale: check again" />
  return <Circle size={19} className="text-soft" aria-label="open" />
}

const WORDS = { measured: 'measured', goes: 'goes', job: 'goes after a job', stuck: 'will not go' } as const

function resultWords(step: MockupStep, build: ReturnType<typeof useOpenBuild>): string {
  const result = build.mockup?.[step.id]
  if (!result) return step.ref ? 'a reading' : 'a look and a try'
  const size = step.ref && enteredAt(build, step.ref)
  return size ? `${size.value} mm ±${size.doubt}, ${size.known}` : WORDS[result.outcome]
}

function StepCard({ step, state, done, last }: { step: MockupStep; state: MockupState; done: () => void; last: boolean }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const all = useBuild((s) => s.evaluation!.fit)
  const { go } = useWhere()
  const joints = all.filter((j) => step.joints.includes(j.id))
  const record = (outcome: keyof typeof WORDS) => {
    change((b) =>
      setIn(b, 'mockup', step.id, { outcome, at: now(), basis: step.basis }, `Trial build, ${step.title.toLowerCase()}: ${WORDS[outcome]}`),
    )
    done()
  }
  return (
    <div>
      <h2 className="text-[30px] leading-tight">{step.title}</h2>
      {state === 'stale' && <p className="text-copper">Checked before, but what it stood on has changed since. Check it again.</p>}
      <p className="mt-2 text-[19px] leading-snug">{step.how}</p>
      {step.ref ? (
        <div className="mt-3 text-[19px]" data-size={`${step.ref.slot}/${step.ref.size}`}>
          <SizeField
            sizeRef={step.ref}
            size={enteredAt(build, step.ref)}
            autoFocus
            always
            label={specAt(step.ref).label}
            onCommit={(size) => {
              change((b) => setSize(b, step.ref!, size))
              record('measured')
            }}
          />
          {enteredAt(build, step.ref) && (
            <Button data-tick className="mt-3 !min-h-12 !text-[17px]" onClick={() => record('measured')}>
              It still reads that
            </Button>
          )}
        </div>
      ) : (
        <div className="mt-4 flex flex-wrap gap-2">
          <Button look="main" data-tick className="!min-h-14 !px-6 !text-[19px]" onClick={() => record('goes')}>
            It goes
          </Button>
          <Button className="!min-h-14 !px-5 !text-[18px]" onClick={() => record('job')}>
            After a job
          </Button>
          <Button className="!min-h-14 !px-5 !text-[18px]" onClick={() => record('stuck')}>
            It will not go
          </Button>
        </div>
      )}
      {last && (
        <p className="mt-3 border-l-4 border-snug pl-3">
          Everything has been tried once. Do the jobs on the left before any coat goes on; label the bags and screws as you strip it down.
        </p>
      )}
      <h3 className="mt-4 text-[18px]">What the numbers say</h3>
      <JointLinks joints={joints} says onPick={(id) => go('fit', id)} />
      {step.id === 'hang' && <Caution lines={['Hold the neck until you know; a falling guitar breaks at the headstock.']} />}
    </div>
  )
}
