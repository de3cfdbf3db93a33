import { compensations, pitchLines, printMm, type SetupResult } from '@snug/core'
import { lazy, Suspense, useMemo, useState } from 'react'
import { Board } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { Intonation } from './Intonation'
import { PitchFromSound } from './PitchFromSound'
import { SetupTabs } from './tabs'

const PitchChart = lazy(() => import('./PitchChart'))

/** How far off each fret sounds, string by string; where saddles begin; a pitch heard becomes the reading. */
export default function IntonationTab({ setup }: { setup: SetupResult }) {
  const build = useOpenBuild()
  const lines = useMemo(() => pitchLines(build), [build])
  const start = useMemo(() => compensations(build), [build])
  const [seen, setSeen] = useState(6)
  const hand = lines.find((l) => l.number === seen) ?? lines.at(-1)
  // Where its reading is off, what it will be once the saddle is moved.
  const then = useMemo(() => (hand?.read ? pitchLines(build, { only: hand.number, inTune: true })[0] : undefined), [build, hand])
  return (
    <Board
      boardLabel="Intonation"
      board={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          {hand ? (
            <>
              <div role="group" aria-label="String" className="flex flex-wrap gap-2 px-4 pt-2">
                {lines.map((l) => (
                  <button
                    key={l.number}
                    type="button"
                    aria-pressed={l.number === hand.number}
                    onClick={() => setSeen(l.number)}
                    className={`label min-h-9 rounded-full border px-3 text-[14px] ${l.number === hand.number ? 'border-violet bg-violet/10 text-violet' : 'border-hairline bg-sheet'}`}
                  >
                    {l.number} · {l.note}
                  </button>
                ))}
              </div>
              <Suspense fallback={<div className="h-72" />}>
                <PitchChart lines={lines} then={then} seen={hand.number} />
              </Suspense>
              <p className="px-4 text-[14px] text-soft">
                Cents off over the frets with the saddle {printMm(hand.back)} mm behind the scale line
                {hand.read ? ', where its reading puts it; dashed: once it is moved' : ', where fret 12 is in tune'}. Strings that run on
                over nut and saddle, pressed 0.2 mm behind the fret.
              </p>
              <table className="mx-4 mt-2 text-[15px]">
                <caption className="sr-only">Where saddles begin</caption>
                <thead>
                  <tr className="label text-left text-soft">
                    <th className="pr-4">string</th>
                    <th>a saddle to begin with, mm behind the scale line: pressed lightly to hard</th>
                  </tr>
                </thead>
                <tbody className="figure">
                  {start.map((c) => (
                    <tr key={c.number} className="border-t border-hairline">
                      <td>
                        {c.number} {c.note}
                      </td>
                      <td>
                        {c.from.toFixed(1)} to {c.to.toFixed(1)}
                        {c.coreEstimated ? <span className="font-text text-[13px] text-soft"> core estimated</span> : ''}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          ) : (
            <p className="p-4">Enter the string gauges under Parts first; then every string gets its line here.</p>
          )}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Intonation at fret 12</h2>
          {setup.pulls.length > 0 && <PitchFromSound key={hand?.number} string={hand?.number ?? 1} read={hand?.read ?? false} />}
          <Intonation setup={setup} />
        </div>
      }
    />
  )
}
