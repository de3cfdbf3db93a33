import { isVague, judgeReading, printOhms, readingAt, soundingDrawing, type JudgedReading, type WireResult } from '@snug/core'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useKnobsOf } from '../../state/knobs'
import { ThingRow } from '../../ui/ThingRow'
import { PositionInHand } from './PositionInHand'
import { WireTabs } from './tabs'
import { wireMarks } from './wireMarks'
import { useResponses } from './useResponses'

type Wired = Extract<WireResult, { ok: true }>

/** What every switch position sounds like and reads on a meter. */
export function PositionsTab({ wire }: { wire: Wired }) {
  const build = useOpenBuild()
  const knobs = useKnobsOf(useBuild((s) => s.id)!)
  const { hand, pick } = useHand('wire', wire.positions)
  const curves = useResponses(wire.harness, knobs, build.circuit.cable)
  const rows = useMemo(
    () =>
      wire.positions.map((p) => {
        const reading = readingAt(build, wire.harness, { switches: p.switches, knobs: {} })
        return { ...p, mine: reading && { ohm: reading.ohm, judged: judgeReading(build, wire.harness, reading) } }
      }),
    [build, wire],
  )
  const loupe = useMemo(() => soundingDrawing(wire.harness, hand!.id, hand!.topology), [wire, hand])
  const overlay = useMemo(() => wireMarks(build, wire), [build, wire])
  const pins = useMemo(
    () =>
      wire.harness.components
        .filter((c) => c.is !== 'coil' && c.is !== 'capacitor' && c.is !== 'resistor' && !(c.is === 'ground' && c.metal !== 'strings'))
        .map((c) => ({
          id: c.id,
          at: c.at,
          label: c.label,
          shape: <circle r="5" fill="var(--sheet)" stroke={c.is === 'ground' ? 'var(--copper)' : 'var(--ink)'} strokeWidth="2" />,
        })),
    [wire],
  )
  return (
    <Workspace
      pins={pins}
      overlay={overlay}
      selected={undefined}
      onPick={() => undefined}
      loupe={loupe}
      listLabel="Switch positions and wires"
      list={
        <div className="flex h-full flex-col">
          <WireTabs />
          <div className="min-h-0 flex-1 overflow-auto">
            <ul>
              {rows.map((r) => (
                <ThingRow
                  key={r.id}
                  number={r.id}
                  mark={<ReadingMark judged={r.mine?.judged} />}
                  title={r.topology.words}
                  about={`${r.topology.humWords}${r.mine ? ` · you read ${printOhms(r.mine.ohm)}` : ''}`}
                  figure={isVague(r.reading) ? '?' : printOhms(r.reading.ohm)}
                  under={isVague(r.reading) ? 'not known yet' : `±${printOhms(r.reading.doubt, 2)}`}
                  selected={r.id === hand!.id}
                  onSelect={() => pick(r.id)}
                />
              ))}
            </ul>
            {wire.notes.map((n) => (
              <p key={n} className="px-4 py-2 text-mind">
                {n}
              </p>
            ))}
          </div>
        </div>
      }
      hand={<PositionInHand key={hand!.id} harness={wire.harness} position={hand!} knobs={knobs} curves={curves} />}
    />
  )
}

/** Did the reading fall inside its band? Told by shape: a tick, a bar beside the band, or nothing yet. */
function ReadingMark({ judged }: { judged: JudgedReading | undefined }) {
  const proves = judged && !(judged.inside && isVague(judged.expected))
  const label = !judged ? 'not read yet' : !proves ? 'read, and proves nothing yet' : judged.inside ? 'inside its band' : 'outside its band'
  return (
    <svg width="20" height="20" viewBox="-10 -10 20 20" role="img" aria-label={label}>
      <path d="M-8 -4v8M8 -4v8M-8 0h16" stroke="var(--soft)" strokeWidth="1.4" />
      {proves &&
        (judged.inside ? (
          <circle r="4" fill="var(--snug)" />
        ) : (
          <rect x="-4" y="-4" width="8" height="8" transform="rotate(45) translate(5 -5)" fill="var(--wont)" />
        ))}
    </svg>
  )
}
