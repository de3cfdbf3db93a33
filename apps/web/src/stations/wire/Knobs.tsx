import { capital, knobAt, potsOf, type Harness, type PotPart } from '@snug/core'
import { Slider } from 'radix-ui'
import { useEffect, useState } from 'react'
import { useBuild } from '../../state/buildStore'
import { useKnobs, useKnobsOf } from '../../state/knobs'
import { Button } from '../../ui/Button'

/** The instrument's knobs, to hear and read the circuit at other settings; turning them changes nothing of the build. */
export function Knobs({ harness }: { harness: Harness }) {
  const id = useBuild((s) => s.id)!
  const turned = useKnobsOf(id)
  const turn = useKnobs((k) => k.turn)
  const pots = potsOf(harness)
  const setting = { switches: {}, knobs: turned }
  return (
    <div className="mt-1 grid grid-cols-2 gap-x-5">
      {pots.map((pot) => (
        <Knob key={pot.id} pot={pot} stands={knobAt(setting, pot.id)} turn={(to) => turn(id, pot.id, to)} />
      ))}
    </div>
  )
}

/** All knobs back where instruments are compared from. */
export function AllAtTen({ harness }: { harness: Harness }) {
  const setting = { switches: {}, knobs: useKnobsOf(useBuild((s) => s.id)!) }
  const allAtTen = useKnobs((k) => k.allAtTen)
  return (
    <Button className="shrink-0 whitespace-nowrap" disabled={potsOf(harness).every((p) => knobAt(setting, p.id) === 10)} onClick={allAtTen}>
      All at 10
    </Button>
  )
}

/** A knob from 0 to 10; moves at once here, and the circuit follows when it is let go. */
function Knob({ pot, stands, turn }: { pot: PotPart; stands: number; turn: (to: number) => void }) {
  const [moving, setMoving] = useState(stands)
  useEffect(() => setMoving(stands), [stands])
  return (
    <div>
      <div className="label flex justify-between text-[15px]">
        <span>{capital(pot.label)}</span>
        <span className="figure">{moving}</span>
      </div>
      <Slider.Root
        className="relative flex h-8 touch-none items-center select-none"
        min={0}
        max={10}
        step={0.5}
        value={[moving]}
        onValueChange={([v]) => setMoving(v!)}
        onValueCommit={([v]) => v !== stands && turn(v!)}
      >
        <Slider.Track className="relative h-1 flex-1 bg-hairline">
          <Slider.Range className="absolute h-full bg-violet" />
        </Slider.Track>
        <Slider.Thumb aria-label={pot.label} className="block size-6 rounded-full border-2 border-violet bg-sheet" />
      </Slider.Root>
    </div>
  )
}
