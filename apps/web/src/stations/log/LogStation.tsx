import { lazy, Suspense } from 'react'
import { EntriesTab } from './EntriesTab'
import { useLogTab } from './tabs'

const ChangesTab = lazy(() => import('./ChangesTab'))
const HandoverTab = lazy(() => import('./HandoverTab'))

/** Log: everything written down at the bench, everything that was changed, and what goes along when the instrument goes. */
export default function LogStation() {
  const [tab] = useLogTab()
  if (tab === 'entries') return <EntriesTab />
  return <Suspense>{tab === 'changes' ? <ChangesTab /> : <HandoverTab />}</Suspense>
}
