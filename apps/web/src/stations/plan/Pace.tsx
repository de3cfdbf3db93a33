import { paces, type Stage } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'

const KIND: Record<Stage, string> = {
  parcel: 'Parcels',
  wood: 'Work on wood',
  trial: 'Fitting up',
  film: 'Finish',
  wiring: 'Wiring',
  hardware: 'Hardware',
  strings: 'Strings and setup',
}

/** How long this person takes against what is usual, by kind of work; the plan counts with it. */
export function Pace() {
  const build = useOpenBuild()
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const found = paces(build, steps)
  return (
    <section aria-label="Your own pace" className="mt-4">
      <h3 className="text-[18px]">Your own pace</h3>
      {found.length === 0 ? (
        <p className="text-[15px] text-soft">
          Not known yet: say how many minutes a step took when you tick it, or let the bench view time it. The plan then counts with your
          own.
        </p>
      ) : (
        <ul>
          {found.map((p) => (
            <li key={p.stage} className="grid grid-cols-[1fr_auto] border-t border-hairline py-1">
              {KIND[p.stage]}
              <span>
                <span className="figure">{p.ratio.toFixed(2)}</span> of the usual{p.sure ? '' : `, from ${p.steps} only`}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
