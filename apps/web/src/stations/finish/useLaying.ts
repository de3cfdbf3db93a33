import { asJson, setField, tickStep, type Build, type Change, type Coat } from '@snug/core'
import { now } from '../../state/now'
import { useBuild } from '../../state/buildStore'

/** A coat by name: which, of what, on what. */
export const coatName = (c: Coat): string =>
  `${c.group === 'whole' ? '' : `${c.groupLabel} `}${c.label} ${c.number}${c.face ? ', back' : ''}`

/** Laying a coat and taking it back; the layer's step in the plan is ticked with its last coat. @param all coats of every evening */
export function useLaying(all: readonly Coat[]) {
  const change = useBuild((s) => s.change)
  const withStep = (b: Build, c: Coat, to: Record<string, unknown>, done: string | undefined, label: string): Change => {
    const others = all.filter((x) => x.step === c.step && x.id !== c.id)
    const moves = done ? others.every((x) => x.laid) : b.steps[c.step] !== undefined
    return {
      label,
      edits: [...setField(b, ['finish', 'laid'], asJson(to), label).edits, ...(moves ? tickStep(b, c.step, c.label, done).edits : [])],
    }
  }
  return {
    lay: (c: Coat) => {
      const at = now()
      change((b) => {
        // What it dries in from now on counts for the wait; the surface it went on is the bench's.
        const coat = { product: c.product, at, ...b.finish.weather, ...b.finish.drying, ...(c.group === 'whole' ? {} : { zone: c.group }) }
        return withStep(b, c, { ...b.finish.laid, [c.id]: coat }, at, `${coatName(c)} laid`)
      })
    },
    takeBack: (c: Coat) =>
      change((b) => {
        const { [c.id]: _, ...others } = b.finish.laid ?? {}
        return withStep(b, c, others, undefined, `${coatName(c)} not laid after all`)
      }),
  }
}
