import { KINDS, slotSpec, type Joint } from '@snug/core'
import { PickOnce } from './PickOnce'

type TraitRef = Joint['untold'][number]

/** What nobody has said of its parts yet and it hangs on; said here, without a way to the parts. */
export function Untold({ refs, onSay }: { refs: readonly TraitRef[]; onSay: (ref: TraitRef, said: string) => void }) {
  if (!refs.length) return null
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
      {refs.map((ref) => {
        const { kind, label } = slotSpec(ref.slot)
        const trait = KINDS[kind].traits[ref.trait]!
        return (
          <PickOnce
            key={`${ref.slot}/${ref.trait}`}
            label={`${trait.label} (${label.toLowerCase()})`}
            nothing="not said yet"
            options={trait.options}
            onPick={(said) => onSay(ref, said)}
          />
        )
      })}
    </div>
  )
}
