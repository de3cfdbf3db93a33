import { counted, drawJoint, isAsItWas, plusMinus, recordTrials, wasTogether, wordOf, type Joint, type Mark } from '@snug/core'
import { memo, useCallback, useMemo } from 'react'
import { Empty, Workspace } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useHand } from '../../app/useHand'
import { useWhere } from '../../app/where'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { PegMark, PegShape } from '../../ui/PegMark'
import { ThingRow } from '../../ui/ThingRow'
import { VerdictWord } from '../../ui/VerdictWord'
import { useTab } from '../../ui/StationTabs'
import { FIT_TABS, FitTabs } from './FitTabs'
import { JointInHand } from './JointInHand'
import { useSideTrial } from './useSideTrial'
import { MockupTab } from './MockupTab'
import { NotJudged } from './NotJudged'

/** Dry fit: the joints on numbers, then the real trial build. */
export default function FitStation() {
  const [tab] = useTab(FIT_TABS)
  // The joints are known before the plan the trial build is ticked off in.
  const whole = useBuild((s) => s.evaluation !== undefined)
  if (tab === 'mockup') return whole ? <MockupTab /> : null
  return <JointsTab />
}

/** Every joint by verdict, the one in hand with its section, its sizes and the job that cures it. */
function JointsTab() {
  const real = useBuild((s) => s.evaluation?.fit ?? s.early!)
  const tried = useBuild((s) => s.trial?.evaluation?.fit)
  const joints = tried ?? real
  const build = useBuild((s) => (s.trial?.evaluation ? s.trial.build : s.build!))
  const { hand, pick } = useHand('fit', joints)
  const { go } = useWhere()
  const take = useCallback((id: string) => go('fit', id, true), [go])
  const { drag } = useSideTrial()
  const drawing = useMemo(() => hand && drawJoint(build, hand.id), [build, hand])
  const pins = useMemo(
    () =>
      joints.map((j, i) => ({
        id: j.id,
        at: j.at,
        number: i + 1,
        label: `${j.title}: ${wordOf(j.verdict, j.condition)}`,
        shape: <PegShape verdict={j.verdict} />,
        minor: j.verdict === 'snug' || j.verdict === 'loose' || isAsItWas(build, j),
      })),
    [joints, build],
  )
  if (!hand)
    return (
      <Workspace
        loupe={undefined}
        listLabel="Joints"
        list={<Empty>No two parts meet yet. Choose a body and a neck under Parts (key 1), then their joints show up here.</Empty>}
        hand={null}
      />
    )
  return (
    <Workspace
      pins={pins}
      selected={hand.id}
      overlay={hand.id === 'balance' ? massMarks(hand) : NONE}
      onPick={(id) => pick(joints.find((j) => j.id === id)?.id ?? joints.find((j) => j.slots.some((s) => s === id))?.id ?? hand.id)}
      loupe={drawing?.handles ? <DrawingView drawing={drawing} onHandle={drag} /> : drawing}
      listLabel="Joints by verdict"
      list={
        <div className="flex h-full flex-col">
          <FitTabs />
          {!tried && <WasTogether joints={real} />}
          <ul className="min-h-0 flex-1 overflow-auto">
            {joints.map((j, i) => (
              <JointRow key={j.id} joint={j} number={i + 1} selected={j.id === hand.id} onPick={take} />
            ))}
          </ul>
          <NotJudged />
        </div>
      }
      hand={<JointInHand key={hand.id} joint={hand} before={tried ? real.find((j) => j.id === hand.id) : undefined} />}
    />
  )
}

/** An instrument that was whole a moment ago: what of it went together is said in one word. */
function WasTogether({ joints }: { joints: readonly Joint[] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const open = useMemo(() => wasTogether(build, joints), [build, joints])
  if (!open.length) return null
  const say = () => change((b) => recordTrials(b, open, today(), `It was together: ${counted(open.length, 'joint')} as they should be`))
  return (
    <div className="flex flex-wrap items-center gap-x-3 border-b border-hairline px-4 py-2">
      <span>It was together before. {counted(open.length, 'joint')} of what is here, not measured:</span>
      <Button onClick={say}>all as they should be</Button>
    </div>
  )
}

/** A row is drawn anew only when its own joint is another. */
const JointRow = memo(function JointRow({
  joint,
  number,
  selected,
  onPick,
}: {
  joint: Joint
  number: number
  selected: boolean
  onPick: (id: string) => void
}) {
  return (
    <ThingRow
      number={number}
      mark={<PegMark verdict={joint.verdict} silent />}
      title={
        <>
          {joint.title}
          {joint.planned.length > 0 && <span className="label ml-2 text-[13px] font-medium text-violet">with the job done on paper</span>}
        </>
      }
      about={<JointLine joint={joint} />}
      figure={joint.figure?.text ?? ''}
      under={joint.figure ? plusMinus(joint.figure.doubt) : ''}
      selected={selected}
      onSelect={() => onPick(joint.id)}
    />
  )
})

const NONE: readonly Mark[] = []

/** Where the instrument weighs, on the long view. */
const massMarks = (joint: Joint): readonly Mark[] => [
  {
    mark: 'line',
    role: 'hot',
    dashed: true,
    points: [
      { x: joint.at.x, y: -170 },
      { x: joint.at.x, y: 170 },
    ],
  },
  { mark: 'circle', role: 'sounding', at: joint.at, r: 10 },
]

function JointLine({ joint }: { joint: Joint }) {
  const [cure] = joint.verdict === 'snug' ? [] : joint.cures
  return (
    <>
      <VerdictWord verdict={joint.verdict} condition={joint.condition} /> · {cure ? cure.job : joint.says}
    </>
  )
}
