import { namePot } from '@snug/core'
import { useState } from 'react'
import { Reading } from './Reading'

export function Pot() {
  const [outer, setOuter] = useState<number>()
  const [half, setHalf] = useState<number>()
  return (
    <section>
      <h2 className="text-[22px]">A pot without a mark</h2>
      <p>Nothing soldered to it. Shaft towards you, lugs down: they count from the left. The one with the capacitor on it was a tone.</p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Reading label="Outer lug to outer lug" value={outer} onRead={setOuter} />
        <Reading label="Left lug to the middle one, knob half way" value={half} onRead={setHalf} />
      </div>
      {outer !== undefined && half !== undefined && (
        <p role="status" className="mt-2 text-[17px]">
          {namePot(outer, half).says}
        </p>
      )}
    </section>
  )
}
