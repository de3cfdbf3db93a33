import { chosenParts, partDrawing, type Slot } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { PartsList } from './PartsList'
import { Unpacking } from './Unpacking'
import { OrderSheet } from './OrderSheet'
import { Rescue } from './Rescue'
import { Copy } from './CopySheet'
import { Donor } from './Donor'

const SHEETS = [
  ['unpacking', 'Unpacking list', 'present, missing, damaged, not as listed'],
  ['order', 'Order sheet and arrival check', 'a made-to-order part against its drawing'],
  ['rescue', 'Rescue estimate', 'before buying a worn instrument'],
  ['copy', 'Copy from an instrument you like', 'a sheet to measure by'],
  ['donor', 'Break a donor up', 'every part of it into the stash at once'],
] as const
type SheetId = (typeof SHEETS)[number][0]

/** Paper that goes with buying: unpacking, ordering, claiming, estimating, measuring, breaking up. */
export function PaperTab() {
  const build = useOpenBuild()
  const [sheet, setSheet] = useState<SheetId>('unpacking')
  const [slot, setSlot] = useState<Slot>('guard')
  const chosen = build.parts[slot] ? slot : chosenParts(build)[0]?.[0]
  const drawing = useMemo(() => (chosen ? partDrawing(build, chosen) : undefined), [build, chosen])
  return (
    <Workspace
      loupe={drawing}
      listLabel="Sheets"
      list={
        <PartsList>
          <ul>
            {SHEETS.map(([id, title, about], i) => (
              <ThingRow key={id} number={i + 1} title={title} about={about} selected={sheet === id} onSelect={() => setSheet(id)} />
            ))}
          </ul>
        </PartsList>
      }
      hand={
        sheet === 'unpacking' ? (
          <Unpacking onLook={setSlot} />
        ) : sheet === 'order' ? (
          <OrderSheet slot={chosen} onSlot={setSlot} />
        ) : sheet === 'rescue' ? (
          <Rescue />
        ) : sheet === 'copy' ? (
          <Copy />
        ) : (
          <Donor />
        )
      }
    />
  )
}
