import {
  judgeReading,
  printOhms,
  readingAt,
  setField,
  slotSpec,
  soundingDrawing,
  type JudgedReading,
  type Mark,
  type WireResult,
} from '@snug/core'
import { Tabs } from 'radix-ui'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useKnobsOf } from '../../state/knobs'
import { ThingRow } from '../../ui/ThingRow'
import { PositionInHand } from './PositionInHand'
import { useResponses } from './useResponses'
import { WireTable } from './WireTable'

type Wired = Extract<WireResult, { ok: true }>

/** Wire: what every switch position sounds like and reads on a meter, and the wires to solder. */
export default function WireStation() {
  const wire = useBuild((s) => s.evaluation!.wire)
  if (!wire.ok)
    return (
      <Workspace
        loupe={undefined}
        listLabel="Switch positions"
        list={
          <Empty>
            The circuit needs {wire.missing.map((s) => slotSpec(s).label.toLowerCase()).join(', ')}. Put them in under Parts (key 1); a
            pickup also needs its resistance, read with a meter across its leads.
          </Empty>
        }
        hand={null}
      />
    )
  return <Circuit wire={wire} />
}

function Circuit({ wire }: { wire: Wired }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
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
  const overlay = useMemo(() => wireMarks(wire), [wire])
  const pins = useMemo(
    () =>
      wire.harness.components
        .filter((c) => c.is !== 'coil' && c.is !== 'capacitor' && c.id !== 'case')
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
        <Tabs.Root defaultValue="positions" className="flex h-full flex-col">
          <Tabs.List aria-label="Circuit" className="flex border-b border-hairline bg-canvas/50">
            <Tab value="positions">Positions</Tab>
            <Tab value="wires">Wire list, {wire.wires.length}</Tab>
          </Tabs.List>
          <Tabs.Content value="positions" className="min-h-0 flex-1 overflow-auto">
            <ul>
              {rows.map((r) => (
                <ThingRow
                  key={r.id}
                  number={r.id}
                  mark={<ReadingMark judged={r.mine?.judged} />}
                  title={r.topology.words}
                  about={`${r.topology.humWords}${r.mine ? ` · you read ${printOhms(r.mine.ohm)}` : ''}`}
                  figure={printOhms(r.reading.ohm)}
                  under={`±${printOhms(r.reading.doubt, 2)}`}
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
            <label className="label flex min-h-11 items-center gap-2 px-4 text-[15px]">
              <input
                type="checkbox"
                className="size-4 accent-[var(--violet)]"
                checked={build.circuit.split}
                onChange={(e) =>
                  change((b) =>
                    setField(
                      b,
                      ['circuit', 'split'],
                      e.target.checked,
                      e.target.checked ? 'In-between positions tap the humbuckers' : 'Humbuckers stay whole in between',
                    ),
                  )
                }
              />
              Tap the humbuckers to one coil in the in-between positions
            </label>
          </Tabs.Content>
          <Tabs.Content value="wires" className="min-h-0 flex-1 overflow-auto">
            <WireTable wires={wire.wires} />
          </Tabs.Content>
        </Tabs.Root>
      }
      hand={<PositionInHand key={hand!.id} harness={wire.harness} position={hand!} knobs={knobs} curves={curves} />}
    />
  )
}

const Tab = ({ value, children }: { value: string; children: React.ReactNode }) => (
  <Tabs.Trigger
    value={value}
    className="label min-h-10 border-b-2 border-transparent px-4 text-[15px] font-semibold text-soft data-[state=active]:border-violet data-[state=active]:text-ink"
  >
    {children}
  </Tabs.Trigger>
)

/** Did the reading fall inside its band? Told by shape: a tick, a bar beside the band, or nothing yet. */
function ReadingMark({ judged }: { judged: JudgedReading | undefined }) {
  const label = !judged ? 'not read yet' : judged.inside ? 'inside its band' : 'outside its band'
  return (
    <svg width="20" height="20" viewBox="-10 -10 20 20" role="img" aria-label={label}>
      <path d="M-8 -4v8M8 -4v8M-8 0h16" stroke="var(--soft)" strokeWidth="1.4" />
      {judged &&
        (judged.inside ? (
          <circle r="4" fill="var(--snug)" />
        ) : (
          <rect x="-4" y="-4" width="8" height="8" transform="rotate(45) translate(5 -5)" fill="var(--wont)" />
        ))}
    </svg>
  )
}

/** Wires along their real places: across first, then along, as a hand would lay them. */
function wireMarks(wire: Wired): Mark[] {
  const at = (lug: string) => wire.harness.components.find((c) => c.id === lug.slice(0, lug.lastIndexOf('.')))!.at
  return wire.harness.wires.flatMap((w, i): Mark[] => {
    const a = at(w.from)
    const b = at(w.to)
    if (a === b) return []
    // A little apart, so that wires on the same way can be told from each other.
    const aside = ((i % 5) - 2) * 2.2
    return [{ mark: 'line', role: w.role === 'ground' ? 'ground' : 'hot', points: [a, { x: a.x + aside, y: b.y + aside }, b] }]
  })
}
