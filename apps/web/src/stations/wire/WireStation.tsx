import { lazy, Suspense } from 'react'
import { useBuild } from '../../state/buildStore'
import { useTab } from '../../ui/StationTabs'
import { HarnessTab } from './HarnessTab'
import { NoCircuit } from './NoCircuit'
import { PositionsTab } from './PositionsTab'
import { WIRE_TABS } from './tabs'
import { WiresTab } from './WiresTab'
import { WiringTab } from './WiringTab'

// Looked for when something is wrong, not on the way through.
const CheckTab = lazy(() => import('./CheckTab'))
const FaultTab = lazy(() => import('./FaultTab'))
const FoundTab = lazy(() => import('./FoundTab'))
const TrainerTab = lazy(() => import('./TrainerTab'))

/** Wire: which wiring, what every switch position sounds like and reads, the wires to solder, the check and the search for what is wrong. */
export default function WireStation() {
  const wire = useBuild((s) => s.evaluation!.wire)
  const [tab] = useTab(WIRE_TABS)
  if (tab === 'wiring') return <WiringTab />
  if (tab === 'found')
    return (
      <Suspense>
        <FoundTab />
      </Suspense>
    )
  if (!wire.ok) return <NoCircuit wire={wire} />
  if (tab === 'harness') return <HarnessTab wire={wire} />
  if (tab === 'wires') return <WiresTab wire={wire} />
  if (tab === 'positions') return <PositionsTab wire={wire} />
  return <Suspense>{tab === 'check' ? <CheckTab /> : tab === 'fault' ? <FaultTab /> : <TrainerTab />}</Suspense>
}
