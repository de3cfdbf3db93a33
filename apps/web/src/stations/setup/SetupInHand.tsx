import { bassString, hasTrussNut, sizeAt, type SetupResult } from '@snug/core'
import { useState } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { Choice } from '../../ui/Field'
import { ActionNumbers } from './ActionNumbers'
import { AsTold } from './AsTold'
import { FirstStrings } from './FirstStrings'
import { Intonation } from './Intonation'
import { OwnNumbers } from './OwnNumbers'
import { Pulls } from './Pulls'
import { ReadingEntry } from './ReadingEntry'

const OTHERS: Record<string, string> = { strings: 'String pull', first: 'First strings on', intonation: 'Intonation at fret 12' }

/** The part of the setup in hand: what to measure, what was read, which screw to turn and how far, and that it was turned. */
export function SetupInHand({ setup, what }: { setup: SetupResult; what: string }) {
  const build = useOpenBuild()
  const last = Math.round(sizeAt(build, { slot: 'neck', size: 'frets' })?.value ?? 22)
  const [fret, setFret] = useState(12)
  const move = setup.moves.find((m) => m.id === what)
  return (
    <div>
      <h2 className="text-[23px]">{move?.title ?? OTHERS[what] ?? OTHERS.intonation}</h2>
      {what === 'first' && <FirstStrings />}
      {(what === 'relief' || what === 'action') && <OwnNumbers key={what} setup={setup} of={what} />}
      {what === 'relief' && (
        <div className="mt-3 grid grid-cols-2 gap-3">
          <ReadingEntry label="Relief at fret 8" asked={{ what: 'relief' }} />
          <ReadingEntry label="The same, strings slack" asked={{ what: 'slack' }} />
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
      {move && (
        <p className={`mt-3 border-l-4 pl-3 text-[16px] ${move.stale ? 'border-mind' : 'border-violet'}`} role="status">
          {move.says}
        </p>
      )}
      {move?.turns && <AsTold key={move.says} turns={move.turns} />}
      {move && !move.done && <p className="mt-1 text-[14px] text-soft">Moves with it: {move.moves}.</p>}
      {what === 'action' && <ActionNumbers setup={setup} />}
      {what === 'relief' && (
        <Caution
          lines={[
            ...(hasTrussNut(build) ? ['Never force a truss nut. If it turns hard, slacken the strings first.'] : []),
            'Protect your eyes when cutting strings.',
          ]}
        />
      )}
      {what === 'intonation' && <Intonation setup={setup} />}
      {what === 'strings' && <Pulls setup={setup} />}
    </div>
  )
}
