import { lazy, Suspense } from 'react'
import { useBuild } from '../../state/buildStore'
import { SequenceTab } from './SequenceTab'
import { useSetupTab } from './tabs'

const BuzzTab = lazy(() => import('./BuzzTab'))
const NutTab = lazy(() => import('./NutTab'))
const IntonationTab = lazy(() => import('./IntonationTab'))
const VibratoTab = lazy(() => import('./VibratoTab'))
const PickupsTab = lazy(() => import('./PickupsTab'))
const StringsTab = lazy(() => import('./StringsTab'))
const TroubleTab = lazy(() => import('./TroubleTab'))

/** Set up: one model of strings, relief, nut, action, buzz, pitch, balance and pickups, each as turns of the screw that does it. */
export default function SetupStation() {
  const setup = useBuild((s) => s.evaluation!.setup)
  const [tab] = useSetupTab()
  if (tab === 'sequence') return <SequenceTab setup={setup} />
  return (
    <Suspense>
      {tab === 'buzz' ? (
        <BuzzTab />
      ) : tab === 'nut' ? (
        <NutTab setup={setup} />
      ) : tab === 'intonation' ? (
        <IntonationTab setup={setup} />
      ) : tab === 'vibrato' ? (
        <VibratoTab />
      ) : tab === 'pickups' ? (
        <PickupsTab />
      ) : tab === 'trouble' ? (
        <TroubleTab />
      ) : (
        <StringsTab setup={setup} />
      )}
    </Suspense>
  )
}
