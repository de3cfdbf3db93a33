import { useId, type ReactNode } from 'react'

export const INPUT = 'min-h-10 w-full rounded border border-hairline bg-sheet px-2 text-ink focus:border-violet'

/** A label with its control and, when something cannot be, the sentence that says why. */
export function Field({
  label,
  hint,
  error,
  quiet = false,
  children,
}: {
  label: string
  /** The label is read out but not shown: where a table's head already says it. */
  quiet?: boolean
  hint?: ReactNode
  error?: string | undefined
  children: (props: { id: string; 'aria-describedby'?: string; 'aria-invalid'?: true }) => ReactNode
}) {
  const id = useId()
  const about = error || hint ? { 'aria-describedby': `${id}-about` } : {}
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={quiet ? 'sr-only' : 'label block text-[14px] text-soft'}>
        {label}
      </label>
      {children({ id, ...about, ...(error ? { 'aria-invalid': true as const } : {}) })}
      {(error || hint) && (
        <p id={`${id}-about`} role={error ? 'alert' : undefined} className={`text-[13px] ${error ? 'text-wont' : 'text-soft'}`}>
          {error ?? hint}
        </p>
      )}
    </div>
  )
}

export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: T
  options: readonly (readonly [T, string])[]
  onChange: (value: T) => void
}) {
  return (
    <Field label={label}>
      {(props) => (
        <select {...props} className={INPUT} value={value} onChange={(e) => onChange(e.target.value as T)}>
          {options.map(([v, text]) => (
            <option key={v} value={v}>
              {text}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}
