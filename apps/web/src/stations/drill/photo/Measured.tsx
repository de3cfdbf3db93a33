import { KINDS, lacks, PICKED, pictureLength, setSize, slotSpec, SLOTS, specAt, type ScaledPicture, type Slot } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../../state/buildStore'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Field'
import type { PhotoWork, Way } from './work'

/** Which way would be surer than the one that was taken. */
const BETTER: Record<Way, string | undefined> = {
  two: 'Surer: our reference sheet in the plane, or a card whose edges can be seen.',
  card: 'Surer: our reference sheet, whose marks lie far apart.',
  rectangle: 'Surer: our reference sheet, whose marks are found to a quarter of a pixel.',
  sheet: undefined,
}

/** What two picks measure, with its doubt and where the doubt comes from, and the way straight into a part. */
export function Measured({ scale, work, set }: { scale: ScaledPicture; work: PhotoWork; set: (more: Partial<PhotoWork>) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const slots = SLOTS.map((s) => s.slot).filter((slot) => build.parts[slot])
  const [slot, setSlot] = useState<Slot | ''>('')
  const [size, setChosen] = useState('')
  const [a, b] = work.measure
  if (!a || !b) return <p>{a ? 'Pick the other end.' : 'Pick both ends of what is measured.'}</p>
  const { mm, doubt, from } = pictureLength(scale, a, b, PICKED)
  const sizes = slot
    ? Object.entries(KINDS[slotSpec(slot).kind].sizes)
        .filter(([key, s]) => s.unit === 'mm' && !lacks(build.parts, slot, key))
        .map(([key, s]) => [key, s.label] as const)
    : []
  const ref = slot && size ? { slot, size } : undefined
  const spec = ref && specAt(ref)
  const fits = spec && mm >= spec.min && mm <= spec.max
  const tenth = (v: number) => Math.round(v * 10) / 10
  return (
    <section className="border-l-4 border-violet bg-wash px-3 py-2">
      <p className="figure text-[26px]" data-testid="picture-length">
        {mm.toFixed(1)} <span className="text-[18px]">±{doubt.toFixed(1)} mm</span>
      </p>
      <p className="text-[15px] text-soft">
        Most of the doubt: {from[0]!.what} (±{from[0]!.doubt.toFixed(1)}). {doubt > 0.6 && BETTER[work.way]}
      </p>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
        <Choice<Slot | ''>
          label="Goes into"
          value={slot}
          options={[['', 'no part'], ...slots.map((s) => [s, slotSpec(s).label] as const)]}
          onChange={(s) => {
            setSlot(s)
            setChosen('')
          }}
        />
        {slot && <Choice label="As" value={size} options={[['', 'choose a size'], ...sizes]} onChange={setChosen} />}
      </div>
      {spec && !fits && (
        <p role="alert" className="mt-1 text-[15px] text-wont">
          {spec.label} goes from {spec.min} to {spec.max} mm.
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          look="main"
          disabled={!ref || !fits}
          onClick={() =>
            ref && change((bld) => setSize(bld, ref, { value: tenth(mm), doubt: Math.max(0.1, tenth(doubt)), known: 'photo' }))
          }
        >
          Put it in
        </Button>
        <Button look="quiet" onClick={() => set({ measure: [] })}>
          Measure another
        </Button>
      </div>
    </section>
  )
}
