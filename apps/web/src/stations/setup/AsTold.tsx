import { noteTurns, turnWords, type AdvisedTurn } from '@snug/core'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { now } from '../../state/now'

/** Which way a screw goes, seen from where the hand is: its head with an arrow round it. */
function ScrewHead({ clockwise }: { clockwise: boolean }) {
  return (
    <svg viewBox="-20 -20 40 40" className="size-9 shrink-0" aria-hidden>
      <circle r="8.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
      <line x1="-5.5" y1="0" x2="5.5" y2="0" stroke="var(--ink)" strokeWidth="2.2" />
      <g transform={clockwise ? undefined : 'scale(-1 1)'} stroke="var(--violet)" strokeWidth="2" fill="none" strokeLinecap="round">
        <path d="M -12.2 6.5 A 14 14 0 1 1 12.2 6.5" />
        <path d="M 16 2.5 L 12.2 7 L 7.8 3.6" />
      </g>
    </svg>
  )
}

/** The turns that are advised, to be made and written down: as told, or otherwise. The next reading then shows what they gave. */
export function AsTold({ turns }: { turns: readonly AdvisedTurn[] }) {
  const change = useBuild((s) => s.change)
  const made = turns.filter((t) => t.turns !== 0)
  if (!made.length) return null
  return (
    <section aria-label="Turns" className="mt-2">
      <ul>
        {made.map((t) => (
          <li key={t.screw} className="flex items-center gap-2">
            <ScrewHead clockwise={t.turns > 0} />
            <span>
              <b>{turnWords(t.turns)}</b>, {t.label}
              <span className="block text-[14px] text-soft">{t.from}</span>
            </span>
          </li>
        ))}
      </ul>
      <Button
        look="main"
        className="mt-2 min-h-12 w-full justify-center"
        onClick={() =>
          change((b) =>
            noteTurns(
              b,
              made.map(({ screw, turns }) => ({ screw, turns })),
              now(),
            ),
          )
        }
      >
        Turned as told
      </Button>
      <details className="mt-1">
        <summary className="min-h-9 cursor-pointer py-1 text-[14px] text-soft">Turned otherwise</summary>
        <div className="grid grid-cols-2 gap-2">
          {turns.map((t) => (
            <NumberEntry
              key={t.screw}
              label={`${t.label}: turns made, clockwise +`}
              value={undefined}
              from={-40}
              to={40}
              onCommit={(v) => change((b) => noteTurns(b, [{ screw: t.screw, turns: v }], now()))}
            />
          ))}
        </div>
      </details>
    </section>
  )
}
