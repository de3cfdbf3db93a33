import { bassString, datums, fretPlace, LBF, printMm, printTurns, setupDrawing, setupReading, type SetupResult } from '@snug/core'
import { CircleCheck, CircleDashed, RotateCw } from 'lucide-react'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { SetupInHand } from './SetupInHand'

/** Set up: relief, action and pitch in their order, each as turns of the screw that does it. */
export default function SetupStation() {
  const build = useOpenBuild()
  const setup = useBuild((s) => s.evaluation!.setup)
  const rows = useMemo(() => [...setup.moves.map((m) => ({ id: m.id })), { id: 'intonation' }, { id: 'strings' }], [setup])
  const { hand, pick } = useHand('setup', rows)
  const drawing = useMemo(() => setupDrawing(build), [build])
  const d = datums(build)
  const pins = useMemo(() => {
    const at = (x: number) => ({ x, y: 0 })
    const note = (text: string) => (
      <g>
        <rect x={-26} y={-10} width={52} height={20} rx={3} fill="var(--sheet)" stroke="var(--violet)" />
        <text className="mk-figure" textAnchor="middle" dominantBaseline="central" style={{ fontSize: 11.5 }}>
          {text}
        </text>
      </g>
    )
    const relief = setupReading(build, { what: 'relief' })
    const actionBass = setupReading(build, { what: 'action', string: bassString(build) })
    return [
      {
        id: 'relief',
        at: at(fretPlace(d.scale, 8)),
        label: 'relief at fret 8',
        shape: note(relief === undefined ? 'fret 8' : printMm(relief)),
      },
      {
        id: 'action',
        at: at(fretPlace(d.scale, 12)),
        label: 'action at fret 12',
        shape: note(actionBass === undefined ? 'fret 12' : printMm(actionBass)),
      },
      { id: 'intonation', at: at(d.scale), label: 'saddles', shape: note('saddles') },
    ]
  }, [build, d.scale])
  return (
    <Workspace
      fromSide
      pins={pins}
      selected={hand?.id}
      onPick={pick}
      loupe={drawing}
      listLabel="Setup in its order"
      list={
        <ul>
          {setup.moves.map((m, i) => (
            <ThingRow
              key={m.id}
              number={i + 1}
              mark={<MoveMark state={m.done ? 'done' : m.measured ? 'turn' : 'open'} />}
              title={m.title}
              about={m.says}
              figure={m.measured ?? '–'}
              under={`want ${m.target}`}
              selected={hand?.id === m.id}
              onSelect={() => pick(m.id)}
            />
          ))}
          <ThingRow
            number={3}
            mark={<MoveMark state={intonationState(setup)} />}
            title="Intonation at fret 12"
            about={intonationLine(setup)}
            selected={hand?.id === 'intonation'}
            onSelect={() => pick('intonation')}
          />
          <ThingRow
            number={4}
            title="String pull"
            about={setup.pulls.length ? `${setup.pulls.length} strings at standard pitch` : 'enter the gauges under Parts'}
            figure={setup.pulls.length ? `${Math.round(setup.total)} N` : ''}
            under={setup.pulls.length ? `${(setup.total / LBF).toFixed(1)} lbf` : ''}
            selected={hand?.id === 'strings'}
            onSelect={() => pick('strings')}
          />
        </ul>
      }
      hand={<SetupInHand setup={setup} what={hand?.id ?? 'relief'} />}
    />
  )
}

const intonationState = (s: SetupResult) => {
  const read = s.intonation.filter((i) => i.cents !== undefined)
  if (!read.length) return 'open' as const
  return read.some((i) => Math.abs(i.cents!) > 1) ? ('turn' as const) : ('done' as const)
}

function intonationLine(s: SetupResult): string {
  const off = s.intonation.filter((i) => i.cents !== undefined && Math.abs(i.cents) > 1)
  if (!s.intonation.some((i) => i.cents !== undefined)) return 'Open octave against fret 12, string by string'
  return off.length
    ? off.map((i) => `${i.number}: ${printTurns(i.turns!)} ${i.turns! > 0 ? 'back' : 'forward'}`).join(' · ')
    : 'All strings read are in tune at fret 12'
}

function MoveMark({ state }: { state: 'done' | 'turn' | 'open' }) {
  if (state === 'done') return <CircleCheck size={19} className="text-ink" aria-label="as wanted" />
  if (state === 'turn') return <RotateCw size={18} className="text-violet" aria-label="turn a screw" />
  return <CircleDashed size={19} className="text-soft" aria-label="not measured" />
}
