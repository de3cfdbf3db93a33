import { noteReading, returnSays, returnTest } from '@snug/core'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { NumberEntry } from '../../ui/NumberEntry'
import { now } from '../../state/now'

const WAYS = [
  ['dive', 'after the arm went down'],
  ['raise', 'after it went up'],
] as const

/** Tuned, the arm moved and let go: how far off each string comes back, and where it hangs. */
export function ReturnToPitch() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const list = useMemo(() => returnTest(build), [build])
  const says = returnSays(list)
  return (
    <section aria-label="Return to pitch" className="px-4 py-2">
      <h3 className="label font-semibold">Does it come back</h3>
      <p className="text-[14px] text-soft">
        Tuned; arm down and let go, read the tuner; tuned again; arm up and let go, read. Cents, sharp +.
      </p>
      {says && (
        <p role="status" className="mt-1 font-semibold">
          {says}
        </p>
      )}
      <table className="mt-1 w-full text-[14px]">
        <caption className="sr-only">Pitch of each string after the arm</caption>
        <thead>
          <tr className="text-left text-soft">
            <th className="w-14">string</th>
            <th>down</th>
            <th>up</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {list.map((r) => (
            <tr key={r.string} className="border-t border-hairline align-top">
              <td className="py-1 pr-2">{r.string}</td>
              {WAYS.map(([what, when]) => (
                <td key={what} className="w-20 py-0.5 pr-2">
                  <NumberEntry
                    quiet
                    label={`String ${r.string}, cents ${when}`}
                    value={r[what]}
                    from={-100}
                    to={100}
                    onCommit={(value) =>
                      change((b) =>
                        noteReading(b, { what, string: r.string, value, at: now() }, `String ${r.string}: ${value} cents ${when}`),
                      )
                    }
                  />
                </td>
              ))}
              <td className="py-1">{r.dive === undefined && r.raise === undefined ? '' : r.says}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
