import { capital, CLOSINGS, coatName, beforeCoat, dryingTimers, waitSays, type Coat, type FinishResult } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { Dialog } from 'radix-ui'
import { useState, type KeyboardEvent } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { KeyCap } from '../../ui/KeyCap'
import { Shake } from './Shake'
import { useClock } from '../../ui/useClock'
import { useLaying } from './useLaying'
import { day } from '../../ui/times'

/** For a tablet beside the can: the coat whose turn it is, one big tap when it is on, a clock until the next, what can hurt. */
export function CoatBench({ all, finish, onClose }: { all: readonly Coat[]; finish: FinishResult; onClose: () => void }) {
  const build = useOpenBuild()
  const { lay, takeBack } = useLaying(all)
  const next = all.find((c) => !c.laid)
  const last = all.findLast((c) => c.laid)
  const layer = next && finish.groups.find((g) => g.id === next.group)?.layers.find((l) => l.key === next.layer)
  const card = beforeCoat(layer)
  // Asked anew for each product that is sprayed.
  const [said, setSaid] = useState<string>()
  const ready = card.confirm === undefined || said === layer?.product
  const now = useClock()
  const until = dryingTimers(build, finish.groups, all, now).find((t) => !next || t.id === next.group)
  const left = until ? Math.ceil((until.at - now) / 60_000) : 0
  const done = next ? all.filter((c) => c.step === next.step && c.laid).length : 0
  const then = all.filter((c) => !c.laid && c !== next).slice(0, 5)
  const count = next ? all.filter((c) => c.step === next.step).length : 0
  const onKey = (e: KeyboardEvent) => {
    if (e.key === ' ' && next && ready && !(e.target as Element).closest('button')) {
      e.preventDefault()
      lay(next)
    } else if (e.key === 'Backspace' && last) takeBack(last)
  }
  return (
    <Dialog.Root open onOpenChange={(o) => !o && onClose()}>
      <Dialog.Portal>
        <Dialog.Content
          className="fixed inset-0 z-50 grid grid-rows-[auto_1fr_auto] overflow-auto bg-sheet p-6 text-[21px]"
          onKeyDown={onKey}
          aria-describedby={undefined}
        >
          <header className="flex flex-wrap items-baseline gap-x-4">
            <Dialog.Title className="text-[34px]">{next ? coatName(next) : 'All coats lie'}</Dialog.Title>
            {next && (
              <span className="figure ml-auto text-[30px]">
                {done} of {count} laid
              </span>
            )}
          </header>
          <div className="mt-3 grid min-h-0 gap-6 md:grid-cols-[3fr_2fr]">
            <div>
              {next ? (
                <>
                  <p>{layer?.how}</p>
                  {left > 0 && until && (
                    <p className="mt-4 text-[27px] text-mind" role="timer">
                      {until.label} dries: <b className="figure">{waitSays(left)}</b> more, until {format(until.at, 'EEE HH:mm')}.
                    </p>
                  )}
                  <button
                    type="button"
                    disabled={!ready}
                    onClick={() => lay(next)}
                    className="mt-5 flex min-h-44 w-full items-center justify-center rounded-lg bg-violet text-[40px] font-semibold text-on-violet disabled:opacity-40"
                  >
                    It is on
                  </button>
                  {left > 0 && (
                    <p className="mt-1 text-[17px] text-soft">It is counted when you press it, dry or not: what was laid is laid.</p>
                  )}
                </>
              ) : (
                <p className="text-[27px]">
                  {finish.plan
                    ? capital(`${CLOSINGS[finish.plan.closing].from} ${format(parseISO(finish.plan.rubOut), 'EEEE d MMMM')}.`)
                    : ''}
                </p>
              )}
              {next && (
                <ol className="mt-5 flex flex-wrap gap-3" aria-label="Coats of this layer">
                  {all
                    .filter((c) => c.step === next.step)
                    .map((c) => (
                      <li
                        key={c.id}
                        className={`figure flex size-14 items-center justify-center rounded-full border-2 border-ink ${c.laid ? 'bg-ink text-paper' : c.id === next.id ? 'border-violet text-violet' : ''}`}
                      >
                        {c.number}
                      </li>
                    ))}
                </ol>
              )}
              {layer?.applied === 'spray' && <Shake />}
              {then.length > 0 && (
                <section className="mt-6">
                  <h3 className="label text-[19px] text-soft">Then</h3>
                  <ol>
                    {then.map((c) => (
                      <li key={c.id} className="flex justify-between border-t border-hairline py-2">
                        <span>{coatName(c)}</span>
                        <span className="text-soft">
                          {day(c.date)}
                          {c.note ? ', scuff first' : ''}
                        </span>
                      </li>
                    ))}
                  </ol>
                </section>
              )}
              {last && (
                <Button look="quiet" className="mt-3" onClick={() => takeBack(last)}>
                  {coatName(last)} was not laid after all
                </Button>
              )}
            </div>
            <div className="text-[19px]">
              {card.confirm && next && (
                <label className="flex min-h-14 items-start gap-3 border-l-4 border-copper bg-canvas p-3">
                  <input
                    type="checkbox"
                    className="mt-1 size-7 shrink-0 accent-[var(--violet)]"
                    checked={ready}
                    onChange={(e) => setSaid(e.target.checked ? layer?.product : undefined)}
                  />
                  {card.confirm}
                </label>
              )}
              <ul className="mt-3 list-disc pl-6">
                {card.lines.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
              <Caution lines={layer ? [...layer.cautions] : []} />
            </div>
          </div>
          <footer className="mt-4 flex flex-wrap items-center gap-4 text-[16px] text-soft">
            <span>
              <KeyCap>space</KeyCap> it is on · <KeyCap>⌫</KeyCap> take back
            </span>
            <Dialog.Close asChild>
              <Button className="ml-auto">Back to the bench</Button>
            </Dialog.Close>
          </footer>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
