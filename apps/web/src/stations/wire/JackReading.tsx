import { positionWords } from './positionWords'
import {
  capital,
  jackProbes,
  isVague,
  judgeReading,
  readingWords,
  knobAt,
  OPEN_LINE,
  parseReading,
  potsOf,
  predictReading,
  printOhms,
  readingAt,
  readingKey,
  setField,
  type Harness,
  type MeterReading,
  type Setting,
  type WirePosition,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { EntryField } from '../../ui/EntryField'
import { now } from '../../state/now'

/** The meter at the jack in one position: what it should show at the knobs as they stand, what was read, and whether that is right. */
export function JackReading({ harness, position, knobs }: { harness: Harness; position: WirePosition; knobs: Setting['knobs'] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [error, setError] = useState<string>()
  const setting = useMemo(() => ({ switches: position.switches, knobs }), [position, knobs])
  const expected = useMemo(() => predictReading(build, harness, setting), [build, harness, setting])
  const mine = readingAt(build, harness, setting)
  const commit = (ohm: number) => {
    const probes = jackProbes(harness)
    const reading = {
      ohm,
      probes: [...probes],
      setting: { switches: { ...position.switches }, knobs: Object.fromEntries(potsOf(harness).map((p) => [p.id, knobAt(setting, p.id)])) },
      at: now(),
    } satisfies MeterReading
    change((b) =>
      setField(
        b,
        ['readings', readingKey(probes, position.switches)],
        reading,
        `${capital(positionWords(position.id))} reads ${printOhms(ohm)}`,
      ),
    )
  }
  return (
    <>
      <div className="mt-1 grid grid-cols-[1fr_8rem] items-center gap-2 border-t border-hairline pt-2">
        <label htmlFor="read-jack">
          Meter at the jack, {knobWords(harness, setting)}
          <span className="block text-[13.5px] text-soft">
            {isVague(expected) ? (
              'what it should read nobody can say yet'
            ) : (
              <>
                expected <span className="figure">{readingWords(expected)}</span>
              </>
            )}
          </span>
        </label>
        <EntryField
          id="read-jack"
          label="Meter at the jack"
          shown={mine ? printOhms(mine.ohm).replace(' ', '') : ''}
          placeholder={isVague(expected) ? '' : printOhms(expected.ohm).replace(' ', '')}
          parse={parseReading}
          onError={setError}
          onCommit={commit}
        />
      </div>
      {error && (
        <p role="alert" className="text-[13px] text-wont">
          {error}
        </p>
      )}
      {mine && !error && <ReadingWord harness={harness} position={position} reading={mine} setting={setting} />}
    </>
  )
}

/** Says whether a reading is right for the knobs it was taken at, and names those when they stand elsewhere now. */
function ReadingWord({
  harness,
  position,
  reading,
  setting,
}: {
  harness: Harness
  position: WirePosition
  reading: MeterReading
  setting: Setting
}) {
  const build = useOpenBuild()
  const judged = useMemo(() => judgeReading(build, harness, reading), [build, harness, reading])
  const moved = potsOf(harness).some((p) => knobAt(reading.setting, p.id) !== knobAt(setting, p.id))
  const pickups = [
    ...new Set(harness.components.flatMap((c) => (c.is === 'coil' && position.topology.sounding.includes(c.id) ? [c.pickup] : []))),
  ]
  if (!judged) return null
  const { off, inside } = judged
  const proves = !(inside && isVague(judged.expected))
  return (
    <p role="status" className={!proves ? 'text-cant' : inside ? 'text-snug' : 'text-wont'}>
      {moved && `Taken with ${knobWords(harness, reading.setting)}. `}
      {!proves
        ? 'It proves no joint: nobody has said what these pickups read by themselves. Read each before it is soldered in, and enter it under Parts.'
        : inside
          ? 'Inside its band: these joints are good.'
          : wrongWords(reading.ohm, off, pickups)}
    </p>
  )
}

/** "all knobs at 10", or each knob with where it stands. */
function knobWords(harness: Harness, setting: Setting): string {
  const pots = potsOf(harness)
  if (pots.every((p) => knobAt(setting, p.id) === 10)) return 'all knobs at 10'
  return pots.map((p) => `${p.label} at ${knobAt(setting, p.id)}`).join(', ')
}

/** What a reading outside its band says first; what it may be is gone through under Find a fault. */
function wrongWords(ohm: number, off: number, pickups: readonly string[]): string {
  const then = 'Find a fault goes on from here.'
  if (ohm >= OPEN_LINE)
    return `An open line where there should be none: something on the way from the ${pickups.join(' and ')} pickup to the jack is off. ${then}`
  if (ohm < 20) return `Next to nothing: a short between hot and ground, or a volume that stands at 0. ${then}`
  if (off === -Infinity) return `It should be open, and something joins tip and sleeve. ${then}`
  return `${printOhms(Math.abs(off))} ${off > 0 ? 'above' : 'below'} the expected; look over the leads of the ${pickups.join(' and ')} pickup${pickups.length > 1 ? 's' : ''} and this position’s lugs before it is closed. ${then}`
}
