import { printMm, setField, setSetup, targetsOf, type SetupResult, type SetupSchool } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Choice } from '../../ui/Field'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'

const OWN = {
  relief: [['relief', 'Relief wanted, mm', 0, 1]],
  action: [
    ['actionBass', 'Bass wanted, mm', 0.5, 5],
    ['actionTreble', 'Treble wanted, mm', 0.5, 5],
  ],
} as const

/** What is aimed at: a school, and one's own numbers over it. */
export function OwnNumbers({ setup, of }: { setup: SetupResult; of: keyof typeof OWN }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const own = build.setup.wanted
  const schools = targetsOf(build)
  const usual = { ...setup.targets, relief: (setup.targets.relief.from + setup.targets.relief.to) / 2 }
  return (
    <>
      <Choice<SetupSchool>
        label="How low you like the strings"
        value={build.setup.school}
        options={(Object.keys(schools) as SetupSchool[]).map(
          (s) => [s, `${schools[s].label}: ${printMm(schools[s].actionBass)} / ${printMm(schools[s].actionTreble)} mm at fret 12`] as const,
        )}
        onChange={(s) => change((b) => setField(b, ['setup', 'school'], s, `Strings liked: ${schools[s].label}`))}
      />
      <p className="text-[14px] text-soft">{setup.targets.why}</p>
      <details className="mt-1" open={OWN[of].some(([key]) => own?.[key] !== undefined)}>
        <summary className="min-h-9 cursor-pointer py-1 text-[14px] text-soft">Numbers of your own</summary>
        <div className="grid grid-cols-2 gap-3">
          {OWN[of].map(([key, label, from, to]) => (
            <NumberEntry
              key={key}
              label={label}
              value={own?.[key]}
              placeholder={printMm(usual[key])}
              from={from}
              to={to}
              onCommit={(v) =>
                change((b) => setSetup(b, 'wanted', { ...b.setup.wanted, [key]: v }, `${label.replace(', mm', '')}: ${v} mm`))
              }
            />
          ))}
        </div>
        {OWN[of].some(([key]) => own?.[key] !== undefined) && (
          <Button
            look="quiet"
            onClick={() => {
              const rest = Object.fromEntries(Object.entries(own ?? {}).filter(([key]) => !OWN[of].some(([k]) => k === key)))
              change((b) => setSetup(b, 'wanted', rest, 'The school’s own numbers again'))
            }}
          >
            The school’s again
          </Button>
        )}
      </details>
    </>
  )
}
