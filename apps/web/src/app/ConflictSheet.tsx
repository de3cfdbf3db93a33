import type { Clash, Json } from '@snug/core'
import { useQuery } from '@tanstack/react-query'
import { api } from '../state/api'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'
import { printedValue } from '../ui/printedValue'
import { moment } from '../ui/times'

/** Two windows set the same place to different values: both are shown, the person says which goes on. */
export function ConflictSheet() {
  const conflict = useBuild((s) => s.conflict)
  const settle = useBuild((s) => s.settle)
  const system = usePrefs((p) => p.system)
  const theirs = useWhenTheirs(conflict.length > 0)
  if (!conflict.length) return null
  const show = (clash: Clash, value: Json | undefined) => printedValue(clash.path, value, system)
  return (
    <Sheet
      open
      onOpenChange={() => undefined}
      title="Changed in another window"
      about="The same thing was set to something else elsewhere while you worked on it here. Both are kept until you choose."
    >
      <table className="mb-4 w-full text-left text-[15px]">
        <caption className="sr-only">What was set in two windows</caption>
        <thead className="label text-soft">
          <tr>
            <th scope="col">What you did</th>
            <th scope="col">Yours</th>
            <th scope="col">The other</th>
          </tr>
        </thead>
        <tbody>
          {conflict.flatMap(({ change, clashes }, i) =>
            clashes.map((clash, n) => (
              <tr key={`${i}-${n}`} className="border-t border-hairline align-top">
                <td className="py-1.5 pr-3">{change.label}</td>
                <td className="py-1.5 pr-3">
                  <span className="figure block">{show(clash, clash.mine)}</span>
                  <When at={change.at} />
                </td>
                <td className="py-1.5">
                  <span className="figure block">{clash.gone ? 'taken out' : show(clash, clash.theirs)}</span>
                  <When at={theirs(clash)} />
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      <div className="flex gap-2">
        <Button look="main" onClick={() => settle('mine')}>
          Put mine on top
        </Button>
        <Button onClick={() => settle('theirs')}>Take the other</Button>
      </div>
    </Sheet>
  )
}

const When = ({ at }: { at: string | undefined }) => (at === undefined ? null : <span className="text-[13px] text-soft">{moment(at)}</span>)

/** When the other window set a place, from the list of what was changed; the latest there. */
function useWhenTheirs(asked: boolean): (clash: Clash) => string | undefined {
  const { id, revision } = useBuild(useShallow((s) => ({ id: s.id, revision: s.revision })))
  const events = useQuery({
    queryKey: ['events', id, 'clash', revision],
    queryFn: () => api.events(id!),
    enabled: asked && id !== undefined,
  })
  return ({ path }) =>
    events.data?.find((e) => e.edits.some((edit) => edit.path.every((key, i) => i >= path.length || key === path[i])))?.at
}
