import type { Build, StackChange } from '@snug/core'
import { toast } from 'sonner'
import { useBuild } from '../../state/buildStore'

/** Makes a change to a stack; one that cannot be says why and changes nothing. */
export function useStackEdit() {
  const change = useBuild((s) => s.change)
  return (make: (build: Build) => StackChange): boolean => {
    const build = useBuild.getState().build
    if (!build) return false
    const made = make(build)
    if (made.ok) change(() => made.change)
    else toast.error(made.why)
    return made.ok
  }
}
