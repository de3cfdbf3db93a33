import { parsePlain, read, refuse } from '@snug/core'
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
            const plain = parsePlain(text)
            if (!plain.ok) return refuse(`${plain.why.replace(/\.$/, '')}; ${from} to ${to} is allowed.`)
            const v = plain.value
            if (v < from || v > to) return refuse(`${v} cannot be; ${from} to ${to} is allowed.`)
            if (whole && !Number.isInteger(v)) return refuse(`Only whole numbers from ${from} to ${to}.`)
            return read(v)
          }}
        />
      )}
    </Field>
  )
}
