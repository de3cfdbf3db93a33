import { specAt, wordOf } from '@snug/core'
import { useBuild } from '../../state/buildStore'
import { PegMark } from '../../ui/PegMark'
import type { LastRead } from './useRound'

/** What the last reading settled, or what its joints still say. */
export function Settled({ last }: { last: LastRead | undefined }) {
  const fit = useBuild((s) => s.evaluation?.fit)
  const of = (fit ?? []).filter((j) => last?.before.has(j.id))
  const told = of.filter((j) => j.verdict !== 'cant-tell')
  const waits = of.filter((j) => j.verdict === 'cant-tell')
  return (
    <div role="status" aria-live="polite" className="mt-2 min-h-[3.2rem] text-[15px]">
      {last && told.length > 0 && (
        <ul>
          {told.slice(0, 2).map((j) => (
            <li key={j.id} className="flex items-start gap-2">
              <PegMark verdict={j.verdict} silent />
              <span>
                <span className="label font-semibold">
                  {j.title}: {wordOf(j.verdict)}.
                </span>{' '}
                {j.says}
              </span>
            </li>
          ))}
        </ul>
      )}
      {last && told.length === 0 && waits[0] && (
        <p className="text-soft">
          {specAt(last.rank.ref).label} is filed. <span className="label font-semibold">{waits[0].title}:</span> {waits[0].says}
        </p>
      )}
    </div>
  )
}
