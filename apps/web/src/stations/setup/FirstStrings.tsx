import { setSetup } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { FIRST_LINES } from './firstLines'

/** A line that is looked at and ticked. */
export function LookedAt({ id, line }: { id: string; line: string }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  return (
    <label className="flex min-h-10 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-[var(--violet)]"
        checked={build.setup.first?.[id] === true}
        onChange={(e) => {
          const on = e.target.checked
          change((b) => {
            const { [id]: _, ...others } = b.setup.first ?? {}
            return setSetup(b, 'first', on ? { ...others, [id]: true } : others, `${on ? 'Looked at' : 'Open again'}: ${line.slice(0, 50)}`)
          })
        }}
      />
      {line}
    </label>
  )
}

/** Ticked before any number is taken: what is wrong here makes every number wrong. */
export function FirstStrings() {
  return (
    <ul className="mt-2">
      {FIRST_LINES.map((line, i) => (
        <li key={line}>
          <LookedAt id={String(i)} line={line} />
        </li>
      ))}
    </ul>
  )
}
