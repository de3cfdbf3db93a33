import { read, refuse } from '@snug/core'
import { useState } from 'react'
import { EntryField } from './EntryField'
import { Field } from './Field'

/** A plain number between two bounds; outside them it says what is allowed and keeps the old one. */
export function NumberEntry({
  label,
  value,
  from,
  to,
  whole,
  onCommit,
  placeholder,
  quiet = false,
}: {
  label: string
  value: number | undefined
  from: number
  to: number
  whole?: boolean
  onCommit: (v: number) => void
  placeholder?: string
  quiet?: boolean
}) {
  const [error, setError] = useState<string>()
  return (
    <Field label={label} error={error} quiet={quiet}>
      {({ id }) => (
        <EntryField
          id={id}
          label={label}
          shown={value === undefined ? '' : String(value)}
          {...(placeholder ? { placeholder } : {})}
          onError={setError}
          onCommit={onCommit}
          parse={(text) => {
            const v = Number(text.trim().replace(',', '.'))
            if (text.trim() === '' || !Number.isFinite(v)) return refuse(`"${text}" is not a number; ${from} to ${to} is allowed.`)
            if (v < from || v > to) return refuse(`${v} cannot be; ${from} to ${to} is allowed.`)
            if (whole && !Number.isInteger(v)) return refuse(`Only whole numbers from ${from} to ${to}.`)
            return read(v)
          }}
        />
      )}
    </Field>
  )
}
