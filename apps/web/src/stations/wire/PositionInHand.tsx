import { capital, expectedNoise, isVague, signalPath, type Harness, type Setting, type WirePosition } from '@snug/core'
import { useMemo, useState } from 'react'
import { Caution } from '../../ui/Caution'
import type { PositionCurve } from '../../workers/positionCurve'
import { JackReading } from './JackReading'
import { AllAtTen, Knobs } from './Knobs'
import { Toggle } from '../../ui/Toggle'
import { Beside } from './Beside'
import { CircuitFile, type Laid } from './CircuitFile'
import { HearIt } from './HearIt'
import { ResponseChart } from './ResponseChart'
import { useBand } from './useBand'

/** What each part on the way of the signal does, from the pickups to the jack. */
function Follow({ harness, switches }: { harness: Harness; switches: Setting['switches'] }) {
  const says = useMemo(() => signalPath(harness, switches).says, [harness, switches])
  return (
    <details className="mt-1">
      <summary className="label min-h-9 cursor-pointer pt-1.5 text-[16px] font-semibold">Follow the signal</summary>
      <ol className="list-decimal pl-6">
        {says.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ol>
    </details>
  )
}

/** One switch position: its sound over pitch at the knobs as set, and the reading at the jack beside the predicted one. */
export function PositionInHand({
  harness,
  position,
  knobs,
  curves,
}: {
  harness: Harness
  position: WirePosition
  knobs: Setting['knobs']
  curves: readonly PositionCurve[]
}) {
  const { id, topology } = position
  const [banded, setBanded] = useState(false)
  const [laid, setLaid] = useState<Laid>()
  const setting = useMemo(() => ({ switches: position.switches, knobs }), [position, knobs])
  const band = useBand(harness, setting, banded)
  const curve = curves.find((c) => c.id === id)
  const peak = curve?.resonance && Math.round(curve.resonance.hertz)
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-[22px]">
        {id && `Position ${id}: `}
        <span className="label text-[18px] font-medium">{topology.words}</span>
      </h2>
      {/[‖+]/.test(topology.words) && (
        <p className="text-[13.5px] text-soft">
          {[topology.words.includes('‖') && '‖ side by side', topology.words.includes('+') && '+ one after the other']
            .filter(Boolean)
            .join(', ')}
        </p>
      )}
      <Knobs harness={harness} />
      <div className="flex items-center justify-between gap-3">
        <p className="text-[14.5px]">
          {curve?.resonance ? (
            <>
              Peak at <b className="figure">{peak}</b> Hz, <b className="figure">{curve.resonance.decibel.toFixed(1).replace('-', '−')}</b>{' '}
              dB; {topology.humWords}.
            </>
          ) : (
            // Before the curves are there nothing is known of a peak.
            capital(`${curve ? 'no peak in this setting; ' : ''}${topology.humWords}.`)
          )}
          {isVague(position.reading) && <span className="text-cant"> So it is with such pickups as a rule; nobody has read these.</span>}
        </p>
        <AllAtTen harness={harness} />
      </div>
      <div className="min-h-40 flex-1">
        <ResponseChart
          curves={curves}
          position={id}
          band={band}
          laid={laid}
          label={`Response ${id ? `of position ${id}` : 'as it is wired'}, 20 Hz to 20 kHz${peak ? `, peak at ${peak} Hz` : ''}`}
        />
      </div>
      <p className="text-[14px] text-soft">{expectedNoise(topology)}</p>
      <JackReading harness={harness} position={position} knobs={knobs} />
      <div className="flex flex-wrap items-center justify-between gap-2">
        <HearIt harness={harness} setting={setting} name={id} />
        <Toggle label="Band of parts as they come" on={banded} onChange={setBanded} />
      </div>
      <Beside setting={setting} onLaid={setLaid} />
      <CircuitFile harness={harness} setting={setting} name={id} onLaid={setLaid} />
      <Follow harness={harness} switches={position.switches} />
      <Caution
        lines={[
          'Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. A tingle from the strings means a dangerous amplifier or outlet: stop, unplug, have a licensed electrician look.',
        ]}
      />
    </div>
  )
}
