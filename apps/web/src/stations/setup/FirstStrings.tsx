import { setSetup } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { FIRST_LINES } from './firstLines'

/** Ticked before any number is taken: what is wrong here makes every number wrong. */
export function FirstStrings() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const ticked = build.setup.first ?? {}
  return (
    <ul className="mt-2">
      {FIRST_LINES.map((line, i) => (
        <li key={line}>
          <label className="flex min-h-10 items-center gap-3">
            <input
              type="checkbox"
              className="size-5 accent-[var(--violet)]"
              checked={ticked[String(i)] === true}
              onChange={(e) => {
                const { [String(i)]: _, ...others } = ticked
                change((b) =>
                  setSetup(b, 'first', e.target.checked ? { ...others, [String(i)]: true } : others, `First strings: line ${i + 1}`),
                )
              }}
            />
            {line}
          </label>
        </li>
      ))}
    </ul>
  )
}
