import { bassString, printMm, setField, TARGETS, type SetupResult, type SetupSchool } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { Choice } from '../../ui/Field'
import { Intonation } from './Intonation'
import { Pulls } from './Pulls'
import { ReadingEntry, QuarterTurn } from './ReadingEntry'

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
