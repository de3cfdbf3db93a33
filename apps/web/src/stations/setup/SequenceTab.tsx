import { datums, fretPlace, pickupHeights, pitchSays, printMm, readingsOf, setupReading, bassString, type SetupResult } from '@snug/core'
import { CircleCheck, CircleDashed, Wrench } from 'lucide-react'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { FIRST_LINES } from './firstLines'
import { SetupInHand } from './SetupInHand'
import { SetupTabs, useSetupTab } from './tabs'
import { useSetupDrawing } from './useSetupDrawing'

/** The setup in its order: what was read, what is wanted, which screw to turn and how far; what is done and what is open. */
export function SequenceTab({ setup }: { setup: SetupResult }) {
  const build = useOpenBuild()
  const [, onTab] = useSetupTab()
  const pitch = pitchSays(setup)
  const rows = useMemo(
    () => [{ id: 'first' }, ...setup.moves.map((m) => ({ id: m.id })), { id: 'intonation' }, { id: 'pickups' }, { id: 'strings' }],
    [setup],
  )
  const { hand, pick } = useHand('setup', rows)
  const drawing = useSetupDrawing()
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
  const sides = pickupHeights(build).flatMap((p) => p.sides)
  const done = setup.moves.filter((m) => m.done).length
  const first = FIRST_LINES.filter((_, i) => build.setup.first?.[String(i)]).length
  let n = 1
  return (
    <Workspace
      fromSide
      pins={pins}
      selected={hand?.id}
      onPick={pick}
      loupe={drawing}
      listLabel="Setup in its order"
      list={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          <p className="px-4 pt-2 text-[15px]" role="status">
            {done} of {setup.moves.length} numbers are as wanted
            {setup.moves.some((m) => !m.measured)
              ? `; still to read: ${setup.moves
                  .filter((m) => !m.measured)
                  .map((m) => m.title.toLowerCase())
                  .join(', ')}`
              : ''}
            . Read all of them first; then only what is out, in this order.
          </p>
          {setup.tuning && <p className="px-4 text-wont">{setup.tuning}</p>}
          <ul>
            <ThingRow
              number={n++}
              mark={<MoveMark state={first >= FIRST_LINES.length ? 'done' : 'open'} />}
              title="First strings on"
              about="Before any number: outer strings on the board, nothing sings, strings clear of bridge and screw heads"
              figure={`${first} of ${FIRST_LINES.length}`}
              selected={hand?.id === 'first'}
              onSelect={() => pick('first')}
            />
            {setup.moves.map((m) => (
              <ThingRow
                key={m.id}
                number={n++}
                mark={<MoveMark state={m.done ? 'done' : m.stale ? 'again' : m.measured ? 'out' : 'open'} />}
                title={m.title}
                about={m.says}
                figure={m.measured ? `${m.measured}${m.stale ? ', old' : ''}` : '–'}
                under={`want ${m.target}`}
                selected={hand?.id === m.id}
                onSelect={() => (m.id === 'nut' ? onTab('nut') : pick(m.id))}
              />
            ))}
            <ThingRow
              number={n++}
              mark={<MoveMark state={pitch.state} />}
              title="Intonation at fret 12"
              about={pitch.says}
              selected={hand?.id === 'intonation'}
              onSelect={() => pick('intonation')}
            />
            {sides.length > 0 && (
              <ThingRow
                number={n++}
                mark={
                  <MoveMark
                    state={
                      sides.every((s) => s.done)
                        ? 'done'
                        : sides.some((s) => s.stale)
                          ? 'again'
                          : sides.some((s) => s.read !== undefined)
                            ? 'out'
                            : 'open'
                    }
                  />
                }
                title="Pickup heights"
                about="Held at the last fret, string to pole, both ends of each"
                figure={`${sides.filter((s) => s.read !== undefined).length} of ${sides.length} read`}
                selected={false}
                onSelect={() => onTab('pickups')}
              />
            )}
            <ThingRow
              number={n++}
              title="String pull"
              about={setup.pulls.length ? `${setup.pulls.length} strings, together` : 'enter the gauges under Parts'}
              figure={setup.pulls.length ? `${Math.round(setup.total)} N` : ''}
              selected={hand?.id === 'strings'}
              onSelect={() => pick('strings')}
            />
          </ul>
          <Rounds />
        </div>
      }
      hand={<SetupInHand setup={setup} what={hand?.id ?? 'relief'} />}
    />
  )
}

/** What each round of measuring and turning made of the numbers. */
function Rounds() {
  const build = useOpenBuild()
  const lines = (
    [
      ['relief', 'Relief', undefined],
      ['action', 'Action, bass', bassString(build)],
      ['action', 'Action, treble', 1],
    ] as const
  )
    .map(([what, label, string]) => ({
      label,
      all: readingsOf(build, { what, ...(string === undefined ? {} : { string }) }).map((r) => printMm(r.value)),
    }))
    .filter((l) => l.all.length > 1)
  if (!lines.length) return null
  return (
    <p className="px-4 py-2 text-[14px] text-soft">
      Round by round: {lines.map((l) => `${l.label.toLowerCase()} ${l.all.join(' → ')}`).join('; ')} mm.
    </p>
  )
}

function MoveMark({ state }: { state: 'done' | 'out' | 'open' | 'again' }) {
  if (state === 'done') return <CircleCheck size={19} className="text-ink" aria-label="as wanted" />
  if (state === 'out') return <Wrench size={17} className="text-violet" aria-label="not as wanted" />
  return <CircleDashed size={19} className="text-soft" aria-label={state === 'again' ? 'read it again' : 'not measured'} />
}
