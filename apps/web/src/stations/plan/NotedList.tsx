import { NOTED, NOTED_IDS, setPlan, type Noted } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Toggle } from '../../ui/Toggle'
import { day } from '../../ui/times'

/** What is gone for good once it is apart: ticked as it is noted. */
export function NotedList() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const noted = build.plan?.noted ?? {}
  const put = (id: Noted, is: boolean) =>
    change((b) => {
      const { [id]: _, ...others } = b.plan?.noted ?? {}
      const all = is ? { ...others, [id]: today() } : others
      return setPlan(b, 'noted', Object.keys(all).length ? all : undefined, `${is ? 'Noted' : 'Not noted'}: ${NOTED[id]}`.slice(0, 200))
    })
  return (
    <section aria-label="To note first" className="mt-3">
      <h3 className="text-[18px]">To note first</h3>
      {NOTED_IDS.map((id) => (
        <Toggle
          key={id}
          label={noted[id] ? `${NOTED[id]} (${day(noted[id])})` : NOTED[id]}
          on={noted[id] !== undefined}
          onChange={(is) => put(id, is)}
        />
      ))}
    </section>
  )
}
