import { applyChange, asJson, type Change } from '../document/change'
import type { Build } from '../document/build'
import { zoneOfOpening } from '../finish/film'
import { filmLaid } from '../finish/laid'
import { isMeasured, type Size } from '../quantity/size'
import { isSlot, type Slot } from '../parts/slots'

/** A size as it stands in a document, and nothing else. */
const asSize = (value: unknown): Size | undefined =>
  typeof value === 'object' && value !== null && 'value' in value && 'known' in value ? (value as Size) : undefined

/**
 * A change in which openings that are read while coats lie on their walls say so: that film is in the reading, and is not taken off it
 * once more.
 */
export function withFilmOn(build: Build, change: Change): Change {
  const opened = change.edits.some(
    ({ path: [what, slot, field] }) => what === 'parts' && (slot === 'body' || slot === 'neck') && field === 'sizes',
  )
  if (!opened) return change
  const after = applyChange(build, change)
  const edits = change.edits.map((e) => {
    const [what, slot, field, name] = e.path
    const size = asSize(e.to)
    if (what !== 'parts' || !isSlot(slot ?? '') || field !== 'sizes' || !name || !size || !isMeasured(size.known)) return e
    // How it is known is said otherwise, or that it was bare: no new reading.
    if (size.value === asSize(e.from)?.value) return e
    const zone = zoneOfOpening(after, { slot: slot as Slot, size: name })
    const film = zone ? filmLaid(after, zone) : 0
    return film ? { ...e, to: asJson({ ...size, film }) } : e
  })
  return { ...change, edits }
}
