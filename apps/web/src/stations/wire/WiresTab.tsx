import {
  feedingOf,
  feedingSays,
  LUGS_COUNTED,
  setCircuit,
  soundingDrawing,
  wireSheet,
  wiringNotes,
  type Leftover,
  type WireResult,
} from '@snug/core'
import { useMemo } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { PrintSheet } from '../../ui/PrintSheet'
import { WireTabs } from './tabs'
import { wireMarks } from './wireMarks'
import { OnHand } from './OnHand'
import { WireTable } from './WireTable'

/** Every wire to cut and solder, in the order that keeps each joint in reach; the harness beside it from either side. */
export function WiresTab({ wire }: { wire: Extract<WireResult, { ok: true }> }) {
  const build = useOpenBuild()
  const first = wire.positions[0]!
  const drawing = useMemo(() => soundingDrawing(wire.harness, first.id, first.topology), [wire, first])
  const feeding = useMemo(() => feedingOf(build, wire.harness), [build, wire])
  const done = wire.wires.filter((w) => build.circuit.soldered?.[w.key]).length
  const notes = useMemo(() => wiringNotes(build, wire.harness), [build, wire])
  const overlay = useMemo(() => wireMarks(build, wire), [build, wire])
  return (
    <Workspace
      overlay={overlay}
      loupe={drawing}
      listLabel="Wires"
      list={
        <div className="flex h-full flex-col">
          <WireTabs />
          <div className="min-h-0 flex-1 overflow-auto">
            <WireTable wires={wire.wires} />
          </div>
        </div>
      }
      hand={
        <div>
          <h2 className="text-[22px]">Soldering</h2>
          <p role="status">
            {done} of {wire.wires.length} soldered and checked.
          </p>
          {wire.leftovers.length > 0 && <Leftovers wires={wire.leftovers} />}
          <p className="mt-2">{LUGS_COUNTED} Tin every lug first; capacitor and jumpers, then controls, grounds, pickups, the jack last.</p>
          <p className="mt-2">Every case, frame and the strings have a wire of their own to one place.</p>
          {feeding && (
            <section className="mt-3">
              <h3 className="text-[18px]">Into the body</h3>
              <ol className="list-disc pl-5">
                {feeding.steps.map((s) => (
                  <li key={s}>{s}</li>
                ))}
              </ol>
              <details>
                <summary className="label min-h-9 cursor-pointer pt-1.5 text-[16px] font-semibold">The other way: tethered</summary>
                <ol className="list-disc pl-5">
                  {feeding.tethered.map((s) => (
                    <li key={s}>{s}</li>
                  ))}
                </ol>
              </details>
              {feedingSays(feeding).map((s) => (
                <p key={s} className="mt-1 text-mind">
                  {s}
                </p>
              ))}
            </section>
          )}
          {notes.map((n) => (
            <section key={n.id} className="mt-3">
              <h3 className="text-[18px]">{n.title}</h3>
              {n.says.map((s) => (
                <p key={s}>{s}</p>
              ))}
            </section>
          ))}
          <OnHand wires={wire.wires} />
          <PrintSheet sheet={() => wireSheet(build, wire)} label="Wire list and soldering order" />
          <Caution
            lines={[
              'Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. Hot iron in its stand; eyes covered when clipping. Towels over the finish.',
            ]}
          />
        </div>
      }
    />
  )
}

/** Wires of the wiring before: left on, they join what this one keeps apart. */
function Leftovers({ wires }: { wires: readonly Leftover[] }) {
  const change = useBuild((s) => s.change)
  const off = (w: Leftover) =>
    change((b) => {
      const { [w.key]: _, ...others } = b.circuit.soldered ?? {}
      return setCircuit(b, 'soldered', others, `Taken off: ${w.from} to ${w.to}`)
    })
  return (
    <section className="mt-3 border-l-4 border-mind bg-canvas px-3 py-2">
      <h3 className="text-[18px]">Take off first</h3>
      <p>Soldered for another wiring; this one has no such wire.</p>
      <ul>
        {wires.map((w) => (
          <li key={w.key} className="flex items-center justify-between gap-3 border-t border-hairline py-1">
            <span>
              {w.from} to {w.to}
            </span>
            <Button className="shrink-0" aria-label={`It is off: ${w.from} to ${w.to}`} onClick={() => off(w)}>
              It is off
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
