import { setField, TOOLS, USUAL_TOOLS } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'

/** Tools on hand decide how well a size can be taken at all. */
export function Owned() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const tools = build.tools ?? USUAL_TOOLS
  return (
    <fieldset className="mt-4 flex flex-wrap items-center gap-x-4">
      <legend className="text-[18px] font-semibold">Tools on hand</legend>
      {TOOLS.map((t) => (
        <label key={t} className="flex min-h-10 items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 shrink-0 accent-[var(--violet)]"
            checked={tools.includes(t)}
            onChange={(e) =>
              change((b) =>
                setField(
                  b,
                  ['tools'],
                  TOOLS.filter((x) => (x === t ? e.target.checked : tools.includes(x))) as string[],
                  `Tools on hand: ${t} ${e.target.checked ? 'yes' : 'no'}`,
                ),
              )
            }
          />
          {t}
        </label>
      ))}
    </fieldset>
  )
}
