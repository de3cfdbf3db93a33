import { parseOhms, printOhms, setField, type WireResult } from '@snug/core'
import { Slider } from 'radix-ui'
import { useEffect, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { EntryField } from '../../ui/EntryField'
import type { PositionCurve } from '../../workers/positionCurve'
import { ResponseChart } from './ResponseChart'

type Wired = Extract<WireResult, { ok: true }>

/** One switch position: its sound over pitch at the knobs as set, and the reading at the jack beside the predicted one. */
export function PositionInHand({ wire, position, curves }: { wire: Wired; position: number; curves: readonly PositionCurve[] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [error, setError] = useState<string>()
  const { reading, topology } = wire.positions[position - 1]!
  const mine = build.readings[String(position)]
  const curve = curves.find((c) => c.position === position)
  const { volume, tone } = build.circuit
  const off = mine ? mine.ohm - reading.ohm : 0
  const inside = Math.abs(off) <= Math.max(reading.doubt, 1)
  const otherKnobs = mine && (mine.volume !== volume || mine.tone !== tone)
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-[22px]">
        Position {position}: <span className="label text-[18px] font-medium">{topology.words}</span>
      </h2>
      <div className="mt-1 grid grid-cols-[1fr_1fr] gap-5">
        <Knob name="volume" />
        <Knob name="tone" />
      </div>
      <p className="text-[14.5px]">
        {curve?.resonance ? (
          <>
            Peak at <b className="figure">{Math.round(curve.resonance.hertz)}</b> Hz,{' '}
            <b className="figure">{curve.resonance.decibel.toFixed(1)}</b> dB; {topology.humWords}.
          </>
        ) : (
          <>No peak in this setting; {topology.humWords}.</>
        )}
      </p>
      <div className="min-h-40 flex-1">
        <ResponseChart
          curves={curves}
          position={position}
          label={`Response of position ${position}, 20 Hz to 20 kHz${curve?.resonance ? `, peak at ${Math.round(curve.resonance.hertz)} Hz` : ''}`}
        />
      </div>
      <div className="mt-1 grid grid-cols-[1fr_8rem] items-center gap-2 border-t border-hairline pt-2">
        <label htmlFor="read-jack">
          Meter at the jack, knobs at {volume} and {tone}
          <span className="block text-[13.5px] text-soft">
            expected <span className="figure">{printOhms(reading.ohm)}</span> ±{printOhms(reading.doubt, 2)}
          </span>
        </label>
        <EntryField
          id="read-jack"
          label="Meter at the jack"
          shown={mine ? printOhms(mine.ohm).replace(' ', '') : ''}
          placeholder="8.26k"
          parse={parseOhms}
          onError={setError}
          onCommit={(ohm) =>
            change((b) =>
              setField(
                b,
                ['readings', String(position)],
                { ohm, volume, tone, at: new Date().toISOString() },
                `Position ${position} reads ${printOhms(ohm)}`,
              ),
            )
          }
        />
      </div>
      {error && (
        <p role="alert" className="text-[13px] text-wont">
          {error}
        </p>
      )}
      {mine && (
        <p role="status" className={inside ? 'text-snug' : 'text-wont'}>
          {otherKnobs
            ? `Taken with the knobs at ${mine.volume} and ${mine.tone}; set them back to compare.`
            : inside
              ? 'Inside its band: these joints are good.'
              : `${printOhms(Math.abs(off))} ${off > 0 ? 'above' : 'below'} the expected; look over the ${position === 3 ? 'middle pickup' : 'pickup'} leads and this position’s lugs before closing the guard.`}
        </p>
      )}
      <Caution
        lines={[
          'Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. A tingle from the strings means a dangerous amplifier or outlet: stop, unplug, have a licensed electrician look.',
        ]}
      />
    </div>
  )
}

/** A knob from 0 to 10; moves at once here, is written when let go. */
function Knob({ name }: { name: 'volume' | 'tone' }) {
  const stored = useOpenBuild().circuit[name]
  const change = useBuild((s) => s.change)
  const [moving, setMoving] = useState(stored)
  useEffect(() => setMoving(stored), [stored])
  return (
    <div>
      <div className="label flex justify-between text-[15px]">
        <span className="capitalize">{name}</span>
        <span className="figure">{moving}</span>
      </div>
      <Slider.Root
        className="relative flex h-8 touch-none items-center select-none"
        min={0}
        max={10}
        step={0.5}
        value={[moving]}
        onValueChange={([v]) => setMoving(v!)}
        onValueCommit={([v]) =>
          v !== stored && change((b) => setField(b, ['circuit', name], v!, `${name === 'volume' ? 'Volume' : 'Tone'} at ${v}`))
        }
      >
        <Slider.Track className="relative h-1 flex-1 bg-hairline">
          <Slider.Range className="absolute h-full bg-violet" />
        </Slider.Track>
        <Slider.Thumb aria-label={name} className="block size-6 rounded-full border-2 border-violet bg-sheet" />
      </Slider.Root>
    </div>
  )
}
