import { useBuild } from '../state/buildStore'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'

/** The build was changed in another window: nothing is lost, the person says which goes on. */
export function ConflictSheet() {
  const { conflict, settle } = useBuild()
  if (!conflict) return null
  return (
    <Sheet
      open
      onOpenChange={() => undefined}
      title="Changed in another window"
      about="This build moved on elsewhere while you worked on it here. Your change is kept until you choose."
    >
      <ul className="mb-4 list-disc pl-5">
        {conflict.mine.map((c, i) => (
          <li key={i}>{c.label}</li>
        ))}
      </ul>
      <div className="flex gap-2">
        <Button look="main" onClick={() => settle('mine')}>
          Put mine on top
        </Button>
        <Button onClick={() => settle('theirs')}>Take the other</Button>
      </div>
    </Sheet>
  )
}
