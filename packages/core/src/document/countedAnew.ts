import type { SizeSpec } from '../parts/kind'
import { startingDoubt } from '../parts/doubt'
import { KINDS } from '../parts/kinds/index'
import { told } from '../quantity/size'
import { PENCIL_STATIONS, type Build } from './build'
import { asJson, edit, type Edit } from './change'
import { UNDER_BOARD } from './read'

/**
 * Once neck and body are said to be one piece, or two parts after all, places along the body count from elsewhere: what was read stands
 * where it was, moved by the pocket's length, and is a guess until it is read from there.
 */
export function countedAnew(build: Build, neckIs: string | undefined): Edit[] {
  const { body } = build.parts
  const [was, is] = [body?.traits.neckIs === 'through', neckIs === 'through']
  if (!body || was === is) return []
  const by = (told(body.sizes['pocket.length'])?.value ?? UNDER_BOARD) * (is ? -1 : 1)
  const { trade } = KINDS.body
  const sizes = Object.entries<SizeSpec>(KINDS.body.sizes).flatMap(([size, spec]) => {
    const known = spec.fromNeck && body.sizes[size]
    if (!known) return []
    const value = Math.min(spec.max, Math.max(spec.min, known.value + by))
    return [
      edit(
        build,
        ['parts', 'body', 'sizes', size],
        asJson({ value, doubt: startingDoubt(spec, trade, 'assumed', value), known: 'assumed' }),
      ),
    ]
  })
  const lines = PENCIL_STATIONS.flatMap((station) => {
    const along = build.pencil?.[station]?.along
    return along === undefined ? [] : [edit(build, ['pencil', station, 'along'], along + by)]
  })
  const outline = body.outline?.map((row) => ({ ...row, x: row.x + by }))
  return [...sizes, ...lines, ...(outline ? [edit(build, ['parts', 'body', 'outline'], asJson(outline))] : [])]
}
