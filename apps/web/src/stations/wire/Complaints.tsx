import { setCircuit, type Hunt } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { PickOnce } from '../../ui/PickOnce'

/** What is wrong, in the words people have for it; some stand for a test, some ask a question first. */
export function Complaints({ all }: { all: Hunt['symptoms'] }) {
  const { complaints = {} } = useOpenBuild().circuit
  const change = useBuild((s) => s.change)
  const made = all.filter((s) => complaints[s.id])
  const keep = (id: string, on: boolean, says: string) => {
    const { [id]: _, ...others } = complaints
    change((b) => setCircuit(b, 'complaints', on ? { ...others, [id]: today() } : others, on ? says : `No more: ${says}`))
  }
  return (
    <section>
      <PickOnce
        label="What is wrong with it"
        nothing="choose what fits"
        options={all.filter((s) => !complaints[s.id]).map((s) => [s.id, s.says] as const)}
        onPick={(id) => keep(id, true, all.find((s) => s.id === id)!.says)}
      />
      <ul>
        {made.map((s) => (
          <li key={s.id} className="border-t border-hairline py-1">
            <div className="flex items-center justify-between gap-2">
              <b>{s.says}</b>
              <Button look="quiet" aria-label={`Not so: ${s.says}`} onClick={() => keep(s.id, false, s.says)}>
                not so
              </Button>
            </div>
            {s.first && <p className={s.id === 'tingle' ? 'text-wont' : 'text-soft'}>{s.first}</p>}
          </li>
        ))}
      </ul>
    </section>
  )
}
