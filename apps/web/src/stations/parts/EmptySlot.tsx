import { choosePart, freeOf, KINDS, SLOTS, slotSpec, wantedFor, type Part, type Slot, type StockItem } from '@snug/core'
import { useState } from 'react'
import { useCandidates } from '../../state/useCandidates'
import { useWhere } from '../../app/where'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'

export function EmptySlot({ slot }: { slot: Slot }) {
  const change = useBuild((s) => s.change)
  const spec = slotSpec(slot)
  const kind = KINDS[spec.kind]
  const [name, setName] = useState('')
  const { id, go } = useWhere()
  const build = useOpenBuild()
  const stock = useCandidates([spec.kind])
  const fitting = (stock.data ?? []).filter((i) => i.holding === 'stash' && freeOf(i, id) > 0)
  const take = (item: StockItem) => change((b) => choosePart(b, slot, { ...item.part, state: 'in hand' }))
  const why = wantedFor(build.parts, slot)
  const first = Object.values(kind.sizes)
    .filter((s) => s.required)
    .slice(0, 4)
  return (
    <div>
      <h2 className="text-[23px]">{spec.label}</h2>
      <p className="mt-1">
        {why ? `This slot is empty: ${why}.` : 'This slot is empty. Leave it so if the instrument has none.'} Enter the part by the name on
        its bag; then measure {first.length ? first.map((s) => s.label.toLowerCase()).join(', ') : 'what you can'} first.
      </p>
      <form
        className="mt-3 flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          const part: Part = { kind: spec.kind, name: name.trim() || kind.label, state: 'planned', sizes: {}, traits: {} }
          change((b) => choosePart(b, slot, part))
          // The next one that the build cannot do without comes into the hand.
          const next = SLOTS.find((s) => s.slot !== slot && !build.parts[s.slot] && wantedFor(build.parts, s.slot))
          if (next) go('parts', next.slot)
        }}
      >
        <div className="flex-1">
          <Field label={`Name of the ${kind.label.toLowerCase()}`}>
            {(p) => <input {...p} className={INPUT} value={name} maxLength={120} onChange={(e) => setName(e.target.value)} />}
          </Field>
        </div>
        <Button look="main" type="submit">
          Put it in
        </Button>
      </form>
      {fitting.length > 0 && (
        <>
          <h3 className="mt-4 text-[18px]">From the stash</h3>
          <ul>
            {fitting.map((s) => (
              <li key={s.id} className="flex items-center justify-between border-b border-hairline py-1">
                {s.part.name}
                <Button onClick={() => take(s)}>Take this one</Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}
