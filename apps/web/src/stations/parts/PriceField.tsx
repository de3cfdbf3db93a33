import { parsePlain, setPartField, type Part, type Slot } from '@snug/core'
import { useState } from 'react'
import { useBuild } from '../../state/buildStore'
import { Field, INPUT } from '../../ui/Field'

interface Props {
  slot: Slot
  part: Part
  currency: string
  /** Of the part itself, or of the original it stands in for. */
  of?: 'price' | 'original'
}

export function PriceField({ slot, part, currency, of = 'price' }: Props) {
  const change = useBuild((s) => s.change)
  const [error, setError] = useState<string>()
  const [typed, setTyped] = useState<string>()
  const commit = () => {
    if (typed === undefined) return
    const read = typed.trim() === '' ? undefined : parsePlain(typed)
    if (read && (!read.ok || read.value < 0 || read.value > 1e6))
      return setError(`${read.ok ? `"${typed}" is not a price` : read.why.replace(/\.$/, '')}; write it like 12.50, up to 1000000.`)
    setError(undefined)
    setTyped(undefined)
    const price = read?.ok ? read.value : undefined
    if (price !== part[of]) change((b) => setPartField(b, slot, of, price))
  }
  return (
    <Field label={of === 'price' ? `Price, ${currency}` : `The original’s price, ${currency}`} error={error}>
      {(p) => (
        <input
          {...p}
          className={`${INPUT} figure`}
          inputMode="decimal"
          value={typed ?? part[of] ?? ''}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => e.key === 'Enter' && commit()}
        />
      )}
    </Field>
  )
}
