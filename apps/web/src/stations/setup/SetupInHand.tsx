import { bassString, printMm, setField, sizeAt, TARGETS, type SetupResult, type SetupSchool } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { Choice } from '../../ui/Field'
import { FirstStrings } from './FirstStrings'
import { Intonation } from './Intonation'
import { Pulls } from './Pulls'
import { ReadingEntry, QuarterTurn } from './ReadingEntry'

/** The part of the setup in hand: what to measure, what was read, which screw to turn and how far. */
export function SetupInHand({ setup, what }: { setup: SetupResult; what: string }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const last = Math.round(sizeAt(build, { slot: 'neck', size: 'frets' })?.value ?? 22)
  const [fret, setFret] = useState(12)
  const move = setup.moves.find((m) => m.id === what)
  return (
    <div>
      <h2 className="text-[23px]">
        {move?.title ?? (what === 'strings' ? 'String pull' : what === 'first' ? 'First strings on' : 'Intonation at fret 12')}
      </h2>
      {what === 'first' && <FirstStrings />}
      {(what === 'relief' || what === 'action') && (
        <>
          <Choice<SetupSchool>
            label="How low you like the strings"
            value={build.setup.school}
            options={(Object.keys(TARGETS) as SetupSchool[]).map(
              (s) =>
                [s, `${TARGETS[s].label}: ${printMm(TARGETS[s].actionBass)} / ${printMm(TARGETS[s].actionTreble)} mm at fret 12`] as const,
            )}
            onChange={(s) => change((b) => setField(b, ['setup', 'school'], s, `Strings liked: ${TARGETS[s].label}`))}
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
          <ReadingEntry label={`Action at fret ${fret}, bass`} asked={{ what: 'action', string: bassString(build) }} fret={fret} />
          <ReadingEntry label={`Action at fret ${fret}, treble`} asked={{ what: 'action', string: 1 }} fret={fret} />
          <Choice
            label="Read over fret"
            value={String(fret)}
            options={[12, 17, last].map((f) => [String(f), String(f)] as const)}
            onChange={(f) => setFret(Number(f))}
          />
        </div>
      )}
      {what === 'float' && (
        <div className="mt-2">
          <ReadingEntry label="Gap under the back edge" asked={{ what: 'float' }} />
        </div>
      )}
      {what === 'action' && <Actions setup={setup} />}
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

/** Each string over fret 12, wherever along the neck it was read, beside what is wanted of it. */
function Actions({ setup }: { setup: SetupResult }) {
  if (!setup.actions.some((a) => a.read)) return null
  return (
    <table className="mt-2 w-full text-[14px]">
      <thead>
        <tr className="text-left text-soft">
          <th>string</th>
          <th className="text-right">over fret 12</th>
          <th className="text-right">wanted</th>
        </tr>
      </thead>
      <tbody className="figure">
        {setup.actions.map((a) => (
          <tr key={a.number} className="border-t border-hairline">
            <td>{a.number}</td>
            <td className="text-right">
              {printMm(a.is)}
              {a.read ? '' : ' by the line'}
            </td>
            <td className="text-right">{printMm(a.wanted)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
