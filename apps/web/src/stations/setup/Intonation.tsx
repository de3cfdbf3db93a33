import {
  areSlid,
  noteReading,
  noteTurns,
  pitchNotes,
  printMm,
  printTurns,
  SETUP_BOUNDS,
  theStrings,
  toEighths,
  type PitchWork,
  type SetupResult,
} from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { now } from '../../state/now'

export function Intonation({ setup }: { setup: SetupResult }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  if (!setup.intonation.length)
    return <p className="mt-2">Enter the string gauges under Parts first; then every string gets its row here.</p>
  const whole = setup.intonation.some((s) => s.whole)
  return (
    <div className="mt-2">
      <p className="text-[14.5px]">
        Tune the open string, play its octave at fret 12 and enter how many cents it is sharp (+) or flat (−).
      </p>
      <table className="mt-1 w-full">
        <caption className="sr-only">Cents of each string</caption>
        <thead>
          <tr className="label text-left text-[14px] text-soft">
            <th className="pr-3">string</th>
            <th>cents</th>
            <th className="pl-3">{whole ? 'bridge' : areSlid(setup.intonation) ? 'saddle' : 'saddle, and its length screw'}</th>
          </tr>
        </thead>
        <tbody>
          {setup.intonation.map((s) => (
            <tr key={s.number} className="border-t border-hairline">
              <td className="label whitespace-nowrap pr-3 text-[16px]">
                {s.number} · {s.note}
              </td>
              <td className="w-24 py-0.5">
                <NumberEntry
                  quiet
                  label={`String ${s.number}, cents`}
                  value={s.cents}
                  from={SETUP_BOUNDS.cents.from}
                  to={SETUP_BOUNDS.cents.to}
                  onCommit={(v) =>
                    change((b) =>
                      noteReading(
                        b,
                        { what: 'cents', string: s.number, value: v, at: now() },
                        `String ${s.number} ${v > 0 ? '+' : ''}${v} cents at fret 12`,
                      ),
                    )
                  }
                />
              </td>
              <td className="figure pl-3 text-[14px]">
                <Saddle work={s} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13.5px] text-soft">{pitchNotes(build, setup.intonation).join(' ')}</p>
    </div>
  )
}

/** Where one saddle goes, by how many turns, and that it was turned. */
function Saddle({ work: { number, cents, beside, whole, back, turns, stale, trial, beyond } }: { work: PitchWork }) {
  const change = useBuild((s) => s.change)
  if (stale) return <>old: read again</>
  if (cents !== undefined && whole === 'between') return <>goes with the ends</>
  if (cents !== undefined && back === undefined)
    return (
      <>
        read string {beside} too: {whole ? 'the bridge goes as a whole' : 'the same saddle'}
      </>
    )
  if (back === undefined) return null
  if (!whole && beside !== undefined && beside < number) return <>the saddle of string {beside}</>
  const where = `${whole ? 'this end ' : ''}${printMm(Math.abs(back))} mm ${back > 0 ? 'back' : 'forward'}`
  if (Math.abs(back) < 0.05 || (turns !== undefined && toEighths(turns) === 0)) return <>leave</>
  if (beyond !== undefined)
    return (
      <>
        {where}
        <span className="block font-text">
          {whole ? 'The bridge' : 'Its saddle'} goes {printMm(beyond, 1)} mm in all: read again. Where it is so, the bridge stands wrong.
        </span>
      </>
    )
  if (turns === undefined) return <>{where}</>
  // What carries two strings moves both.
  const strings = beside === undefined ? [number] : [number, beside]
  const made = () =>
    change((b) =>
      noteTurns(
        b,
        strings.map((string) => ({ screw: 'length', string, turns: toEighths(turns) }) as const),
        now(),
      ),
    )
  return (
    <>
      {where}, {trial ? 'first ' : ''}
      {printTurns(turns)} {Math.abs(turns) <= 1 ? 'turn' : 'turns'}{' '}
      <Button look="quiet" onClick={made}>
        turned <span className="sr-only">the length screw of {theStrings(strings)} as told</span>
      </Button>
    </>
  )
}
