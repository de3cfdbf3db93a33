import { drawHole, SIDE_WORDS, tickStep, type HoleCard } from '@snug/core'
import { Dialog } from 'radix-ui'
import { useMemo, useState, type KeyboardEvent } from 'react'
import { DrawingView } from '../../drawing/DrawingView'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { KeyCap } from '../../ui/KeyCap'
import { now } from '../../state/now'
import { sizeWords } from './holeWords'

/** One card at a time, read from a step away with dirty hands: space ticks the next line, the arrows turn the card. */
export function BenchView({ start, cards, onClose }: { start: string; cards: readonly HoleCard[]; onClose: () => void }) {
  const build = useOpenBuild()
  const bench = useBench((s) => s.bench)
  const change = useBuild((s) => s.change)
  const open = cards.filter((c) => c.stands === 'ready' || c.stands === 'mind' || c.id === start)
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      open.findIndex((c) => c.id === start),
    ),
  )
  const [ticked, setTicked] = useState<Record<string, number>>({})
  const card = open[Math.min(at, open.length - 1)]
  const drawing = useMemo(() => card && drawHole(build, card.id, bench), [build, card, bench])
  if (!card) return null
  const lines = [...card.first.map((f) => `First: ${f}`), ...card.steps]
  const done = Math.min(ticked[card.id] ?? 0, lines.length)
  const finish = () => {
    change((b) => tickStep(b, `drill-${card.id}`, card.title, now()))
    if (open.length < 2) onClose()
  }
  const next = () => (done < lines.length ? setTicked((t) => ({ ...t, [card.id]: done + 1 })) : finish())
  const turn = (by: 1 | -1) => setAt((i) => Math.min(open.length - 1, Math.max(0, i + by)))
  const onKey = (e: KeyboardEvent) => {
    if (e.key === ' ') {
      e.preventDefault()
      next()
    } else if (e.key === 'ArrowRight') turn(1)
    else if (e.key === 'ArrowLeft') turn(-1)
    else if (e.key === 'Backspace') setTicked((t) => ({ ...t, [card.id]: Math.max(0, done - 1) }))
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
            <Dialog.Title className="text-[34px]">{card.title}</Dialog.Title>
            <span className="label text-[22px] text-soft">{SIDE_WORDS[card.side]}</span>
            <span className="figure ml-auto text-[30px]">
              {sizeWords(card)}
              {card.flag !== undefined && ` · tape ${card.flag.toFixed(1)}`}
            </span>
          </header>
          <div className="mt-3 grid min-h-0 gap-6 md:grid-cols-[3fr_2fr]">
            <ol>
              {lines.map((line, i) => (
                <li
                  key={line}
                  className={`grid grid-cols-[2.2rem_1fr] border-b border-hairline py-2 ${i < done ? 'text-soft line-through' : i === done ? 'font-bold' : ''}`}
                >
                  <input
                    type="checkbox"
                    aria-label={line}
                    className="mt-1 size-6 shrink-0 accent-[var(--violet)]"
                    checked={i < done}
                    onChange={(e) => setTicked((t) => ({ ...t, [card.id]: e.target.checked ? i + 1 : i }))}
                  />
                  {line}
                </li>
              ))}
            </ol>
            <div className="flex min-h-0 flex-col gap-3">
              <div className="min-h-56 flex-1 border border-hairline">{drawing && <DrawingView drawing={drawing} />}</div>
              <ul className="text-[17px]">
                {[...card.from, ...card.guards.filter((g) => g.verdict !== 'snug').map((g) => g.says), ...card.mind].map((l) => (
                  <li key={l}>{l}</li>
                ))}
              </ul>
              <Caution lines={card.cautions} />
            </div>
          </div>
          <footer className="bench-foot mt-3 flex flex-wrap items-center gap-3 text-[17px]">
            <Button look="main" className="!min-h-14 !px-6 !text-[20px]" onClick={next}>
              <KeyCap>Space</KeyCap> {done < lines.length ? 'tick the next' : 'all done: tick it off'}
            </Button>
            <Button className="!min-h-14" onClick={() => turn(-1)} disabled={at === 0}>
              <KeyCap>←</KeyCap> before
            </Button>
            <Button className="!min-h-14" onClick={() => turn(1)} disabled={at >= open.length - 1}>
              <KeyCap>→</KeyCap> next card
            </Button>
            <span className="figure text-soft">
              {Math.min(at, open.length - 1) + 1} of {open.length}
            </span>
            <Button className="!ml-auto !min-h-14" look="quiet" onClick={onClose}>
              <KeyCap>Esc</KeyCap> back to the bench
            </Button>
          </footer>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
