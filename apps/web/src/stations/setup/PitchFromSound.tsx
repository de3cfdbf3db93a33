import { heardPitch, noteReading, pulledString, SETUP_BOUNDS, simulatedPluck, type Listened } from '@snug/core'
import { readWav } from '@snug/formats/wavIn'
import { useRef, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { circuitWorker } from '../../workers/compute'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { useMicrophone } from './useMicrophone'
import { now } from '../../state/now'

interface Taken {
  /** Cents off where it should sound. */
  open?: number | undefined
  octave?: number | undefined
  why?: string
}

/**
 * A string heard open and at fret 12, from a file, the microphone or the simulated instrument; the difference is the reading. Made anew
 * for each string, so that what was heard of one is never taken for another.
 */
export function PitchFromSound({ string, read }: { string: number; read: boolean }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [taken, setTaken] = useState<Taken>({})
  const next = useRef<'open' | 'octave'>('open')
  const target = pulledString(build, string)
  const mic = useMicrophone()
  if (!target) return null
  const wanted = { open: target.hertz, octave: 2 * target.hertz }
  const hear = async (samples: Float64Array, rate: number, which: 'open' | 'octave') => {
    const listened: Listened = await circuitWorker().pitchOf(samples, rate)
    const heard = listened.ok ? heardPitch(listened.heard.hertz, wanted[which]) : { why: listened.why }
    setTaken((was) => ('cents' in heard ? { octave: was.octave, open: was.open, [which]: heard.cents } : { ...was, why: heard.why }))
  }
  const file = async (f: File) => {
    const read = readWav(await f.arrayBuffer())
    if (!read.ok) setTaken((was) => ({ ...was, why: read.why }))
    else await hear(read.samples, read.rate, next.current)
  }
  const cents = taken.open !== undefined && taken.octave !== undefined ? taken.octave - taken.open : undefined
  const row = (which: 'open' | 'octave', label: string) => (
    <div className="mt-2 flex flex-wrap items-center gap-2 border-t border-hairline pt-2">
      <span className="w-full">
        {label}
        <span className="figure ml-2 text-[14px] text-soft">{wanted[which].toFixed(2)} Hz</span>
      </span>
      <Button onClick={() => void hear(...simulatedPluck(build, string, which === 'open' ? 0 : 12), which)}>Simulated</Button>
      <FileButton
        name={`${label} of string ${string} as WAV`}
        accept=".wav,audio/wav"
        onFile={(f) => {
          next.current = which
          void file(f)
        }}
      >
        WAV
      </FileButton>
      <Button
        disabled={mic.state === 'listening'}
        onClick={() =>
          void mic.listen().then((got) => (got.ok ? hear(got.samples, got.rate, which) : setTaken((w) => ({ ...w, why: got.why }))))
        }
      >
        Microphone
      </Button>
      <b className="figure ml-auto">
        {taken[which] === undefined ? '' : `${(wanted[which] * 2 ** (taken[which] / 1200)).toFixed(2)} Hz, ${signed(taken[which])} cents`}
      </b>
    </div>
  )
  return (
    <section className="mt-2" aria-label="Pitch from sound">
      <h3 className="text-[18px]">
        String {string}, {target.note}, by its sound
      </h3>
      {row('open', 'Open')}
      {row('octave', 'At fret 12')}
      {mic.state === 'listening' && (
        <div
          className="mt-2 h-2 rounded bg-hairline"
          role="meter"
          aria-label="Level"
          aria-valuemin={0}
          aria-valuemax={1}
          aria-valuenow={Number(mic.level.toFixed(2))}
        >
          <div className="h-full rounded bg-violet" style={{ width: `${Math.min(100, 140 * mic.level)}%` }} />
        </div>
      )}
      {taken.why && (
        <p role="alert" className="mt-1 text-wont">
          {taken.why}
        </p>
      )}
      {cents !== undefined && (
        <p className="mt-2">
          Fret 12 against the open octave: <b className="figure">{signed(cents)} cents</b>{' '}
          {Math.abs(cents) > SETUP_BOUNDS.cents.to ? (
            <span className="text-wont">More than a string is ever off: pluck both again.</span>
          ) : (
            <Button
              look="main"
              onClick={() =>
                change((b) =>
                  noteReading(
                    b,
                    { what: 'cents', string, value: Math.round(cents * 10) / 10, at: now() },
                    `String ${string} ${signed(cents)} cents at fret 12`,
                  ),
                )
              }
            >
              Take it as the reading
            </Button>
          )}
        </p>
      )}
      <p className="text-[13px] text-soft">
        The simulated instrument plays this build’s strings with their stiffness, noise and the saddle as it stands
        {read ? '' : ', a few cents off on purpose'}.
      </p>
    </section>
  )
}

const signed = (c: number) => `${c > 0 ? '+' : ''}${c.toFixed(1)}`
