import { asListed, KINDS, readListing, setSize, type ListedNumber, type Part, type Slot } from '@snug/core'
import { useState } from 'react'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { printWithUnit } from '../../ui/SizeField'
import { usePrefs } from '../../state/prefs'

/** A seller's text, its numbers offered to the sizes they may belong to; each is taken by a press or not at all. */
export function PasteListing({ slot, part }: { slot: Slot; part: Part }) {
  const [text, setText] = useState('')
  const found = readListing(part.kind, text)
  return (
    <details className="mt-3 border-y border-hairline">
      <summary className="label min-h-10 cursor-pointer content-center text-[15px]">Take sizes from a seller’s listing</summary>
      <Field
        label="Paste its text"
        hint={
          text && !found.length
            ? 'No number with a unit in it that this part can have. A range or a bound is no size.'
            : 'Nothing is taken until you say so.'
        }
      >
        {(p) => (
          <textarea {...p} className={`${INPUT} min-h-24 py-2`} value={text} maxLength={5000} onChange={(e) => setText(e.target.value)} />
        )}
      </Field>
      <ul className="pb-2">
        {found.map((n, i) => (
          <Offer key={`${i} ${n.text}`} slot={slot} part={part} number={n} />
        ))}
      </ul>
    </details>
  )
}

function Offer({ slot, part, number }: { slot: Slot; part: Part; number: ListedNumber }) {
  const change = useBuild((s) => s.change)
  const system = usePrefs((p) => p.system)
  const [size, setChosen] = useState(number.sizes[0]!)
  const listed = asListed(part.kind, size, number)
  const taken = part.sizes[size]?.known === 'listed' && part.sizes[size]?.value === number.value
  return (
    <li className="grid grid-cols-[1fr_auto] items-center gap-x-2 border-t border-hairline py-1">
      <label className="min-w-0">
        <span className="block text-[13.5px] text-soft">
          <b className="figure text-ink">
            {printWithUnit(number.value, number.unit, system)}
            {listed.doubt > 0 && ` ±${printWithUnit(listed.doubt, number.unit, system)}`}
          </b>{' '}
          from “{number.around}”
        </span>
        <select className={INPUT} value={size} onChange={(e) => setChosen(e.target.value)}>
          {number.sizes.map((key) => (
            <option key={key} value={key}>
              {KINDS[part.kind].sizes[key]!.label}
            </option>
          ))}
        </select>
      </label>
      <Button disabled={taken} onClick={() => change((b) => setSize(b, { slot, size }, listed))}>
        {taken ? 'Taken' : 'Take it'}
      </Button>
    </li>
  )
}
