import { setTrait, slotSpec, type WireResult } from '@snug/core'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild } from '../../state/buildStore'
import { Untold } from '../../ui/Untold'
import { WireTabs } from './tabs'

/** What stands between the parts and a circuit, and what can be done about it here. */
export function NoCircuit({ wire }: { wire: Extract<WireResult, { ok: false }> }) {
  const change = useBuild((s) => s.change)
  return (
    <Workspace
      loupe={undefined}
      listLabel="Switch positions"
      list={
        <div>
          <WireTabs />
          {wire.missing.length > 0 && (
            <Empty>
              The circuit needs {wire.missing.map((s) => slotSpec(s).label.toLowerCase()).join(', ')}. Put them in under Parts (key 1); a
              pickup also needs its resistance, read with a meter across its leads.
            </Empty>
          )}
          {wire.says && <Empty>{wire.says}</Empty>}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[22px]">No circuit yet</h2>
          {[...new Set(wire.untold.map(({ slot, trait }) => LOOK[`${slotSpec(slot).kind}/${trait}`]))].map(
            (words) => words && <p key={words}>{words}</p>,
          )}
          <Untold refs={wire.untold} onSay={(ref, said) => change((b) => setTrait(b, ref.slot, ref.trait, said))} />
          <p className="mt-2 text-soft">Every wiring there is, and what each needs, stands under Wiring.</p>
        </div>
      }
    />
  )
}

/** What to look at before a trait is said. */
const LOOK: Readonly<Record<string, string>> = {
  'switch/contacts': 'One look at the switch is wanted: how many positions, how many rows of lugs.',
  'pickup/coils': 'One look at the pickup is wanted: one row of poles is usually one coil, two rows or two bars are two.',
  'pickup/circuit': 'One look at the pickup is wanted: an active one has a third lead or a plug for its battery.',
  'jack/contacts': 'One look at the jack is wanted: two lugs are mono, three are stereo and can switch the battery.',
}
