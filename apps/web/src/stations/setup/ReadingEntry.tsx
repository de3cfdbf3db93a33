import { parseLength, printInch, printMm, readingsOf, refuse, SETUP_BOUNDS, noteReading, type Asked } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { EntryField } from '../../ui/EntryField'
import { Field } from '../../ui/Field'
import { now } from '../../state/now'

/** A gap that was read: the newest counts, earlier ones stand below it. */
export function ReadingEntry({ label, asked, fret }: { label: string; asked: Asked; fret?: number }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const read = readingsOf(build, asked)
  const { from, to } = SETUP_BOUNDS[asked.what]
  return (
    <div>
      <Gap
        label={label}
        value={(read.at(-1)?.fret ?? 12) === (fret ?? 12) || asked.what !== 'action' ? read.at(-1)?.value : undefined}
        allowed={[from, to]}
        onCommit={(value) =>
          change((b) =>
            noteReading(
              b,
              { ...asked, value, ...(fret === undefined || fret === 12 ? {} : { fret }), at: now() },
              `${label} ${printMm(value)}`,
            ),
          )
        }
      />
      {read.length > 1 && (
        <p className="text-[13px] text-soft">
          before:{' '}
          {read
            .slice(0, -1)
            .map((r) => printMm(r.value))
            .join(', ')}
        </p>
      )}
    </div>
  )
}

/** A small gap in mm or thou, with the other system beside it. */
function Gap({
  label,
  value,
  allowed,
  onCommit,
}: {
  label: string
  value: number | undefined
  allowed: readonly [number, number]
  onCommit: (mm: number) => void
}) {
  const system = usePrefs((p) => p.system)
  const [error, setError] = useState<string>()
  const print = (mm: number) => (system === 'in' ? printInch(mm).text : printMm(mm))
  return (
    <Field
      label={label}
      error={error}
      hint={value === undefined ? 'mm, thou or 64ths' : system === 'in' ? `${printMm(value)} mm` : printInch(value).text}
    >
      {({ id }) => (
        <EntryField
          id={id}
          label={label}
          shown={value === undefined ? '' : print(value)}
          onError={setError}
          parse={(text) => {
            const parsed = parseLength(text, system)
            if (!parsed.ok) return parsed
            const [from, to] = allowed
            return parsed.value < from || parsed.value > to
              ? refuse(`${printMm(parsed.value)} mm cannot be right here; ${from} to ${to} mm is allowed.`)
              : parsed
          }}
          onCommit={(mm) => onCommit(Math.round(mm * 1e4) / 1e4)}
        />
      )}
    </Field>
  )
}
