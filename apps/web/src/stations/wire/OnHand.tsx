import { coloursFor, setCircuit, type WireRow } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'

/** Wire on hand by colour, and what this harness takes of each. */
export function OnHand({ wires }: { wires: readonly WireRow[] }) {
  const reels = useOpenBuild().circuit.reels ?? {}
  const change = useBuild((s) => s.change)
  const [colour, setColour] = useState('')
  const name = colour.trim().toLowerCase()
  const keep = (next: Record<string, number>, words: string) =>
    change((b) => setCircuit(b, 'reels', Object.keys(next).length ? next : undefined, words))
  const used = new Map<string, number>()
  // A pickup brings its own leads.
  for (const w of wires) if (w.stage !== 'pickups') used.set(w.colour, (used.get(w.colour) ?? 0) + (w.length ?? 0) / 1000)
  const unknown = wires.filter((w) => w.length === undefined && w.stage !== 'pickups').length
  const told = Object.keys(reels).length > 0
  const says = coloursFor(reels).says
  return (
    <section className="mt-3">
      <h3 className="text-[18px]">Wire on hand</h3>
      {!told && (
        <p className="text-[15px] text-soft">
          Nobody has said which colours there are: white for signal, black for ground are taken as bought.
        </p>
      )}
      <ul>
        {Object.keys(reels).map((c) => {
          const wants = used.get(c) ?? 0
          return (
            <li key={c} className="flex items-end gap-2 border-t border-hairline py-1">
              <div className="w-28">
                <NumberEntry
                  label={`${c}, m`}
                  value={reels[c]}
                  from={0}
                  to={1000}
                  onCommit={(m) => keep({ ...reels, [c]: m }, `${c} wire: ${m} m`)}
                />
              </div>
              <span className={`flex-1 pb-2 ${wants > reels[c]! ? 'text-wont' : 'text-soft'}`}>
                {wants > reels[c]! ? `${wants.toFixed(2)} m wanted: too short` : `${wants.toFixed(2)} m wanted`}
              </span>
              <Button
                look="quiet"
                aria-label={`none: no ${c} wire`}
                onClick={() => {
                  const { [c]: _, ...rest } = reels
                  keep(rest, `No ${c} wire`)
                }}
              >
                none
              </Button>
            </li>
          )
        })}
      </ul>
      <form
        className="mt-1 flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (!name) return
          keep({ ...reels, [name]: reels[name] ?? 1 }, `${name} wire on hand`)
          setColour('')
        }}
      >
        <Field label="A colour">
          {(props) => <input {...props} className={INPUT} maxLength={20} value={colour} onChange={(e) => setColour(e.target.value)} />}
        </Field>
        <Button type="submit" disabled={!name}>
          Add
        </Button>
      </form>
      {says && <p className="text-mind">{says}</p>}
      {!told && used.size > 0 && (
        <p className="text-[15px] text-soft">In all: {[...used].map(([c, m]) => `${c} ${m.toFixed(2)} m`).join(', ')}.</p>
      )}
      {unknown > 0 && <p className="text-[15px] text-soft">Without the {unknown} that have no length yet.</p>}
    </section>
  )
}
