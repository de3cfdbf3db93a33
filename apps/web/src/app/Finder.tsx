import { STATION_NAME, STATIONS, type Sheet as PaperSheet, type Station } from '@snug/core'
import { Command } from 'cmdk'
import { useRef } from 'react'
import { useSheets, useThings } from '../state/useThings'
import { openSheet } from '../ui/openSheet'
import { Sheet } from '../ui/Sheet'

/** Find anything: a part, joint, hole, coat or step, or a sheet to print, by a few letters. */
export function Finder({
  open,
  onOpenChange,
  go,
}: {
  open: boolean
  onOpenChange: (o: boolean) => void
  go: (s: Station, hand?: string) => void
}) {
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Find">
      <Findings
        choose={(s, hand) => {
          onOpenChange(false)
          go(s, hand)
        }}
        print={(sheet) => {
          onOpenChange(false)
          void openSheet(sheet)
        }}
      />
    </Sheet>
  )
}

/** Gathered only while the finder is open. */
function Findings({ choose, print }: { choose: (s: Station, hand?: string) => void; print: (sheet: PaperSheet) => void }) {
  const stations: { station: Station; id?: string; title: string }[] = STATIONS.map((station) => ({
    station,
    title: STATION_NAME[station],
  }))
  const list = useRef<HTMLDivElement>(null)
  const things = [...stations, ...useThings()]
  const sheets = useSheets()
  return (
    <Command label="Find anything" loop>
      <Command.Input
        autoFocus
        // The best hit stands first; without this the list stays where what was chosen before has moved to.
        onValueChange={() =>
          requestAnimationFrame(() => {
            if (list.current) list.current.scrollTop = 0
          })
        }
        placeholder="A part, a joint, a hole, a step"
        className="min-h-11 w-full border-b border-hairline bg-transparent px-1"
      />
      <Command.List ref={list} className="mt-2 max-h-[46vh] overflow-auto">
        <Command.Empty className="p-3 text-soft">Nothing by that name in this build.</Command.Empty>
        {things.map((t) => (
          <Command.Item
            key={`${t.station}/${t.id ?? ''}`}
            value={`${t.title} ${t.station} ${t.id ?? ''}`}
            onSelect={() => choose(t.station, t.id)}
            className="flex min-h-10 cursor-pointer items-center justify-between gap-3 px-2 data-[selected=true]:bg-wash"
          >
            <span className="truncate">{t.title}</span>
            <span className="label text-[14px] text-soft">{STATION_NAME[t.station]}</span>
          </Command.Item>
        ))}
        {sheets.map((s) => (
          <Command.Item
            key={`print ${s.station}/${s.id}`}
            value={`Print ${s.title} ${s.id}`}
            onSelect={() => print(s)}
            className="flex min-h-10 cursor-pointer items-center justify-between gap-3 px-2 data-[selected=true]:bg-wash"
          >
            <span className="truncate">Print: {s.title}</span>
            <span className="label text-[14px] text-soft">{STATION_NAME[s.station]}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  )
}
