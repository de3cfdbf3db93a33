import { KINDS, slotSpec, type Joint } from '@snug/core'
import { Choice } from './Field'

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
          <Choice
            key={`${ref.slot}/${ref.trait}`}
            label={`${trait.label} (${label.toLowerCase()})`}
            value=""
            options={[['', 'not said yet'], ...trait.options]}
            onChange={(said) => said && onSay(ref, said)}
          />
        )
      })}
    </div>
  )
}
