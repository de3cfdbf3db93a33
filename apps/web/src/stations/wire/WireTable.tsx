import type { WireRow } from '@snug/core'

/** Wires in soldering order, each with its length to cut; totals by colour below. */
export function WireTable({ wires }: { wires: readonly WireRow[] }) {
  const totals = new Map<string, number>()
  for (const w of wires) totals.set(w.colour, (totals.get(w.colour) ?? 0) + (w.length ?? 0))
  const open = wires.filter((w) => w.length === undefined).length
  return (
    <div>
      <table className="w-full text-[14px]">
        <thead className="sticky top-0 bg-paper">
          <tr className="label text-left text-soft">
            <th className="px-3 py-1">no.</th>
            <th>from</th>
            <th>to</th>
            <th>colour</th>
            <th className="pr-3 text-right">cut, mm</th>
          </tr>
        </thead>
        <tbody>
          {wires.map((w, i) => (
            <tr
              key={w.number}
              className={`border-t ${i && wires[i - 1]!.stage !== w.stage ? 'border-ink' : 'border-hairline'}`}
              title={w.stage}
            >
              <td className="figure px-3 py-1 text-soft">{w.number}</td>
              <td>{w.from}</td>
              <td>{w.to}</td>
              <td>{w.colour}</td>
              <td className="figure pr-3 text-right">{w.length ?? <span className="text-soft">lay it out</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="label border-t border-hairline px-3 py-2 text-[15px] text-soft">
        In all: {[...totals].map(([c, mm]) => `${c} ${(mm / 1000).toFixed(2)} m`).join(' · ')}. Lengths are along the guard, a fifth over,
        plus 40 mm.
        {open > 0 &&
          ` ${open} ${open === 1 ? 'wire has' : 'wires have'} no length: nobody has said where its ends are. Measure the places of pickups and controls, or lay the wire along its way and add a hand’s breadth.`}
      </p>
    </div>
  )
}
