import { dryingTimers, finishCards, type Coat, type FinishResult } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { Dialog } from 'radix-ui'
import { useMemo, useState, type KeyboardEvent } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { KeyCap } from '../../ui/KeyCap'
import { useClock } from '../../ui/useClock'
import { coatName, useLaying } from './useLaying'
import { span } from './words'

/** For a tablet beside the can: the coat whose turn it is, one big tap when it is on, a clock until the next, what can hurt. */
export function CoatBench({ all, finish, onClose }: { all: readonly Coat[]; finish: FinishResult; onClose: () => void }) {
  const build = useOpenBuild()
  const { lay, takeBack } = useLaying(all)
  const next = all.find((c) => !c.laid)
  const last = all.findLast((c) => c.laid)
  const layer = next && finish.groups.find((g) => g.id === next.group)?.layers.find((l) => l.key === next.layer)
  const card = useMemo(() => finishCards(build).find((c) => c.id === 'before-coat'), [build])
  const [ready, setReady] = useState(card?.confirm === undefined)
  const now = useClock()
  const until = dryingTimers(build, finish.groups, all, now).find((t) => !next || t.id === next.group)
  const left = until ? Math.ceil((until.at - now) / 60_000) : 0
  const done = next ? all.filter((c) => c.step === next.step && c.laid).length : 0
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
                      {until.label} dries: <b className="figure">{span(left)}</b> more, until {format(until.at, 'EEE HH:mm')}.
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
                <p className="text-[27px]">{finish.plan ? `Rub out from ${format(parseISO(finish.plan.rubOut), 'EEEE d MMMM')}.` : ''}</p>
              )}
              {last && (
                <Button look="quiet" className="mt-3" onClick={() => takeBack(last)}>
                  {coatName(last)} was not laid after all
                </Button>
              )}
            </div>
            <div className="text-[19px]">
              {card?.confirm && next && (
                <label className="flex min-h-14 items-start gap-3 border-l-4 border-copper bg-canvas p-3">
                  <input
                    type="checkbox"
                    className="mt-1 size-7 accent-[var(--violet)]"
                    checked={ready}
                    onChange={(e) => setReady(e.target.checked)}
                  />
                  {card.confirm}
                </label>
              )}
              <ul className="mt-3 list-disc pl-6">
                {card?.lines.map((line) => (
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
