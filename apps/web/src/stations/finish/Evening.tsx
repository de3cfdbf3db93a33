import { asJson, setField, type Coat } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`

/** The coats of one evening: one tap when a coat is on, with the air it went on in; the next wait counts from there. */
export function Evening({ coats, next }: { coats: readonly Coat[]; next: string | undefined }) {
  const { weather } = useOpenBuild().finish
  const change = useBuild((s) => s.change)
  const lay = (c: Coat) => {
    const at = format(new Date(), "yyyy-MM-dd'T'HH:mm:ssxxx")
    change((b) =>
      setField(
        b,
        ['finish', 'laid'],
        asJson({ ...b.finish.laid, [c.id]: { product: c.layer, at, ...weather } }),
        `${c.label} ${c.number} laid`,
      ),
    )
  }
  const takeBack = (c: Coat) =>
    change((b) => {
      const { [c.id]: _, ...others } = b.finish.laid ?? {}
      return setField(b, ['finish', 'laid'], asJson(others), `${c.label} ${c.number} not laid after all`)
    })
  return (
    <ul className="mt-3">
      {coats.map((c) => (
        <li key={c.id} className="flex min-h-14 items-center justify-between gap-3 border-t border-hairline py-1">
          <span>
            <b>
              {c.label} {c.number}
            </b>
            <span className="block text-[14px] text-soft">
              {c.laid
                ? `laid ${format(parseISO(c.laid), 'EEE d MMM, HH:mm')}`
                : c.starts
                  ? `${clock(c.starts)} h after the evening begins`
                  : 'at once'}
              {c.note ? `. ${c.note}` : ''}
            </span>
          </span>
          {c.laid ? (
            <Button look="quiet" aria-label={`${c.label} ${c.number} was not laid`} onClick={() => takeBack(c)}>
              not laid
            </Button>
          ) : (
            <Button
              look={c.id === next ? 'main' : 'plain'}
              disabled={c.id !== next}
              aria-label={`${c.label} ${c.number} is on`}
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
