import { HEARD, parseReading, printOhms, type BenchTest } from '@snug/core'
import { useState } from 'react'
import { EntryField } from '../../ui/EntryField'
import { Field, INPUT } from '../../ui/Field'

/** What came of one test: typed as the meter shows it, or picked from what can be heard. */
export function TestEntry({
  test,
  outcome,
  onTell,
  example,
}: {
  test: BenchTest
  outcome: string | number | undefined
  onTell: (outcome: string | number | undefined) => void
  /** Written as this one would be, were all well. */
  example: string
}) {
  const [error, setError] = useState<string>()
  if (test.kind !== 'ohms')
    return (
      <Field label={test.says} quiet>
        {(props) => (
          <select {...props} className={INPUT} value={outcome ?? ''} onChange={(e) => onTell(e.target.value || undefined)}>
            <option value="">not done</option>
            {HEARD[test.kind as keyof typeof HEARD].map((h) => (
              <option key={h} value={h}>
                {h}
              </option>
            ))}
          </select>
        )}
      </Field>
    )
  return (
    <Field label={test.says} quiet error={error}>
      {({ id }) => (
        <EntryField
          id={id}
          label={test.says}
          shown={typeof outcome === 'number' ? printOhms(outcome).replace(' ', '') : ''}
          placeholder={example}
          parse={parseReading}
          onError={setError}
          onCommit={onTell}
        />
      )}
    </Field>
  )
}
