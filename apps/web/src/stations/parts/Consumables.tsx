import { setIn, type Consumable } from '@snug/core'
import { useState } from 'react'
import { keyFor } from '../../state/keyFor'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'

export function Consumables() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [name, setName] = useState('')
  const rows = Object.entries(build.consumables ?? {})
  const put = (id: string, c: Consumable) =>
    change((b) => setIn(b, 'consumables', id, { ...c }, `${c.name}: ${Math.round(c.share * 100)} % used`))
  return (
    <section aria-labelledby="consumables" className="border-t border-hairline px-4 py-3">
      <h3 id="consumables" className="text-[18px]">
        Spares and what is used up
      </h3>
      <p className="text-[14px] text-soft">A tub of filler serves many builds: only the share this one uses counts.</p>
      {rows.map(([id, c]) => (
        <div key={id} className="grid grid-cols-[1fr_7rem_7rem_auto] items-center gap-2 border-b border-hairline py-1">
          <span>{c.name}</span>
          <NumberEntry
            quiet
            label={`${c.name}, price of all`}
            value={c.price}
            from={0}
            to={1e5}
            onCommit={(price) => put(id, { ...c, price })}
          />
          <NumberEntry
            quiet
            label={`${c.name}, percent used`}
            value={Math.round(c.share * 100)}
            from={0}
            to={100}
            onCommit={(v) => put(id, { ...c, share: v / 100 })}
          />
          <Button look="quiet" onClick={() => change((b) => setIn(b, 'consumables', id, undefined, `${c.name} no longer counted`))}>
            Leave out
          </Button>
        </div>
      ))}
      <form
        className="mt-2 flex gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (!name.trim()) return
          put(keyFor(name, build.consumables), { name: name.trim(), price: 0, share: 1 })
          setName('')
        }}
      >
        <input
          aria-label="Name of a consumable"
          className={INPUT}
          value={name}
          maxLength={80}
          placeholder="grain filler, solder, P120 paper"
          onChange={(e) => setName(e.target.value)}
        />
        <Button type="submit" className="whitespace-nowrap">
          Count it
        </Button>
      </form>
    </section>
  )
}
