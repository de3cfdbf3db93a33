import { BENCH_TOOLS } from '@snug/core'
import { usePrefs } from '../../state/prefs'

/** Which tools are at hand; kept on this machine, since it is the bench's and not the build's. */
export function ToolsHere() {
  const { lacking, setLacking } = usePrefs()
  return (
    <details className="mt-1">
      <summary className="label min-h-9 cursor-pointer pt-1.5 text-[15px]">
        Tools here: {lacking.length ? `all but ${lacking.join(', ')}` : 'all of them'}
      </summary>
      <div className="flex flex-wrap gap-x-5">
        {BENCH_TOOLS.map((tool) => (
          <label key={tool} className="label flex min-h-10 items-center gap-2 text-[15px]">
            <input
              type="checkbox"
              className="size-4 shrink-0 accent-[var(--violet)]"
              checked={!lacking.includes(tool)}
              onChange={(e) => setLacking(tool, !e.target.checked)}
            />
            {tool}
          </label>
        ))}
      </div>
    </details>
  )
}
