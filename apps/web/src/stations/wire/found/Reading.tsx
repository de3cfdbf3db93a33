import { parseReading, printOhms } from '@snug/core'
import { useState } from 'react'
import { EntryField } from '../../../ui/EntryField'
import { Field } from '../../../ui/Field'

/** One reading as the meter shows it; an open line is one too. */
export function Reading({ label, value, onRead }: { label: string; value: number | undefined; onRead: (ohm: number) => void }) {
  const [error, setError] = useState<string>()
  return (
    <Field label={label} error={error}>
      {({ id }) => (
        <EntryField
          id={id}
          label={label}
          shown={value === undefined ? '' : printOhms(value).replace(' ', '')}
          parse={parseReading}
          onError={setError}
          onCommit={onRead}
        />
      )}
    </Field>
  )
}
