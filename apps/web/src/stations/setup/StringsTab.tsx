import { LBF, notesOf, setSetup, tuningOf, tuningsFor, type SetupResult } from '@snug/core'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Field, INPUT } from '../../ui/Field'
import { ThingRow } from '../../ui/ThingRow'
import { OtherStrings } from './OtherStrings'
import { Pulls } from './Pulls'
import { SetupTabs } from './tabs'
import { useSetupDrawing } from './useSetupDrawing'

/** What the strings pull at this tuning and at others; what a change of it opens again. */
export default function StringsTab({ setup }: { setup: SetupResult }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const drawing = useSetupDrawing()
  const now = tuningOf(build)
  const all = tuningsFor(build.strings)
  return (
    <Workspace
      fromSide
      loupe={drawing}
      listLabel="Strings"
      list={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          <ul>
            {setup.pulls.map((p) => (
              <ThingRow
                key={p.number}
                number={p.number}
                title={p.note}
                about={`${p.gauge.toFixed(2)} mm, ${p.wound ? (p.coreEstimated ? 'wound, core estimated' : 'wound') : 'plain'}`}
                figure={`${p.newton.toFixed(1)} N`}
                under={`${(p.newton / LBF).toFixed(1)} lbf`}
                selected={false}
                onSelect={() => undefined}
              />
            ))}
          </ul>
          {!setup.pulls.length && <p className="p-4">Enter the string gauges under Parts first.</p>}
          {setup.tuning && <p className="px-4 py-2 text-wont">{setup.tuning}</p>}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">String pull</h2>
          <Field label="Tuned">
            {(p) => (
              <select
                {...p}
                className={INPUT}
                value={now.name}
                onChange={(e) => {
                  const tuning = all.find((t) => t.name === e.target.value)
                  if (tuning) change((b) => setSetup(b, 'tuning', tuning, `Tuned ${tuning.name}: ${notesOf(tuning)}`))
                }}
              >
                {[...all, ...(all.some((t) => t.name === now.name) ? [] : [now])].map((t) => (
                  <option key={t.name} value={t.name}>
                    {t.name}: {notesOf(t)}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Pulls setup={setup} />
          <OtherStrings />
        </div>
      }
    />
  )
}
