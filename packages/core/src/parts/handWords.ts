import type { Part } from './part'

/** "left-handed", "3 left 3 right": what tells a handed part from its twin; nothing for one that goes either way or where nobody has said. */
export function handWords({ kind, sizes, traits }: Part): string | undefined {
  const [count, right] = [sizes.count?.value, sizes['count.right']?.value]
  if (kind === 'tuners' && count !== undefined && right !== undefined)
    return [right < count && `${count - right} left`, right > 0 && `${right} right`].filter(Boolean).join(' ')
  return traits.hand && traits.hand !== 'either' ? `${traits.hand}-handed` : undefined
}
