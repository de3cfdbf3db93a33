import { setPartField, type Part, type Slot } from '@snug/core'
import { useBuild } from '../../state/buildStore'
import { Field, INPUT } from '../../ui/Field'

/** The day an ordered part is promised for. */
export function PromisedFor({ slot, part }: { slot: Slot; part: Part }) {
  const change = useBuild((s) => s.change)
  return (
    <Field label="Promised for">
      {(p) => (
        <input
          {...p}
          type="date"
          className={INPUT}
          value={part.arrives ?? ''}
          onChange={(e) => change((b) => setPartField(b, slot, 'arrives', e.target.value || undefined))}
        />
      )}
    </Field>
  )
}
