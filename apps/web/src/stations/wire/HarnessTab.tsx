import { harnessDrawing, LUGS_COUNTED, lugsOf, signalPath, type WireResult } from '@snug/core'
import { useMemo, useState } from 'react'
import { Board } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useKnobsOf } from '../../state/knobs'
import { Choice } from '../../ui/Field'
import { ByHand } from './ByHand'
import { Knobs } from './Knobs'
import { MeterBetween } from './MeterBetween'
import { WireTabs } from './tabs'

/** The harness spread out, from either side, the way of the signal in one position; wires changed lug by lug. */
export function HarnessTab({ wire }: { wire: Extract<WireResult, { ok: true }> }) {
  const build = useOpenBuild()
  const [seen, setSeen] = useState<'solder' | 'playing'>('solder')
  const [chosen, setChosen] = useState('')
  const [picked, setPicked] = useState<readonly [string, string]>(['', ''])
  const position = wire.positions.find((p) => p.id === chosen) ?? wire.positions[0]!
  const drawing = useMemo(() => harnessDrawing(wire.harness, position.switches, seen), [wire, position, seen])
  const knobs = useKnobsOf(useBuild((s) => s.id)!)
  const setting = useMemo(() => ({ switches: position.switches, knobs }), [position, knobs])
  const says = useMemo(() => signalPath(wire.harness, position.switches).says, [wire, position])
  const lugs = useMemo(() => new Set(wire.harness.components.flatMap(lugsOf)), [wire])
  const pick = (thing: string) => {
    if (lugs.has(thing)) setPicked(([from, to]) => (!from || to ? [thing, ''] : [from, thing]))
  }
  return (
    <Board
      boardLabel="Harness"
      board={
        <div className="flex h-full flex-col">
          <WireTabs />
          <div className="min-h-80 flex-1">
            <DrawingView drawing={drawing} onPick={pick} />
          </div>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          <section>
            <h2 className="text-[22px]">Follow the signal</h2>
            <div className="grid grid-cols-2 gap-2">
              <Choice
                label="Position"
                value={position.id}
                options={wire.positions.map((p) => [p.id, p.id] as const)}
                onChange={setChosen}
              />
              <Choice
                label="Harness seen from the"
                value={seen}
                options={[
                  ['solder', 'solder side'],
                  ['playing', 'playing side'],
                ]}
                onChange={setSeen}
              />
            </div>
            <ol className="mt-2 list-decimal pl-6">
              {says.map((s) => (
                <li key={s}>{s}</li>
              ))}
            </ol>
            <p className="mt-2 text-[15px] text-soft">{LUGS_COUNTED} From the playing side the drawing is mirrored.</p>
          </section>
          <MeterBetween harness={wire.harness} setting={setting} picked={picked} />
          <Knobs harness={wire.harness} />
          <ByHand harness={wire.harness} edits={build.circuit.edits ?? {}} picked={picked} onPicked={setPicked} />
        </div>
      }
    />
  )
}
