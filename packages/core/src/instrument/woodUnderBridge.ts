import type { Build } from '../document/build'
import { sizeRef, traitAt, type SizeRef } from '../document/read'

const BODY = sizeRef('body', 'thickness')
const BLOCK = sizeRef('body', 'block.thickness')

/** What a bridge, its screws and its studs stand in: the body, or what wood a hollow one has there; nothing while nobody has said which. */
export function woodUnderBridge(build: Build): { size: SizeRef; label: string; face: string } | undefined {
  const made = traitAt(build, 'body', 'build')
  if (made === undefined) return undefined
  return made === 'solid'
    ? { size: BODY, label: 'body', face: 'the body’s back' }
    : { size: BLOCK, label: 'block', face: 'the block’s far side' }
}
