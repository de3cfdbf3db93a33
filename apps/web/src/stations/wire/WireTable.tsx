import { setCircuit, WIRE_OVER, WIRE_SLACK, type WireRow } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'

/** Wires in soldering order, each ticked when it is soldered and beeped along; totals by colour below. */
export function WireTable({ wires }: { wires: readonly WireRow[] }) {
  const soldered = useOpenBuild().circuit.soldered ?? {}
  const change = useBuild((s) => s.change)
  const open = wires.filter((w) => w.length === undefined).length
  const next = wires.find((w) => !soldered[w.key])
  const tick = (w: WireRow, on: boolean) => {
    const { [w.key]: _, ...others } = soldered
    const words = `${on ? 'Soldered' : 'Not soldered after all'}: ${w.from} to ${w.to}`
    change((b) => setCircuit(b, 'soldered', on ? { ...others, [w.key]: today() } : others, words))
  }
  return (
    <div>
      <table className="w-full text-[14px]">
        <caption className="sr-only">Wires to cut</caption>
        <thead className="sticky top-0 bg-paper">
          <tr className="label text-left text-soft">
            <th className="py-1 pl-3">no.</th>
            <th>from, to</th>
            <th>colour</th>
            <th className="pr-3 text-right">cut, mm</th>
          </tr>
        </thead>
        <tbody>
          {wires.map((w, i) => (
            <tr
              key={w.key}
              className={`border-t align-top ${i && wires[i - 1]!.stage !== w.stage ? 'border-ink' : 'border-hairline'} ${w === next ? 'bg-sheet' : ''}`}
              title={w.stage}
            >
              <td className="pl-3">
                <label className="flex min-h-10 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 shrink-0 accent-[var(--violet)]"
                    aria-label={`Wire ${w.number} soldered and checked`}
                    checked={Boolean(soldered[w.key])}
                    onChange={(e) => tick(w, e.target.checked)}
                  />
                  <span className="figure text-soft">{w.number}</span>
                </label>
              </td>
              <td className="py-1.5">
                {w.from} <span className="text-soft">to</span> {w.to}
                <span className="block text-[13px] text-soft">{w.check}</span>
              </td>
              <td className="py-1.5">
                {w.colour}
                {w.plug && <span className="block text-[13px] text-soft">a plug</span>}
                {w.screened && <span className="block text-[13px] text-soft">screened</span>}
              </td>
              <td className="figure py-1.5 pr-3 text-right">{w.length ?? <span className="text-soft">lay it out</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="label border-t border-hairline px-3 py-2 text-[15px] text-soft">
        Lengths are along the way the wire lies, {Math.round(100 * (WIRE_OVER - 1))} % over, plus {WIRE_SLACK} mm.
        {open > 0 &&
          ` ${open} ${open === 1 ? 'wire has' : 'wires have'} no length: nobody has said where its ends are. Measure the places of pickups and controls, or lay the wire along its way and add a hand’s breadth.`}
      </p>
    </div>
  )
}
