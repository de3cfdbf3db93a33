import { applyChange, KINDS, setSize, type Point } from '@snug/core'
import { useState } from 'react'
import { useBuild } from '../../../state/buildStore'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Field'

const NAMES = {
  volume: 'the volume hole',
  tone: 'the tone hole',
  switch: 'the switch',
  jack: 'the jack',
  control: 'the control route’s middle',
}
type Name = keyof typeof NAMES

/** The last place picked becomes the place of a hole: both its sizes in one change, with the picture's doubt. */
export function PlaceOfHole({ slot, place }: { slot: 'body' | 'neck' | 'guard'; place: { at: Point; doubt: number } | undefined }) {
  const change = useBuild((s) => s.change)
  const names = (Object.keys(NAMES) as Name[]).filter((n) => `${n}.x` in KINDS[slot].sizes)
  const [name, setName] = useState<Name | ''>('')
  if (!place || !names.length) return null
  const tenth = (v: number) => Math.round(v * 10) / 10
  const take = (which: Name) =>
    change((b) => {
      const doubt = Math.max(0.1, tenth(place.doubt))
      const x = setSize(b, { slot, size: `${which}.x` }, { value: tenth(place.at.x), doubt, known: 'photo' })
      const y = setSize(applyChange(b, x), { slot, size: `${which}.y` }, { value: tenth(place.at.y), doubt, known: 'photo' })
      return { label: `Place of ${NAMES[which]}, from a picture`, edits: [...x.edits, ...y.edits] }
    })
  return (
    <div className="mt-3">
      <p className="figure">
        The last place: {place.at.x.toFixed(1)} along, {Math.abs(place.at.y).toFixed(1)} to the {place.at.y > 0 ? 'bass' : 'treble'} side, ±
        {place.doubt.toFixed(1)} mm
      </p>
      <div className="flex items-end gap-2">
        <Choice<Name | ''>
          label="It is"
          value={name}
          options={[['', 'a place on the edge'], ...names.map((n) => [n, NAMES[n]] as const)]}
          onChange={setName}
        />
        <Button disabled={!name} onClick={() => name && take(name)}>
          Put it in
        </Button>
      </div>
    </div>
  )
}
