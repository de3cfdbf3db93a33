import { asJson, coatsStep, setField, tickStep, type Build, type Change, type Coat } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`

/** When a coat was laid, or when its turn is. */
function whenOf(c: Coat, tonight: boolean): string {
  if (c.laid) return `laid ${format(parseISO(c.laid), 'EEE d MMM, HH:mm')}`
  if (!tonight) return `next, ${format(parseISO(c.date), 'EEE d MMM')}`
  return c.starts ? `${clock(c.starts)} h after the evening begins` : 'at once'
}

/** The coats of one evening: one tap when a coat is on, with the air it went on in; the next wait counts from there. */
export function Evening({
  coats,
  all,
  next,
}: {
  coats: readonly Coat[]
  /** Those of every evening. */
  all: readonly Coat[]
  next: string | undefined
}) {
  const { weather } = useOpenBuild().finish
  const change = useBuild((s) => s.change)
  /** The layer's step in the plan, ticked with its last coat and open again when one was not laid. */
  const withStep = (b: Build, c: Coat, to: Record<string, unknown>, done: string | undefined, label: string): Change => {
    const others = all.filter((x) => x.layer === c.layer && x.id !== c.id)
    const step = coatsStep(c.layer)
    const moves = done ? others.every((x) => x.laid) : b.steps[step] !== undefined
    return {
      label,
      edits: [...setField(b, ['finish', 'laid'], asJson(to), label).edits, ...(moves ? tickStep(b, step, c.label, done).edits : [])],
    }
  }
  const lay = (c: Coat) => {
    const now = new Date()
    const at = format(now, "yyyy-MM-dd'T'HH:mm:ssxxx")
    const coat = { product: c.layer, at, ...weather }
    change((b) => withStep(b, c, { ...b.finish.laid, [c.id]: coat }, now.toISOString(), `${c.label} ${c.number} laid`))
  }
  const takeBack = (c: Coat) =>
    change((b) => {
      const { [c.id]: _, ...others } = b.finish.laid ?? {}
      return withStep(b, c, others, undefined, `${c.label} ${c.number} not laid after all`)
    })
  // The coat whose turn it is stands there whichever evening is looked at.
  const turn = all.find((c) => c.id === next)
  const shown = turn && !coats.includes(turn) ? [...coats, turn] : coats
  return (
    <ul className="mt-3">
      {shown.map((c) => (
        <li key={c.id} className="flex min-h-14 items-center justify-between gap-3 border-t border-hairline py-1">
          <span>
            <b>
              {c.label} {c.number}
            </b>
            <span className="block text-[14px] text-soft">
              {whenOf(c, coats.includes(c))}
              {c.note ? `. ${c.note}` : ''}
            </span>
          </span>
          {c.laid ? (
            <Button look="quiet" aria-label={`not laid: ${c.label} ${c.number}`} onClick={() => takeBack(c)}>
              not laid
            </Button>
          ) : (
            <Button
              look={c.id === next ? 'main' : 'plain'}
              disabled={c.id !== next}
              aria-label={`It is on: ${c.label} ${c.number}`}
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
