import {
  actionSet,
  afterTilt,
  printMm,
  sideSetting,
  tiltFor,
  TRIAL_TILT,
  isThrough,
  willBeGlued,
  type Build,
  type TiltGoal,
} from '@snug/core'
import { useMemo, useState, type ReactNode } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { useSideTrial } from './useSideTrial'

/** The build with neither shim nor bridge height on trial: what the goals reckon from. */
function untried(build: Build): Build {
  const { [TRIAL_TILT]: _, ...jobs } = build.jobs
  const { saddle: __, ...setup } = build.setup
  return { ...build, jobs, setup }
}

/** Neck tilt and bridge height tried by goal, by number or by dragging the rings in the drawing; nothing is kept until it is kept. */
export function SideView() {
  const build = useOpenBuild()
  const { now, set } = useSideTrial()
  const [degrees, setDegrees] = useState(10)
  const side = useMemo(() => sideSetting(untried(build)), [build])
  const through = isThrough(build)
  if (!side)
    return (
      <p className="mt-3 text-soft">
        {through ? 'Board over the front' : 'Heel, pocket'}, crown, nut and the bridge’s range have to be known before{' '}
        {through ? 'a height' : 'a tilt'} can be tried.
      </p>
    )
  const { shim, strip, saddle, breaks } = afterTilt(side, now.tilt)
  const glued = willBeGlued(build)
  const where = now.tilt < 0 ? 'mouth' : 'end'
  const reach = (goal: TiltGoal) => {
    const answer = tiltFor(side, goal)
    if (answer) set({ tilt: answer.tilt, saddle: undefined })
  }
  return (
    <section aria-labelledby="side-view" className="mt-3">
      <h3 id="side-view" className="label text-[15px] text-soft">
        {through ? 'Try a height of the bridge: drag the ring above' : 'Try a tilt: drag the rings above, or ask for'}
      </h3>
      {!through && (
        <div className="mt-1 flex flex-wrap items-end gap-2">
          <Button onClick={() => reach({ reach: 'least' })}>{glued ? 'Least taper' : 'Least shim'}</Button>
          <Button onClick={() => reach({ reach: 'middle' })}>Bridge mid-range</Button>
          <Button disabled={!side.held} onClick={() => reach({ reach: 'break', degrees })}>
            Break of at least {degrees}°
          </Button>
          <div className="w-20">
            <NumberEntry label="Degrees" value={degrees} from={1} to={60} onCommit={setDegrees} />
          </div>
        </div>
      )}
      {!through && !side.held && (
        <p className="text-[14px] text-soft">
          For a break angle, give the bridge’s or tailpiece’s string height and its distance from the saddles under Parts.
        </p>
      )}
      <table className="mt-2 w-full text-[14.5px]">
        <caption className="sr-only">From the side</caption>
        <tbody>
          {!through && <Line label="Tilt added">{now.tilt.toFixed(2)}°</Line>}
          {!through && <Line label={`Full taper at the pocket’s ${where}`}>{printMm(shim)} mm</Line>}
          {!glued && !through && <Line label={`Or a strip at the ${where}`}>{printMm(strip)} mm</Line>}
          <Line label="Saddles for the action wanted">{printMm(saddle, 1)} mm</Line>
          {breaks !== undefined && <Line label="Strings over the saddles">{breaks.toFixed(1)}°</Line>}
          <Line label="Saddles on trial at">
            {now.saddle === undefined
              ? 'as the action asks'
              : `${printMm(now.saddle, 1)} mm, action ${printMm(actionSet(side, now.tilt, now.saddle))} mm`}
            {now.saddle !== undefined && (
              <Button look="quiet" className="ml-1 !min-h-8" onClick={() => set({ saddle: undefined })}>
                let the action decide
              </Button>
            )}
          </Line>
        </tbody>
      </table>
    </section>
  )
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <tr className="border-t border-hairline">
      <th scope="row" className="py-1 text-left font-normal">
        {label}
      </th>
      <td className="figure py-1 text-right">{children}</td>
    </tr>
  )
}
