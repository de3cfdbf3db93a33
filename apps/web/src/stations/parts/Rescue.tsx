import { DEFECTS, rescueEstimate, setField, rescueSheet } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { NumberEntry } from '../../ui/NumberEntry'
import { PrintSheet } from '../../ui/PrintSheet'

export function Rescue() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const rescue = build.rescue ?? { defects: [] }
  const e = rescueEstimate(rescue.defects, rescue.asking, rescue.worth)
  const put = (more: Partial<typeof rescue>) =>
    change((b) => setField(b, ['rescue'], JSON.parse(JSON.stringify({ ...rescue, ...more })), 'Rescue estimate'))
  const range = (r: { low: number; likely: number; high: number }, digits: number) =>
    `${r.likely.toFixed(digits)} (${r.low.toFixed(digits)} to ${r.high.toFixed(digits)})`
  return (
    <div>
      <h2 className="text-[23px]">Rescue estimate</h2>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <NumberEntry label={`Asked, ${build.currency}`} value={rescue.asking} from={0} to={1e6} onCommit={(asking) => put({ asking })} />
        <NumberEntry
          label={`Worth put right, ${build.currency}`}
          value={rescue.worth}
          from={0}
          to={1e6}
          onCommit={(worth) => put({ worth })}
        />
      </div>
      <p className="mt-2 border-l-4 border-violet pl-3" role="status">
        Parts about <b className="figure">{range(e.money, 0)}</b> {build.currency}, bench about{' '}
        <b className="figure">{range(e.hours, 1)}</b> hours.
        {e.left !== undefined && (
          <>
            {' '}
            <span className={e.left < 0 ? 'text-wont' : ''}>
              Left after price and parts: <b className="figure">{e.left.toFixed(0)}</b>.
            </span>
          </>
        )}
      </p>
      <ul className="mt-2">
        {DEFECTS.map((d) => (
          <li key={d.id} className="border-b border-hairline">
            <label className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 shrink-0 accent-[var(--violet)]"
                checked={rescue.defects.includes(d.id)}
                onChange={(ev) =>
                  put({ defects: ev.target.checked ? [...rescue.defects, d.id] : rescue.defects.filter((x) => x !== d.id) })
                }
              />
              <span className="flex-1">{d.label}</span>
              <span className="figure text-[13px] text-soft">
                {d.money[1]} · {d.hours[1]} h
              </span>
            </label>
          </li>
        ))}
      </ul>
      <PrintSheet
        sheet={() => rescueSheet(rescue.defects, rescue.asking, rescue.worth, build.currency)}
        label="Print the questions for the seller"
      />
    </div>
  )
}
