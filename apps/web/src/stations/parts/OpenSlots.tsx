import { notHere, openNotHere, setIn, SLOTS, SLOT_STATES, type Slot, type SlotState } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'

const WORD: Record<SlotState, string> = { fixed: 'stays', preferred: 'preferred', open: 'open' }

/** Which slots may change: every chosen part stays, is preferred, or gives way to anything that fits. */
export function OpenSlots({ open }: { open: boolean }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const away = notHere(build)
  const rows = SLOTS.filter((s) => build.parts[s.slot])
  return (
    <details className="mt-1" open={open}>
      <summary className="label min-h-9 cursor-pointer pt-1.5 text-[15px]">What may change</summary>
      {away.length > 0 && (
        <Button className="mb-2" onClick={() => change(openNotHere)}>
          {away.length === 1 ? 'Open the one slot whose part is not in hand' : `Open the ${away.length} slots whose parts are not in hand`}
        </Button>
      )}
      <ul className="grid grid-cols-2 gap-x-6">
        {rows.map(({ slot, label }) => (
          <li key={slot} className="flex items-center justify-between gap-2 border-t border-hairline">
            <span className="min-w-0 py-1 leading-tight">
              {label}
              <span className="block truncate text-[13px] text-soft">{build.parts[slot as Slot]!.name}</span>
            </span>
            <select
              aria-label={`${label} may change`}
              className="label min-h-10 rounded border border-hairline bg-sheet px-2 text-[15px]"
              value={build.slots?.[slot] ?? 'fixed'}
              onChange={(e) => change((b) => setIn(b, 'slots', slot, e.target.value, `${label}: ${e.target.value}`))}
            >
              {SLOT_STATES.map((s) => (
                <option key={s} value={s}>
                  {WORD[s]}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </details>
  )
}
