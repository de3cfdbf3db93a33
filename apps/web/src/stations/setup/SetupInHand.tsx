import {
  bassString,
  LBF,
  parseLength,
  printInch,
  printMm,
  printTurns,
  readingsOf,
  refuse,
  setField,
  SETUP_BOUNDS,
  takeReading,
  TARGETS,
  type Asked,
  type SetupResult,
  type SetupSchool,
} from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { Caution } from '../../ui/Caution'
import { EntryField } from '../../ui/EntryField'
import { Choice, Field } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'

/** The part of the setup in hand: what to measure, what was read, which screw to turn and how far. */
export function SetupInHand({ setup, what }: { setup: SetupResult; what: string }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const move = setup.moves.find((m) => m.id === what)
  return (
    <div>
      <h2 className="text-[23px]">{move?.title ?? (what === 'strings' ? 'String pull' : 'Intonation at fret 12')}</h2>
      {what !== 'strings' && what !== 'intonation' && (
        <>
          <Choice<SetupSchool>
            label="School"
            value={build.setup.school}
            options={(Object.keys(TARGETS) as SetupSchool[]).map(
              (s) =>
                [s, `${TARGETS[s].label}: ${printMm(TARGETS[s].actionBass)} / ${printMm(TARGETS[s].actionTreble)} mm at fret 12`] as const,
            )}
            onChange={(s) => change((b) => setField(b, ['setup', 'school'], s, `Setup school: ${s}`))}
          />
          <p className="text-[14px] text-soft">{setup.targets.why}</p>
        </>
      )}
      {what === 'relief' && (
        <div className="mt-3 grid grid-cols-2 gap-3">
          <ReadingEntry label="Relief at fret 8" asked={{ what: 'relief' }} />
          <QuarterTurn />
        </div>
      )}
      {what === 'action' && (
        <div className="mt-3 grid grid-cols-2 gap-3">
          <ReadingEntry label="Action at fret 12, bass" asked={{ what: 'action', string: bassString(build) }} />
          <ReadingEntry label="Action at fret 12, treble" asked={{ what: 'action', string: 1 }} />
        </div>
      )}
      {move && <p className="mt-3 border-l-4 border-violet pl-3 text-[16px]">{move.says}</p>}
      {what === 'relief' && (
        <Caution
          lines={['Never force a truss nut. If it turns hard, slacken the strings first; protect your eyes when cutting strings.']}
        />
      )}
      {what === 'intonation' && <Intonation setup={setup} />}
      {what === 'strings' && <Pulls setup={setup} />}
    </div>
  )
}

/** A gap that was read: the newest counts, earlier ones stand below it. */
function ReadingEntry({ label, asked }: { label: string; asked: Asked }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const read = readingsOf(build, asked)
  const { from, to } = SETUP_BOUNDS[asked.what]
  return (
    <div>
      <Gap
        label={label}
        value={read.at(-1)?.value}
        allowed={[from, to]}
        onCommit={(value) => change((b) => takeReading(b, { ...asked, value, at: new Date().toISOString() }, `${label} ${printMm(value)}`))}
      />
      {read.length > 1 && (
        <p className="text-[13px] text-soft">
          before:{' '}
          {read
            .slice(0, -1)
            .map((r) => printMm(r.value))
            .join(', ')}
        </p>
      )}
    </div>
  )
}

function QuarterTurn() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const label = 'What a quarter turn gives, mm'
  return (
    <Gap
      label={label}
      value={build.setup.reliefPerQuarter}
      allowed={[0.005, 0.5]}
      onCommit={(mm) => change((b) => setField(b, ['setup', 'reliefPerQuarter'], mm, `${label} ${printMm(mm)}`))}
    />
  )
}

