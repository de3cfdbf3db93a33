import { coatName, type Coat } from '@snug/core'
import { Button } from '../../ui/Button'
import { useLaying } from './useLaying'
import { day, moment } from '../../ui/times'

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`

/** When a coat was laid, or when its turn is. */
function whenOf(c: Coat, tonight: boolean): string {
  if (c.laid) return `laid ${moment(c.laid)}`
  if (!tonight) return `next, ${day(c.date)}`
  return c.starts ? `${clock(c.starts)} h after the evening begins` : 'at once'
}

/** The coats of one evening: one tap when a coat is on, with the air it went on in; the next wait counts from there. */
export function Evening({
  coats,
  all,
}: {
  coats: readonly Coat[]
  /** Those of every evening. */
  all: readonly Coat[]
}) {
  const { lay, takeBack } = useLaying(all)
  // Zones with a stack of their own wait for nobody else's: each has a coat whose turn it is.
  const turns = new Set([...new Set(all.map((c) => c.group))].map((g) => all.find((c) => c.group === g && !c.laid)?.id))
  const next = all.find((c) => !c.laid)
  // The coat whose turn it is stands there whichever evening is looked at.
  const shown = next && !coats.includes(next) ? [...coats, next] : coats
  return (
    <ul className="mt-3">
      {shown.map((c) => (
        <li key={c.id} className="flex min-h-14 items-center justify-between gap-3 border-t border-hairline py-1">
          <span>
            <b>
              {c.group === 'whole' ? '' : `${c.groupLabel}: `}
              {c.label} {c.number}
              {c.face ? ', back' : ''}
            </b>
            <span className="block text-[14px] text-soft">
              {whenOf(c, coats.includes(c))}
              {c.note ? `. ${c.note}` : ''}
            </span>
          </span>
          {c.laid ? (
            <Button look="quiet" aria-label={`not laid: ${coatName(c)}`} onClick={() => takeBack(c)}>
              not laid
            </Button>
          ) : (
            <Button
              look={c.id === next?.id ? 'main' : 'plain'}
              disabled={!turns.has(c.id)}
              aria-label={`It is on: ${coatName(c)}`}
              onClick={() => lay(c)}
            >
              It is on
            </Button>
          )}
        </li>
      ))}
    </ul>
  )
}
