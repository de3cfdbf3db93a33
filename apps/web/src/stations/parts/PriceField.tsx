import { parseLength, setPartField, type Part, type Slot } from '@snug/core'
import { useState } from 'react'
import { useBuild } from '../../state/buildStore'
import { Field, INPUT } from '../../ui/Field'

export function PriceField({ slot, part, currency }: { slot: Slot; part: Part; currency: string }) {
  const change = useBuild((s) => s.change)
  const [error, setError] = useState<string>()
  const [typed, setTyped] = useState<string>()
  const commit = () => {
    if (typed === undefined) return
    const read = typed.trim() === '' ? undefined : parseLength(typed)
    if (read && (!read.ok || read.value < 0 || read.value > 1e6 || !/^[\d.,\s]+$/.test(typed)))
      return setError(`"${typed}" is not a price; write it like 12.50, up to 1000000.`)
    setError(undefined)
    setTyped(undefined)
    const price = read?.ok ? read.value : undefined
    if (price !== part.price) change((b) => setPartField(b, slot, 'price', price))
  }
  return (
    <Field label={`Price, ${currency}`} error={error}>
      {(p) => (
        <input
          {...p}
          className={`${INPUT} figure`}
          inputMode="decimal"
          value={typed ?? part.price ?? ''}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => e.key === 'Enter' && commit()}
        />
      )}
    </Field>
  )
}
