import { lugName, lugsOf, setCircuit, wireKey, wireProblem, type Harness, type WireEdit } from '@snug/core'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'

/** Wires taken away and added, lug by lug; results follow at once. */
export function ByHand({
  harness,
  edits,
  picked,
  onPicked,
}: {
  harness: Harness
  edits: Record<string, WireEdit>
  /** The two lugs picked on the drawing, or here. */
  picked: readonly [from: string, to: string]
  onPicked: (picked: readonly [string, string]) => void
}) {
  const change = useBuild((s) => s.change)
  const [from, to] = picked
  const lugs = harness.components.flatMap(lugsOf).map((l): [string, string] => [l, lugName(harness, l)])
  const problem = from && to ? wireProblem(harness, from, to) : undefined
  const keep = (key: string, edit: WireEdit | undefined, label: string) => {
    const next = { ...edits }
    if (edit) next[key] = edit
    else delete next[key]
    change((b) => setCircuit(b, 'edits', next, label))
  }
  const words = (a: string, b: string) => `${lugName(harness, a)} to ${lugName(harness, b)}`
  return (
    <section>
      <h3 className="text-[18px]">Changed by hand</h3>
      <p className="text-[15px] text-soft">
        For a sheet that came with the parts, or a circuit as it was found: click a lug, then another, or pick them here.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <Choice label="From" value={from} options={[['', 'a lug'], ...lugs]} onChange={(lug) => onPicked([lug, to])} />
        <Choice label="To" value={to} options={[['', 'a lug'], ...lugs]} onChange={(lug) => onPicked([from, lug])} />
      </div>
      {problem && (
        <p role="alert" className="text-wont">
          {problem}
        </p>
      )}
      <Button
        className="mt-2"
        disabled={!from || !to || problem !== undefined}
        onClick={() => {
          keep(wireKey(from, to), { is: 'added', from, to, role: 'signal' }, `Wire added: ${words(from, to)}`)
          onPicked(['', ''])
        }}
      >
        Add this wire
      </Button>
      {Object.keys(edits).length > 0 && (
        <ul className="mt-2">
          {Object.entries(edits).map(([key, e]) => (
            <li key={key} className="flex items-center justify-between gap-2 border-t border-hairline py-1">
              <span>
                {e.is === 'cut' ? 'taken away' : 'added'}: {words(e.from, e.to)}
              </span>
              <Button look="quiet" onClick={() => keep(key, undefined, `As it was: ${words(e.from, e.to)}`)}>
                As it was
              </Button>
            </li>
          ))}
        </ul>
      )}
      <details className="mt-2">
        <summary className="label min-h-9 cursor-pointer pt-1.5 text-[16px] font-semibold">Take a wire away</summary>
        <ul>
          {harness.wires
            .filter((w) => !w.inside && edits[wireKey(w.from, w.to)]?.is !== 'added')
            .map((w) => (
              <li key={wireKey(w.from, w.to)} className="flex items-center justify-between gap-2 border-t border-hairline py-0.5">
                <span>{words(w.from, w.to)}</span>
                <Button
                  look="quiet"
                  aria-label={`Take away ${words(w.from, w.to)}`}
                  onClick={() =>
                    keep(
                      wireKey(w.from, w.to),
                      { is: 'cut', from: w.from, to: w.to, role: w.role },
                      `Wire taken away: ${words(w.from, w.to)}`,
                    )
                  }
                >
                  away
                </Button>
              </li>
            ))}
        </ul>
      </details>
    </section>
  )
}
