import { lugName, meterBetween, printFarads, printOhms, type Harness, type Setting } from '@snug/core'
import { useMemo } from 'react'

/** What a meter shows between the two lugs picked, in each of its modes, switches and knobs as they stand. */
export function MeterBetween({ harness, setting, picked }: { harness: Harness; setting: Setting; picked: readonly [string, string] }) {
  const [from, to] = picked
  const shows = useMemo(() => (from && to ? meterBetween(harness, setting, from, to) : undefined), [harness, setting, from, to])
  return (
    <section>
      <h3 className="text-[18px]">Meter</h3>
      {!shows ? (
        <p className="text-[15px] text-soft">
          Pick two lugs: what a meter should show between them, with the switch in this position and the knobs as they stand.
        </p>
      ) : (
        <div role="status">
          <p>
            {lugName(harness, from)} — {lugName(harness, to)}
          </p>
          <dl className="grid grid-cols-[auto_1fr] gap-x-3">
            <dt className="label text-soft">ohms</dt>
            <dd className="figure">{shows.ohm === Infinity ? 'OL' : printOhms(shows.ohm)}</dd>
            <dt className="label text-soft">beeper</dt>
            <dd>{shows.says.replace(/^[^;]*; /, '')}</dd>
            <dt className="label text-soft">capacitance</dt>
            <dd className="figure">{shows.farad === undefined ? 'nothing it can tell' : printFarads(shows.farad)}</dd>
          </dl>
        </div>
      )}
    </section>
  )
}
