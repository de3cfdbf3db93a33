import { chosenParts, slotSpec, type Build, type Evaluation, type Station } from '@snug/core'
import { Command } from 'cmdk'
import { useMemo } from 'react'
import { Sheet } from '../ui/Sheet'
import { POCKETS } from './stations'

/** Find anything: a part, joint, hole, coat or step, by a few letters. */
export function Finder({
  build,
  evaluation,
  open,
  onOpenChange,
  go,
}: {
  build: Build
  evaluation: Evaluation
  open: boolean
  onOpenChange: (o: boolean) => void
  go: (s: Station, hand?: string) => void
}) {
  const things = useMemo(() => findable(build, evaluation), [build, evaluation])
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Find">
      <Command label="Find anything" loop>
        <Command.Input
          autoFocus
          placeholder="A part, a joint, a hole, a step"
          className="min-h-11 w-full border-b border-hairline bg-transparent px-1"
        />
        <Command.List className="mt-2 max-h-[46vh] overflow-auto">
          <Command.Empty className="p-3 text-soft">Nothing by that name in this build.</Command.Empty>
          {things.map((t) => (
            <Command.Item
              key={`${t.station}/${t.hand ?? ''}`}
              value={`${t.title} ${t.station} ${t.hand ?? ''}`}
              onSelect={() => {
                onOpenChange(false)
                go(t.station, t.hand)
              }}
              className="flex min-h-10 cursor-pointer items-center justify-between gap-3 px-2 data-[selected=true]:bg-wash"
            >
              <span className="truncate">{t.title}</span>
              <span className="label text-[14px] text-soft">{POCKETS.find((p) => p.station === t.station)!.name}</span>
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Sheet>
  )
}

function findable(build: Build, e: Evaluation): { station: Station; hand?: string; title: string }[] {
  return [
    ...POCKETS.map((p) => ({ station: p.station, title: p.name })),
    ...chosenParts(build).map(([slot, part]) => ({
      station: 'parts' as const,
      hand: slot,
      title: `${slotSpec(slot).label}: ${part.name}`,
    })),
    ...e.joints.map((j) => ({ station: 'fit' as const, hand: j.id, title: j.title })),
    ...e.holes.map((h) => ({ station: 'drill' as const, hand: h.id, title: h.title })),
    ...e.plan.steps.map((s) => ({ station: 'plan' as const, hand: s.id, title: s.title })),
  ]
}
