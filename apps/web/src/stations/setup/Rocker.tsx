import { highFrets, setSetup } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { NumberEntry } from '../../ui/NumberEntry'
import { Caution } from '../../ui/Caution'

const FRETS = Array.from({ length: 20 }, (_, i) => i + 2)

/** A rocker over every three frets, and from it the frets to level, with the card of how. */
export function Rocker() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [string, setString] = useState(1)
  const rocks = build.setup.rocks ?? {}
  const high = highFrets(build)
  return (
    <section aria-label="Rocker">
      <h3 className="mt-3 text-[18px]">Rocker over three frets</h3>
      <p className="text-[14px] text-soft">
        The neck straight, a short edge over three crowns: how far it tips, mm; 0 where it lies still. The middle one is high.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry label="String" value={string} from={1} to={build.strings} whole onCommit={setString} />
      </div>
      <div className="mt-1 grid grid-cols-6 gap-1">
        {FRETS.map((fret) => (
          <NumberEntry
            key={`${string}-${fret}`}
            label={`fret ${fret}`}
            value={rocks[`${string}-${fret}`]}
            from={0}
            to={2}
            onCommit={(mm) =>
              change((b) =>
                setSetup(b, 'rocks', { ...b.setup.rocks, [`${string}-${fret}`]: mm }, `Rocker at fret ${fret}, string ${string}: ${mm} mm`),
              )
            }
          />
        ))}
      </div>
      {high.length > 0 && (
        <>
          <p className="mt-2 font-semibold">To level: {high.map((h) => `fret ${h.fret} by ${h.by.toFixed(2)} mm`).join(', ')}.</p>
          <ol className="list-decimal pl-5 text-[15px]">
            <li>A loose fret is pressed or glued down first: what springs back is not levelled.</li>
            <li>Tape the board, mark the crowns of the high ones, level until the marks are gone.</li>
            <li>Rock them again and write it here, until none tips.</li>
            <li>Crown what is flat now, polish, oil the board. A couple of hours; the nut after it.</li>
          </ol>
          <Caution lines={['Cover the pickups: filings stay on magnets for good. Glasses on.']} />
          <p className="text-[14px] text-soft">Or have it done: it can stand under Money as work given out.</p>
        </>
      )}
    </section>
  )
}
