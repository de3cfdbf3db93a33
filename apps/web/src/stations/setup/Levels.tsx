import { levelWork, noteReading, simulatedLevel, type Level, type LevelWork } from '@snug/core'
import { readWav } from '@snug/formats/wavIn'
import { useMemo, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { NumberEntry } from '../../ui/NumberEntry'
import { circuitWorker } from '../../workers/compute'
import { now } from '../../state/now'

/** How loud each string is through the pickup in hand: typed, from a file, or simulated; and which screws even it out. */
export function Levels({ slot }: { slot: LevelWork['slot'] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const work = useMemo(() => levelWork(build).find((w) => w.slot === slot), [build, slot])
  const [string, setString] = useState(1)
  const [why, setWhy] = useState<string>()
  const take = (level: Level, of = string) => {
    setWhy(level.ok ? undefined : level.why)
    if (!level.ok) return
    const dB = Math.round(level.dB * 10) / 10
    change((b) => noteReading(b, { what: 'level', slot, string: of, value: dB, at: now() }, `String ${of} ${dB} dB`))
    if (of < build.strings) setString(of + 1)
  }
  const hear = async (samples: Float64Array, rate: number) => take(await circuitWorker().levelOf(samples, rate))
  const file = async (f: File) => {
    const wav = readWav(await f.arrayBuffer())
    if (wav.ok) await hear(wav.samples, wav.rate)
    else setWhy(wav.why)
  }
  if (!work) return null
  return (
    <section aria-label="Levels" className="mt-4">
      <h3 className="text-[18px]">As loud as each other</h3>
      <p className="text-[14px] text-soft">Same hand, same knobs, each string plucked once alone; dB under full.</p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <div className="w-20">
          <NumberEntry label="String" value={string} from={1} to={build.strings} whole onCommit={setString} />
        </div>
        <div className="w-28">
          <NumberEntry label="Level, dB" value={undefined} from={-90} to={0} onCommit={(dB) => take({ ok: true, dB })} />
        </div>
        <Button onClick={() => void hear(...simulatedLevel(build, slot, string))}>Simulated</Button>
        <FileButton name={`Level of string ${string} as WAV`} accept=".wav,audio/wav" onFile={(f) => void file(f)}>
          WAV
        </FileButton>
      </div>
      {why && (
        <p role="alert" className="mt-1 text-wont">
          {why}
        </p>
      )}
      {work.strings.length > 0 && (
        <ul className="mt-1">
          {work.strings.map((s) => (
            <li key={s.number} className="border-t border-hairline py-1">
              {s.number} <b className="figure">{s.dB.toFixed(1)}</b> {s.says}
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1">{work.says}</p>
    </section>
  )
}
