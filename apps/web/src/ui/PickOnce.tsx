import { useRef, useState } from 'react'
import { Field, INPUT } from './Field'

/**
 * A choice that is gone once it is made. By mouse or finger it is made at once; by keys, which walk through the options one by one, only
 * with Enter or by leaving the field. Escape lets go of it.
 */
export function PickOnce<T extends string>({
  label,
  nothing,
  options,
  onPick,
}: {
  label: string
  /** Said while nothing is chosen. */
  nothing: string
  options: readonly (readonly [T, string])[]
  onPick: (value: T) => void
}) {
  const [at, setAt] = useState<T | ''>('')
  const byKeys = useRef(false)
  const pick = (value: T | '') => {
    setAt('')
    if (value) onPick(value)
  }
  return (
    <Field label={label}>
      {(props) => (
        <select
          {...props}
          className={INPUT}
          value={at}
          onPointerDown={() => (byKeys.current = false)}
          onKeyDown={(e) => {
            byKeys.current = true
            if (e.key === 'Escape') setAt('')
            if (e.key !== 'Enter' || !at) return
            e.preventDefault()
            pick(at)
          }}
          onChange={(e) => (byKeys.current ? setAt : pick)(e.target.value as T | '')}
          onBlur={() => pick(at)}
        >
          {[['', nothing] as const, ...options].map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}
