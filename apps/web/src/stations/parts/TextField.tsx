import { useState } from 'react'
import { Field, INPUT } from '../../ui/Field'

/** A line of text that is kept when Enter is pressed or the field is left. */
export function TextField({ label, value, onCommit, max }: { label: string; value: string; onCommit: (v: string) => void; max: number }) {
  const [typed, setTyped] = useState<string>()
  const commit = () => {
    if (typed !== undefined && typed.trim() !== value) onCommit(typed.trim())
    setTyped(undefined)
  }
  return (
    <Field label={label}>
      {(p) => (
        <input
          {...p}
          className={INPUT}
          maxLength={max}
          value={typed ?? value}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => e.key === 'Enter' && commit()}
        />
      )}
    </Field>
  )
}
