import { soundingDrawing, tagSheet } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { PrintSheet } from '../../ui/PrintSheet'
import { ThingRow } from '../../ui/ThingRow'
import { Coils } from './found/Coils'
import { Leads } from './found/Leads'
import { Pot } from './found/Pot'
import { SuppliedSheet } from './found/SuppliedSheet'
import { Switch } from './found/Switch'
import { WireTabs } from './tabs'

const GUIDES = [
  ['pot', 'A pot without a mark', 'value and taper by two readings', Pot],
  ['switch', 'A switch nobody knows', 'by what beeps in which position', Switch],
  ['leads', 'A pickup’s leads', 'pairs, screen and sums by resistance; their colours kept', Leads],
  ['sheet', 'A sheet, or a circuit as found', 'entered lug by lug, compared joint by joint', SuppliedSheet],
  ['coil', 'Coils of your own', 'what each should read, shorted turns, a pair that cancels', Coils],
] as const
type Guide = (typeof GUIDES)[number][0]

/** What have I got: parts without a mark, named by a meter; circuits as found. */
export default function FoundTab() {
  const build = useOpenBuild()
  const wire = useBuild((s) => s.evaluation!.wire)
  const [guide, setGuide] = useState<Guide>('pot')
  const drawing = useMemo(
    () => (wire.ok ? soundingDrawing(wire.harness, wire.positions[0]!.id, wire.positions[0]!.topology) : undefined),
    [wire],
  )
  const Chosen = GUIDES.find(([id]) => id === guide)![3]
  return (
    <Workspace
      loupe={drawing}
      listLabel="Guides"
      list={
        <div>
          <WireTabs />
          <ul>
            {GUIDES.map(([id, title, about], i) => (
              <ThingRow key={id} number={i + 1} title={title} about={about} selected={guide === id} onSelect={() => setGuide(id)} />
            ))}
          </ul>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          <Chosen />
          <section>
            <h3 className="text-[18px]">Tags</h3>
            <p className="text-[15px] text-soft">Leads that look alike get a flag of tape each before they vanish in the body.</p>
            <PrintSheet sheet={() => tagSheet(build)} label="Print tags" />
          </section>
        </div>
      }
    />
  )
}
