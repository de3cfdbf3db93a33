import { lookedOver, slotSpec, UNPACKED, type Slot, type Unpacked, unpackingSheet } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { INPUT } from '../../ui/Field'
import { PrintSheet } from '../../ui/PrintSheet'
import { filled } from './filledSlots'

export function Unpacking({ onLook }: { onLook: (s: Slot) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const slots = filled(build)
  const seen = slots.filter((s) => build.unpacked?.[s]).length
  return (
    <div>
      <h2 className="text-[23px]">Unpacking list</h2>
      <p>
        {seen} of {slots.length} looked over. Do it the day a parcel comes, before the return window ends.
      </p>
      <PrintSheet sheet={() => unpackingSheet(build)} label="Print it" />
      <ul className="mt-2">
        {slots.map((slot) => (
          <li key={slot} className="grid grid-cols-[1fr_9rem] items-center gap-2 border-b border-hairline py-1">
            <span className="leading-tight">
              {build.parts[slot]!.name}
              <span className="block text-[13.5px] text-soft">{build.parts[slot]!.seller}</span>
            </span>
            <select
              aria-label={`${slotSpec(slot).label}: how it came`}
              className={INPUT}
              value={build.unpacked?.[slot] ?? ''}
              onFocus={() => onLook(slot)}
              onChange={(e) => change((b) => lookedOver(b, slot, (e.target.value || undefined) as Unpacked | undefined))}
            >
              <option value="">not yet</option>
              {UNPACKED.map((u) => (
                <option key={u}>{u}</option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </div>
  )
}