/** A small gap in mm or thou, with the other system beside it. */
function Gap({
  label,
  value,
  allowed,
  onCommit,
}: {
  label: string
  value: number | undefined
  allowed: readonly [number, number]
  onCommit: (mm: number) => void
}) {
  const system = usePrefs((p) => p.system)
  const [error, setError] = useState<string>()
  const print = (mm: number) => (system === 'in' ? printInch(mm).text : printMm(mm))
  return (
    <Field
      label={label}
      error={error}
      hint={value === undefined ? 'mm, thou or 64ths' : system === 'in' ? `${printMm(value)} mm` : printInch(value).text}
    >
      {({ id }) => (
        <EntryField
          id={id}
          label={label}
          shown={value === undefined ? '' : print(value)}
          onError={setError}
          parse={(text) => {
            const parsed = parseLength(text, system)
            if (!parsed.ok) return parsed
            const [from, to] = allowed
            return parsed.value < from || parsed.value > to
              ? refuse(`${printMm(parsed.value)} mm cannot be right here; ${from} to ${to} mm is allowed.`)
              : parsed
          }}
          onCommit={(mm) => onCommit(Math.round(mm * 1e4) / 1e4)}
        />
      )}
    </Field>
  )
}

function Intonation({ setup }: { setup: SetupResult }) {
  const change = useBuild((s) => s.change)
  if (!setup.intonation.length)
    return <p className="mt-2">Enter the string gauges under Parts first; then every string gets its row here.</p>
  return (
    <div className="mt-2">
      <p className="text-[14.5px]">
        Tune the open string, play its octave at fret 12 and enter how many cents it is sharp (+) or flat (−).
      </p>
      <table className="mt-1 w-full">
        <thead>
          <tr className="label text-left text-[14px] text-soft">
            <th>string</th>
            <th>cents</th>
            <th>saddle</th>
            <th>length screw</th>
          </tr>
        </thead>
        <tbody>
          {setup.intonation.map((s) => (
            <tr key={s.number} className="border-t border-hairline">
              <td className="label text-[16px]">
                {s.number} · {s.note}
              </td>
              <td className="w-24 py-0.5">
                <NumberEntry
                  label={`String ${s.number}, cents`}
                  value={s.cents}
                  from={SETUP_BOUNDS.cents.from}
                  to={SETUP_BOUNDS.cents.to}
                  onCommit={(v) =>
                    change((b) =>
                      takeReading(
                        b,
                        { what: 'cents', string: s.number, value: v, at: new Date().toISOString() },
                        `String ${s.number} ${v > 0 ? '+' : ''}${v} cents at fret 12`,
                      ),
                    )
                  }
                />
              </td>
              <td className="figure pl-2 text-[14px]">
                {s.back === undefined
                  ? ''
                  : Math.abs(s.back) < 0.05
                    ? 'leave'
                    : `${printMm(Math.abs(s.back))} mm ${s.back > 0 ? 'back' : 'forward'}`}
              </td>
              <td className="figure text-[14px]">
                {s.turns === undefined || Math.abs(s.turns) < 1 / 16
                  ? ''
                  : `${printTurns(s.turns)} ${Math.abs(s.turns) <= 1 ? 'turn' : 'turns'}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13.5px] text-soft">Sharp moves back, away from the nut. Retune and read again after every move.</p>
    </div>
  )
}

function Pulls({ setup }: { setup: SetupResult }) {
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="label text-left text-[14px] text-soft">
          <th>string</th>
          <th>gauge</th>
          <th className="text-right">newton</th>
          <th className="text-right">lbf</th>
        </tr>
      </thead>
      <tbody className="figure text-[15px]">
        {setup.pulls.map((p) => (
          <tr key={p.number} className="border-t border-hairline">
            <td className="py-1">
              {p.number} {p.note}{' '}
              <span className="font-text text-[13px] text-soft">
                {p.wound ? (p.coreEstimated ? 'wound, core estimated' : 'wound') : 'plain'}
              </span>
            </td>
            <td>{printInch(p.gauge).text}</td>
            <td className="text-right">{p.newton.toFixed(1)}</td>
            <td className="text-right">{(p.newton / LBF).toFixed(1)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t border-ink font-bold">
          <td colSpan={2}>Together</td>
          <td className="figure text-right">{setup.total.toFixed(1)}</td>
          <td className="figure text-right">{(setup.total / LBF).toFixed(1)}</td>
        </tr>
      </tfoot>
    </table>
  )
}
