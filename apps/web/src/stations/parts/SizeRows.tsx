import { bestTool, clearSize, KINDS, setSize, USUAL_TOOLS, type Part, type Slot } from '@snug/core'
import { X } from 'lucide-react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { SizeField } from '../../ui/SizeField'
import { useGradually } from '../../ui/useGradually'

/** Sizes of a part, each with the best tool on hand for it; a body has seventy. */
export function SizeRows({ slot, part, keys }: { slot: Slot; part: Part; keys: readonly string[] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const rows = useGradually(keys, 8, slot)
  return rows.map((key) => {
    const ref = { slot, size: key }
    const tool = bestTool(ref, build.tools ?? USUAL_TOOLS)?.tool
    return (
      <div key={key} data-size={`${slot}/${key}`} className="flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <SizeField
            sizeRef={ref}
            size={part.sizes[key]}
            {...(tool ? { tool } : {})}
            onCommit={(size) => change((b) => setSize(b, ref, size))}
          />
        </div>
        {part.sizes[key] ? (
          <button
            type="button"
            aria-label={`Forget ${KINDS[part.kind].sizes[key]!.label}`}
            title="Forget this size"
            className="grid size-10 shrink-0 place-items-center text-soft hover:text-wont"
            onClick={() => change((b) => clearSize(b, ref))}
          >
            <X size={15} />
          </button>
        ) : (
          <span className="size-10 shrink-0" />
        )}
      </div>
    )
  })
}
