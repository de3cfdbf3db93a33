import { noteTurns, printMm, printTurns, toEighths, SETUP_BOUNDS, noteReading, type SetupResult } from '@snug/core'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'

export function Intonation({ setup }: { setup: SetupResult }) {
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
                      noteReading(
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
                  ? s.stale
                    ? 'read again'
                    : ''
                  : Math.abs(s.back) < 0.05
                    ? 'leave'
                    : `${printMm(Math.abs(s.back))} mm ${s.back > 0 ? 'back' : 'forward'}`}
              </td>
              <td className="figure text-[14px]">
                {s.turns === undefined || toEighths(s.turns) === 0 ? (
                  ''
                ) : (
                  <>
                    {printTurns(s.turns)} {Math.abs(s.turns) <= 1 ? 'turn' : 'turns'}{' '}
                    <Button
                      look="quiet"
                      onClick={() =>
                        change((b) =>
                          noteTurns(b, [{ screw: 'length', string: s.number, turns: toEighths(s.turns!) }], new Date().toISOString()),
                        )
                      }
                    >
                      turned <span className="sr-only">the length screw of string {s.number} as told</span>
                    </Button>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13.5px] text-soft">Sharp moves back, away from the nut. Retune and read again after every move.</p>
    </div>
  )
}
